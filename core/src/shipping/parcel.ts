import { type Calculated, Gather, known } from '../facts'
import { balance } from '../fit'
import { type Commission, type FittedPart, type Packed, type Parcel, partsOfRef, refTo, type Saber } from '../record'
import { type CarrierSays, type CellsAre, type CellsIn, carrierOf, carrierSays } from './carriers'

/** Where everything goes that nobody has put into a parcel: the first one. */
export const parcelOf = (c: Commission, p: Packed): string | undefined => p.parcel ?? c.parcels[0]?.id
export const isPacked = (p: Packed): boolean => (p.supply ?? 'packed') === 'packed'
/** What lies in a parcel; without one, all that is packed. */
export const contentsOf = (c: Commission, parcel: Parcel | undefined): Packed[] =>
  c.packing.filter((p) => isPacked(p) && (!parcel || parcelOf(c, p) === parcel.id))

/** The thing of the record that a line was drafted from. */
function behind(c: Commission, p: Packed): { saber?: Saber; part?: FittedPart } {
  const at = p.key ? partsOfRef(p.key) : undefined
  if (!at) return {}
  if (at.kind === 'saber') {
    const saber = c.sabers.find((s) => s.id === at.id)
    return saber ? { saber } : {}
  }
  if (at.kind !== 'part') return {}
  for (const s of c.sabers) {
    const part = s.parts.find((x) => x.id === at.id)
    if (part) return { part }
  }
  return {}
}

/** Energy of a cell in watt hours, V·Ah of its nominal voltage and capacity; undefined where one of them is not known. */
function cellEnergy(p: FittedPart): number | undefined {
  const [v, mah] = [known(p.specs.nominalVolts), known(p.specs.capacity)]
  return v === undefined || mah === undefined ? undefined : (v * mah) / 1000
}

/**
 * Cells that a line of the packing list speaks for, and that therefore do not lie in a saber. A line of several speaks for as many
 * of the same row of the shelf, in whichever saber they are: the box drafts them as one line.
 */
function listedCells(c: Commission): ReadonlySet<string> {
  const all = c.sabers.flatMap((s) => s.parts)
  const own = c.packing.flatMap((p) => {
    const cell = p.key?.startsWith('part:') ? all.find((x) => refTo('part', x.id) === p.key) : undefined
    return cell ? [{ cell, count: p.quantity }] : []
  })
  const listed = new Set(own.map((x) => x.cell.id))
  for (const { cell, count } of own) {
    if (cell.kind !== 'cell' || !cell.catalogue) continue
    const like = all.filter(
      (x) => x.kind === 'cell' && x.removable && x.catalogue === cell.catalogue && !listed.has(x.id),
    )
    for (const x of like.slice(0, count - 1)) listed.add(x.id)
  }
  return listed
}

/** The cells of a parcel: those built into a saber that lies in it, those packed beside one, and those alone. */
export function cellsOf(c: Commission, parcel: Parcel | undefined): CellsIn[] {
  const lines = contentsOf(c, parcel)
  const listed = listedCells(c)
  const beside: CellsAre = lines.some((p) => behind(c, p).saber) ? 'withEquipment' : 'alone'
  const of = (p: FittedPart, count: number, are: CellsAre): CellsIn => {
    const wh = cellEnergy(p)
    const charged = known(p.charged)
    return {
      ...{ name: p.name, count, are },
      ...(wh === undefined ? {} : { wattHours: wh }),
      ...(charged === undefined ? {} : { charged }),
      ...(p.damaged ? { damaged: true as const } : {}),
    }
  }
  return lines.flatMap((p) => {
    const { saber, part } = behind(c, p)
    if (part?.kind === 'cell') return [of(part, p.quantity, beside)]
    // A cell that has a line of its own lies where that line says, not in the saber.
    return (saber?.parts ?? [])
      .filter((x) => x.kind === 'cell' && !listed.has(x.id))
      .filter((x) => x.supplied === undefined || x.supplied === 'shop' || !x.removable)
      .map((x) => of(x, 1, 'inEquipment'))
  })
}

