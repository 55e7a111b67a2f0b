import { known } from '../facts'
import { type CataloguePart, SPECS, type SpecKey } from '../parts'
import type { Compared, Happened, Own } from './learned'

/** Where something was seen. */
export interface From {
  commission: string
  title: string
}
export interface Bias {
  of: string
  what: string
  unit: string
  n: number
  /** By what share measured lies above predicted, on average, and how far the shares spread (standard deviation). */
  bias: number
  spread: number
  points: (From & { on: string; share: number; saber: string; lot?: string })[]
}
/** Lists by what they have in common, in the order in which that is met first. */
function grouped<T>(list: readonly T[], by: (x: T) => string): Map<string, T[]> {
  const out = new Map<string, T[]>()
  for (const x of list) {
    const had = out.get(by(x))
    if (had) had.push(x)
    else out.set(by(x), [x])
  }
  return out
}
const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length
/** With n − 1; nothing for one. */
const deviation = (list: readonly number[]): number => {
  if (list.length < 2) return 0
  const m = mean(list)
  return Math.sqrt(list.reduce((sum, v) => sum + (v - m) ** 2, 0) / (list.length - 1))
}

/** How predictions stand against what was measured, figure by figure; of a part or a lot where one is named. The most telling first. */
export function biasesOf(all: readonly (Compared & From)[], only: { row?: string; lot?: string } = {}): Bias[] {
  const mine = all.filter((c) =>
    only.row === undefined
      ? true
      : c.rows.some((r) => r.row === only.row && (only.lot === undefined || r.lot === only.lot)),
  )
  return [...grouped(mine, (c) => `${c.of} ${c.unit}`).values()]
    .map((list): Bias => {
      const shares = list.map((c) => c.measured / c.predicted - 1)
      const { of, what, unit } = list[0]!
      return {
        ...{ of, what, unit, n: list.length, bias: mean(shares), spread: deviation(shares) },
        points: list
          .map((c, i) => {
            const lot = c.rows.find((r) => r.lot)?.lot
            return {
              ...{ commission: c.commission, title: c.title, on: c.on, share: shares[i]!, saber: c.saber },
              ...(lot ? { lot } : {}),
            }
          })
          .toSorted((a, b) => a.on.localeCompare(b.on)),
      }
    })
    .toSorted((a, b) => b.n - a.n || a.what.localeCompare(b.what))
}

/** So many own measurements make a proposal. */
export const PROPOSED_FROM = 5
/** A lot differs where its mean is so many standard errors from the rest, of three each at least. */
const [DIFFERS, LOT_FROM] = [3, 3]
export interface ShelfProposal {
  row: string
  name: string
  spec: SpecKey
  label: string
  unit: string
  /** What the shelf says. */
  now?: number
  mean: number
  spread: number
  highest: number
  n: number
  lots: { lot: string; n: number; mean: number; differs: boolean }[]
}

/** Welch's t of two samples; nothing where both are of one value. */
function apart(a: readonly number[], b: readonly number[]): number {
  const error = Math.sqrt(deviation(a) ** 2 / a.length + deviation(b) ** 2 / b.length)
  const by = Math.abs(mean(a) - mean(b))
  return error > 0 ? by / error : by > 0 ? Number.POSITIVE_INFINITY : 0
}

/**
 * Figures of the shelf that its own measurements would set otherwise: from five on, to their mean, with how they spread, the
 * highest of them, and lots that differ. A rating is never among them, whatever was measured.
 */
export function shelfProposals(own: readonly Own[], shelf: readonly CataloguePart[]): ShelfProposal[] {
  const rows = new Map(shelf.map((p) => [p.id, p]))
  return [...grouped(own, (o) => `${o.row} ${o.spec}`).values()].flatMap((list): ShelfProposal[] => {
    const { row, spec } = list[0]!
    const part = rows.get(row)
    if (!part || list.length < PROPOSED_FROM) return []
    const values = list.map((o) => o.value)
    const lots = [...grouped(list, (o) => o.lot ?? '')].filter(([lot]) => lot)
    const now = known(part.specs[spec])
    return [
      {
        ...{ row, name: part.name, spec, label: SPECS[spec].label, unit: SPECS[spec].unit },
        ...(now === undefined ? {} : { now }),
        ...{ mean: mean(values), spread: deviation(values), highest: Math.max(...values), n: values.length },
        lots: lots.map(([lot, some]) => {
          const here = some.map((o) => o.value)
          const rest = list.filter((o) => o.lot !== lot).map((o) => o.value)
          const enough = here.length >= LOT_FROM && rest.length >= LOT_FROM
          return { lot, n: here.length, mean: mean(here), differs: enough && apart(here, rest) > DIFFERS }
        }),
      },
    ]
  })
}

/** What happened how often, the most frequent first, with the commissions where. */
export interface Often {
  what: string
  n: number
  last?: string
  from: From[]
}
export function oftenOf(all: readonly (Happened & From)[], is: Happened['is'], most = 8): Often[] {
  const same = (t: string) => t.trim().toLowerCase()
  return [
    ...grouped(
      all.filter((h) => h.is === is),
      (h) => same(h.what),
    ).values(),
  ]
    .map((list): Often => {
      const last = list
        .flatMap((h) => h.on ?? [])
        .toSorted()
        .at(-1)
      return {
        ...{ what: list[0]!.what, n: list.length },
        ...(last ? { last } : {}),
        from: [...new Map(list.map((h) => [h.commission, { commission: h.commission, title: h.title }])).values()],
      }
    })
    .toSorted((a, b) => b.n - a.n || (b.last ?? '').localeCompare(a.last ?? ''))
    .slice(0, most)
}
