import { type CellsIn, carrierOf, cellsOf, contentsOf, lithiumOf } from '../box'
import { known } from '../facts'
import type { Commission, Parcel } from '../record'
import { formatNumber } from '../units'

/** What stands on a parcel: from and to whom, which of how many, what it weighs, and what its cells ask for. */
export interface ParcelLabel {
  from: string[]
  to: string[]
  carrier: string
  which: string
  mass: string
  tracking: string
  contents: string[]
  /** What has to be said of lithium cells, and who has confirmed it. */
  lithium: string[]
}

const WHERE: Record<CellsIn['are'], string> = {
  inEquipment: 'contained in equipment',
  withEquipment: 'packed with equipment',
  alone: 'packed alone',
}

/** The label of a parcel. Weight is what the scale said; what is not recorded stays open to be written by hand. */
export function labelOf(c: Commission, parcel: Parcel, from: string[]): ParcelLabel {
  const grams = known(parcel.mass)
  const says = new Map(lithiumOf(c, parcel).map((x) => [x.cells.name, x]))
  const cells = cellsOf(c, parcel)
  return {
    from: from.flatMap((l) => l.split('\n')).filter((l) => l.trim()),
    to: [parcel.to, ...(parcel.address ?? '').split('\n')].filter((l) => l.trim()),
    carrier: carrierOf(parcel.carrier)?.name ?? '',
    which: `${c.parcels.findIndex((k) => k.id === parcel.id) + 1} of ${c.parcels.length}`,
    // A carrier counts what is begun.
    mass: grams === undefined ? '' : `${formatNumber(Math.ceil(grams / 10) / 100, 2)} kg`,
    tracking: parcel.tracking ?? '',
    contents: contentsOf(c, parcel).map((p) => `${p.quantity} × ${p.what}`),
    lithium: [
      ...cells.map((k) => {
        const energy = k.wattHours === undefined ? 'energy not recorded' : `${formatNumber(k.wattHours, 1)} Wh`
        const by = says.get(k.name)?.by
        return `${k.count} lithium-ion cell${k.count > 1 ? 's' : ''}, ${energy} each, ${WHERE[k.are]}${by ? `; to be confirmed by ${by}` : ''}`
      }),
      ...(parcel.confirmedBy
        ? [`confirmed: ${parcel.confirmedBy}${parcel.confirmedOn ? `, ${parcel.confirmedOn}` : ''}`]
        : []),
    ],
  }
}
