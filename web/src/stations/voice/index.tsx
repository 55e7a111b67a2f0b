import { useEffect, useState } from 'react'
import { fetchWhenIdle, lazyView } from '../../base/lazy'
import { Tabs } from '../../kit'
import { useSought } from '../../store/commission'
import { Presets } from './Presets'

const Fonts = lazyView(() => import('./Fonts').then((m) => m.Fonts))
const Card = lazyView(() => import('./Card').then((m) => m.Card))
const LightSheet = lazyView(() => import('./LightSheet').then((m) => m.LightSheet))
const Levels = lazyView(() => import('./Levels').then((m) => m.Levels))

/** Where the fonts and the cards are among the tabs. */
const [FONTS, CARD] = [2, 4]

/** What it shows and plays: presets in their order, the fonts on the card, and whether these are complete and alike in loudness. */
export default function Voice() {
  const [at, setAt] = useState(0)
  const [font, setFont] = useState<string>()
  useSought('font', (id) => {
    setFont(id)
    setAt(FONTS)
  })
  useSought('card', () => setAt(CARD))
  useSought('preset', () => setAt(0))
  useEffect(() => fetchWhenIdle(LightSheet, Fonts, Levels, Card), [])
  return (
    <Tabs
      label="Voice and light"
      tabs={['Presets', 'Light by event', 'Fonts', 'Missing and loudness', 'Card']}
      at={at}
      onChange={setAt}
      panels={(i) =>
        [
          <Presets key="presets" onSheet={() => setAt(1)} />,
          <LightSheet key="light" />,
          <Fonts key="fonts" chosen={font} onChoose={setFont} />,
          <Levels
            key="levels"
            onFont={(id) => {
              setFont(id)
              setAt(FONTS)
            }}
          />,
          <Card key="card" />,
        ][i]
      }
    />
  )
}