/** Cells that go with the saber while no parcel is named: all that the shop sends along. */
export const cellsUnsent = (c: Commission): number =>
  c.parcels.length
    ? 0
    : c.sabers
        .flatMap((s) => s.parts)
        .filter((p) => p.kind === 'cell' && (!p.removable || p.supplied === undefined || p.supplied === 'shop')).length

/** What of a parcel a confirmation speaks of: its cells, whether it crosses a border, and its carrier. */
export const confirmable = (c: Commission, parcel: Parcel): NonNullable<Parcel['confirmedFor']> => ({
  ...(parcel.carrier ? { carrier: parcel.carrier } : {}),
  abroad: parcel.abroad,
  cells: cellsOf(c, parcel).map(({ name, are, count, wattHours }) => ({
    ...{ name, are, count },
    ...(wattHours === undefined ? {} : { wattHours }),
  })),
})

const inOrder = (x: NonNullable<Parcel['confirmedFor']>) =>
  JSON.stringify([
    x.carrier ?? '',
    x.abroad,
    x.cells.map((k) => JSON.stringify([k.name, k.are, k.count, k.wattHours])).sort(),
  ])

/**
 * Whether what somebody confirmed of a parcel still speaks of it: `other` cells, border or carrier ask again, and so does another
 * calendar `year` than that of the day it leaves (today, while it has not). What was confirmed before parcels said for what
 * holds for one that has left.
 */
export function confirmation(c: Commission, parcel: Parcel, today: string): 'none' | 'holds' | 'other' | 'year' {
  if (!parcel.confirmedBy) return 'none'
  const leaves = parcel.sentOn ?? c.shipped
  if (!parcel.confirmedFor) return leaves ? 'holds' : 'other'
  if (inOrder(parcel.confirmedFor) !== inOrder(confirmable(c, parcel))) return 'other'
  const year = parcel.confirmedOn?.slice(0, 4)
  return year !== undefined && year !== (leaves ?? today).slice(0, 4) ? 'year' : 'holds'
}

/** What the carrier of a parcel says of its cells; nothing where there is none of either. */
export function lithiumOf(c: Commission, parcel: Parcel): CarrierSays[] {
  const carrier = carrierOf(parcel.carrier)
  return carrier ? carrierSays(carrier, parcel.abroad, cellsOf(c, parcel)) : []
}

/** What one line weighs, g: as it was weighed, else as the record reckons it. */
function massOf(c: Commission, p: Packed, g: Gather): number {
  const weighed = () => g.take(p.what, p.mass, refTo('packed', p.id))
  if (known(p.mass) !== undefined) return weighed()
  const { saber, part } = behind(c, p)
  if (saber) {
    // A cell that has a line of its own is weighed there.
    const apart = listedCells(c)
    return g.from(p.what, balance({ ...saber, parts: saber.parts.filter((x) => !apart.has(x.id)) }).mass)
  }
  const blade = c.sabers.flatMap((s) => s.blades).find((b) => refTo('blade', b.id) === p.key)
  const [f, ref] = part
    ? [part.specs.mass, refTo('part', part.id)]
    : blade
      ? [blade.mass, refTo('blade', blade.id)]
      : []
  return known(f) === undefined || !ref ? weighed() : g.take(p.what, f, ref) * p.quantity
}

/** What a parcel should weigh, g: the box and all that lies in it. Names every line that nobody has weighed. */
export function expectedMass(c: Commission, parcel: Parcel): Calculated {
  const g = new Gather()
  const box = g.take('the box itself', parcel.boxMass, refTo('parcel', parcel.id))
  const all = contentsOf(c, parcel).map((p) => massOf(c, p, g))
  return g.figure('g', 'box + Σ of what lies in it', 'packing list', () => all.reduce((n, x) => n + x, box))
}
