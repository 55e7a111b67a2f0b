import { useState } from 'react'
import { later } from '../../base/later'
import { Tabs } from '../../kit'
import { Machine } from './Machine'

const Screws = later(() => import('./Screws').then((m) => m.Screws))
const Steps = later(() => import('./Steps').then((m) => m.Steps))

/** The saber opened and closed on the bench by its own record, and the steps that go to the client. */
export default function Access() {
  const [at, setAt] = useState(0)
  return (
    <Tabs
      label="Access"
      tabs={['On the bench', 'Steps for the client', 'Screws']}
      at={at}
      onChange={setAt}
      panels={(i) => [<Machine key="bench" />, <Steps key="steps" />, <Screws key="screws" />][i]}
    />
  )
}
