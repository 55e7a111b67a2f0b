import { Packing } from './Packing'
import { Parcels } from './Parcels'

/** What lies in the box, and the parcels it goes in. */
export function Box() {
  return (
    <div className="grid grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)] gap-8">
      <Packing />
      <Parcels />
    </div>
  )
}
