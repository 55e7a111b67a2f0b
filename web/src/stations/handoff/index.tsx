import { Credits } from './Credits'
import { Gate } from './Gate'
import { Packing } from './Packing'
import { RecordSheet } from './RecordSheet'

/** What stands against shipping, the record for the client, and the box. */
export default function Handoff() {
  return (
    <div className="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-8">
      <Gate />
      <div className="space-y-5">
        <RecordSheet />
        <Packing />
        <Credits />
      </div>
    </div>
  )
}
