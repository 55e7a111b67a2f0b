import { useEffect, useState } from 'react'
import { fetchWhenIdle, lazyView } from '../../base/lazy'
import { Tabs } from '../../kit'
import { useSought } from '../../store/commission'
import { Presets } from './Presets'

const Fonts = lazyView(() => import('./Fonts').then((m) => m.Fonts))
const Levels = lazyView(() => import('./Levels').then((m) => m.Levels))

/** What it shows and plays: presets in their order, the fonts on the card, and whether these are complete and alike in loudness. */
export default function Voice() {
  const [at, setAt] = useState(0)
  const [font, setFont] = useState<string>()
  useSought('font', (id) => {
    setFont(id)
    setAt(1)
  })
  useSought('preset', () => setAt(0))
  useEffect(() => fetchWhenIdle(Fonts, Levels), [])
  return (
    <Tabs
      label="Voice and light"
      tabs={['Presets', 'Fonts', 'Missing and loudness']}
      at={at}
      onChange={setAt}
      panels={(i) =>
        [
          <Presets key="presets" />,
          <Fonts key="fonts" chosen={font} onChoose={setFont} />,
          <Levels
            key="levels"
            onFont={(id) => {
              setFont(id)
              setAt(1)
            }}
          />,
        ][i]
      }
    />
  )
}
