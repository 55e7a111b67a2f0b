/** A part that an open commission has chosen and not built in yet. */
export interface Chosen {
  commission: string
  title: string
  part: string
  name: string
  /** Its row of the shelf; without one the shop counts none of it. */
  catalogue?: string
  reservedOn?: string
}
/** A row of the shelf: how many are in hand, those laid aside among them; nothing where nobody counted. */
export interface InHand {
  id: string
  name: string
  stock?: number
  supplier?: string
  cost?: number
}
/** A line of an order that is on its way. */
export interface OnOrder {
  id: string
  catalogue?: string
  quantity: number
  supplier: string
  orderedOn: string
  expectedOn?: string
  /** For which part of which commission, where it was ordered for one. */
  commission?: string
  part?: string
}

/** How a chosen part is to be had. */
export type Had =
  | { is: 'reserved' | 'inHand' | 'uncounted' }
  | { is: 'ordered'; line: OnOrder }
  | { is: 'toOrder'; supplier?: string }
export interface Standing {
  chosen: Chosen
  had: Had
}
/** What is to be ordered of a row of the shelf: chosen, less what is in hand and free, less what is on its way. */
export interface ToOrder {
  row: InHand
  chosen: number
  free: number
  onOrder: number
  toOrder: number
  for: Chosen[]
}
/** More of a row are laid aside than there are: those that were laid aside last have none. */
export interface ReservedTwice {
  row: InHand
  reserved: Chosen[]
  without: Chosen[]
}
export interface Stock {
  standings: Standing[]
  /** Of each row that is counted, how many are in hand and not spoken for. */
  rows: { row: InHand; free: number }[]
  toOrder: ToOrder[]
  twice: ReservedTwice[]
}

const byRow = <T extends { catalogue?: string }>(list: readonly T[]): Map<string, T[]> => {
  const out = new Map<string, T[]>()
  for (const x of list) if (x.catalogue) out.set(x.catalogue, [...(out.get(x.catalogue) ?? []), x])
  return out
}
const lastFirst = (a: Chosen, b: Chosen) => (b.reservedOn ?? '').localeCompare(a.reservedOn ?? '')

/**
 * Who gets what, in the order in which commissions are worked on: what is laid aside is his who laid it aside first, what is free
 * goes to who comes first, then what is on its way, the soonest first, what was ordered for somebody to him; the rest is to be
 * ordered. Of a row that nobody counted nothing is to be ordered.
 */
export function stockOf(chosen: readonly Chosen[], shelf: readonly InHand[], lines: readonly OnOrder[]): Stock {
  const rows = new Map(shelf.map((r) => [r.id, r]))
  const had = new Map<Chosen, Had>()
  const own = (c: Chosen) => lines.find((l) => l.commission === c.commission && l.part === c.part)
  const [toOrder, twice]: [ToOrder[], ReservedTwice[]] = [[], []]
  for (const c of chosen) {
    const line = own(c)
    if (line && !c.reservedOn) had.set(c, { is: 'ordered', line })
    else if (!c.catalogue || rows.get(c.catalogue)?.stock === undefined)
      had.set(c, { is: c.reservedOn ? 'reserved' : 'uncounted' })
  }
  const coming = byRow(lines)
  for (const [id, all] of byRow(chosen)) {
    const row = rows.get(id)
    if (row?.stock === undefined) continue
    const reserved = all.filter((c) => c.reservedOn)
    const without = reserved.toSorted(lastFirst).slice(0, Math.max(0, reserved.length - row.stock))
    if (without.length) twice.push({ row, reserved, without })
    for (const c of reserved) if (!without.includes(c)) had.set(c, { is: 'reserved' })
    const free = Math.max(0, row.stock - reserved.length)
    const open = all.filter((c) => !had.has(c))
    for (const c of open.slice(0, free)) had.set(c, { is: 'inHand' })
    // What was ordered for somebody is his; a whole line is spread over as many as it has.
    const pool = (coming.get(id) ?? [])
      .toSorted(
        (a, b) => (a.expectedOn ?? '9').localeCompare(b.expectedOn ?? '9') || a.orderedOn.localeCompare(b.orderedOn),
      )
      .flatMap((line) => {
        const taken = all.filter((c) => had.get(c)?.is === 'ordered' && own(c) === line).length
        return Array.from({ length: Math.max(0, line.quantity - taken) }, () => line)
      })
    const waiting = open.slice(free)
    waiting.forEach((c, i) => {
      const line = pool[i]
      had.set(
        c,
        line ? { is: 'ordered', line } : { is: 'toOrder', ...(row.supplier ? { supplier: row.supplier } : {}) },
      )
    })
    const missing = waiting.slice(pool.length)
    if (missing.length)
      toOrder.push({
        ...{ row, chosen: all.length - reserved.length + without.length, free, toOrder: missing.length, for: missing },
        onOrder: (coming.get(id) ?? []).reduce((sum, l) => sum + l.quantity, 0),
      })
  }
  const taken = new Map<string, number>()
  for (const c of chosen)
    if (c.catalogue && ['reserved', 'inHand'].includes(had.get(c)!.is))
      taken.set(c.catalogue, (taken.get(c.catalogue) ?? 0) + 1)
  const rowsFree = shelf.flatMap((row) =>
    row.stock === undefined ? [] : [{ row, free: Math.max(0, row.stock - (taken.get(row.id) ?? 0)) }],
  )
  return { standings: chosen.map((c) => ({ chosen: c, had: had.get(c)! })), toOrder, twice, rows: rowsFree }
}
