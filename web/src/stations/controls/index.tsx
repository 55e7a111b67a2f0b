import { useState } from 'react'
import { lazyView } from '../../base/lazy'
import { Tabs } from '../../kit'
import { useSought } from '../../store/commission'
import { Playing } from './Playing'

const MapBench = lazyView(() => import('./MapBench').then((m) => m.MapBench))
const MapFaults = lazyView(() => import('./MapFaults').then((m) => m.MapFaults))
const Card = lazyView(() => import('./Card').then((m) => m.Card))

/** The board in hand, the map that it runs by, what could go wrong with it, and the card that goes to the client. */
export default function Controls() {
  const [at, setAt] = useState(0)
  const [row, setRow] = useState<string>()
  const toRow = (id: string) => {
    setRow(id)
    setAt(1)
  }
  useSought('row', toRow)
  return (
    <Tabs
      label="Controls"
      tabs={['In hand', 'The map', 'What could go wrong', 'The card']}
      at={at}
      onChange={setAt}
      panels={(i) =>
        [
          <Playing key="play" onMap={() => setAt(1)} />,
          <MapBench key="map" chosen={row} onChoose={setRow} />,
          <MapFaults key="trouble" onRow={toRow} />,
          <Card key="card" />,
        ][i]
      }
    />
  )
}
