import { useState } from 'react'
import { lazyView } from '../../base/lazy'
import { Tabs } from '../../kit'
import { useSought } from '../../store/commission'
import { Credits } from './Credits'
import { Gate } from './Gate'
import { RecordSheet } from './RecordSheet'

const Films = lazyView(() => import('./Films').then((m) => m.Films))
const Box = lazyView(() => import('./Box').then((m) => m.Box))
const Reading = lazyView(() => import('./Reading').then((m) => m.Reading))
const Afterwards = lazyView(() => import('./Afterwards').then((m) => m.Afterwards))

/** What stands against shipping and the record for the client, the box, what each sentence rests on, and what comes back. */
export default function Handoff() {
  const [at, setAt] = useState(0)
  useSought('parcel', () => setAt(1))
  return (
    <Tabs
      label="Handoff"
      tabs={['Send it', 'The box', 'Read it', 'Afterwards']}
      at={at}
      onChange={setAt}
      panels={(i) =>
        [
          <div key="send" className="grid grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] gap-8">
            <div className="space-y-5">
              <Gate />
              <Credits />
            </div>
            <div className="space-y-5">
              <RecordSheet />
              <Films />
            </div>
          </div>,
          <Box key="box" />,
          <Reading key="reading" />,
          <Afterwards key="afterwards" />,
        ][i]
      }
    />
  )
}
