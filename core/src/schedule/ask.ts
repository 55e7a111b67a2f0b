import type { Saber, WorkKind } from '../record'
import { WORK_OF_ALL } from '../record'
import { daysBetween } from '../units'
import type { More } from './forecast'
import { WORK, WORK_OF_JOB } from './kinds'
import type { Open, ShopState } from './plan'
import { type Work, workKey } from './work'

/** What if: one goes first, somebody is off, a part comes later, somebody works longer, or one more is taken on. */
export interface Question {
  first?: string
  off?: readonly { person: string; from: string; to: string }[]
  late?: readonly { commission: string; part: string; days: number }[]
  more?: readonly { person: string; on: string; hours: number }[]
  another?: Saber['job']
}
/** What one more commission is called on a plan. */
export const ANOTHER = 'another'

/**
 * The order in which commissions are worked on: as the shop has put them; one that nobody has put stands before the first that is
 * promised for later, and what is not promised comes last.
 */
export function inOrder<T extends { id: string; promise?: string }>(
  open: readonly T[],
  byHand: readonly string[],
): T[] {
  const at = new Map(byHand.map((id, i) => [id, i]))
  const put = open.filter((o) => at.has(o.id)).toSorted((a, b) => at.get(a.id)! - at.get(b.id)!)
  const rest = open
    .filter((o) => !at.has(o.id))
    .toSorted((a, b) => (a.promise ?? '9').localeCompare(b.promise ?? '9') || a.id.localeCompare(b.id))
  for (const o of rest) {
    const later = put.findIndex((x) => (x.promise ?? '9') > (o.promise ?? '9'))
    put.splice(later < 0 ? put.length : later, 0, o)
  }
  return put
}

/** A commission of one saber of which nothing is known but the job. */
export function another(job: Saber['job']): Open {
  const kinds: WorkKind[] = [...WORK_OF_JOB[job], ...(WORK_OF_JOB[job].length ? WORK_OF_ALL : [])]
  const there = new Set(kinds)
  const before = (k: WorkKind): WorkKind[] => WORK[k].after.flatMap((b) => (there.has(b) ? [b] : before(b)))
  return {
    id: ANOTHER,
    title: ANOTHER,
    work: kinds.map(
      (kind): Work => ({
        ...{ key: workKey(kind, ANOTHER), kind, job, spent: 0, waits: [], cures: WORK[kind].cures ?? 0 },
        after: [...new Set(before(kind))].map((k) => workKey(k, ANOTHER)),
      }),
    ),
  }
}

/** The shop as it would be, and the hours that somebody would work on top. */
export function asked(shop: ShopState, q: Question): { shop: ShopState; more: More[] } {
  const first = shop.open.filter((o) => o.id === q.first)
  return {
    shop: {
      ...shop,
      people: shop.people.map((p) => ({
        ...p,
        off: [...p.off, ...(q.off ?? []).filter((o) => o.person === p.id || o.person === p.name)],
      })),
      open: [...first, ...shop.open.filter((o) => o.id !== q.first), ...(q.another ? [another(q.another)] : [])],
      coming: shop.coming.map((c) => {
        const late = q.late?.find((l) => l.commission === c.commission && l.part === c.part)
        return late ? { ...c, late: (c.late ?? 0) + late.days } : c
      }),
    },
    more: (q.more ?? []).map((m) => ({ person: m.person, day: daysBetween(shop.today, m.on), hours: m.hours })),
  }
}
