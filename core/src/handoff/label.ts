import { known } from '../facts'
import type { Commission, Parcel } from '../record'
import { carrierOf, cellsOf, contentsOf, lithiumOf } from '../shipping'
import { cellsLine, confirmedLine, massLine, whichLine } from './label-words'

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

/** The label of a parcel. Weight is what the scale said; what is not recorded stays open to be written by hand. */
export function labelOf(c: Commission, parcel: Parcel, from: string[]): ParcelLabel {
  const grams = known(parcel.mass)
  const says = new Map(lithiumOf(c, parcel).map((x) => [`${x.cells.name} ${x.cells.are}`, x]))
  const cells = cellsOf(c, parcel)
  return {
    from: from.flatMap((l) => l.split('\n')).filter((l) => l.trim()),
    to: [parcel.to, ...(parcel.address ?? '').split('\n')].filter((l) => l.trim()),
    carrier: carrierOf(parcel.carrier)?.name ?? '',
    which: whichLine(c.parcels.findIndex((k) => k.id === parcel.id) + 1, c.parcels.length),
    mass: grams === undefined ? '' : massLine(grams),
    tracking: parcel.tracking ?? '',
    contents: contentsOf(c, parcel).map((p) => `${p.quantity} × ${p.what}`),
    lithium: [
      ...cells.map((k) => cellsLine(k, says.get(`${k.name} ${k.are}`)?.by)),
      ...(parcel.confirmedBy ? [confirmedLine(parcel.confirmedBy, parcel.confirmedOn)] : []),
    ],
  }
}
