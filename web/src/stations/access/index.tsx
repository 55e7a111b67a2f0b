import { useState } from 'react'
import { lazyView } from '../../base/lazy'
import { Tabs } from '../../kit'
import { Procedures } from './Procedures'

const Screws = lazyView(() => import('./Screws').then((m) => m.Screws))

/** What hands do with this saber: each way there and back, gone on the drawing, with what the maker says of its acts. */
export default function Access() {
  const [at, setAt] = useState(0)
  return (
    <Tabs
      label="Access"
      tabs={['Procedures', 'Screws']}
      at={at}
      onChange={setAt}
      panels={(i) => [<Procedures key="hands" />, <Screws key="screws" />][i]}
    />
  )
}
