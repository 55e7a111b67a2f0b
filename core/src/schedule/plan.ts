import type { WorkKind } from '../record'
import { daysBetween, weekdayOf } from '../units'
import { BEGINS, type Calendar, calendarOf, DAY } from './calendar'
import { type Lasts, numberOf } from './chance'
import type { Guess, Guesses } from './guess'
import type { Bench } from './run'
import { loopIn, type Waits, type Work } from './work'

/** Somebody who works in the shop. */
export interface Worker {
  id: string
  name: string
  /** Hours by weekday, Monday first. */
  week: number[]
  /** What he can do; everything where nothing is said. */
  skills: WorkKind[]
  /** Days on which he does not work, from and to. */
  off: { from: string; to: string }[]
}
/** A commission that is under way. */
export interface Open {
  id: string
  title: string
  /** The day that was promised. */
  promise?: string
  work: readonly Work[]
}
/** A part that a commission waits for, by commission and part: ordered, or not yet. */
export interface Coming {
  commission: string
  part: string
  supplier?: string
  orderedOn?: string
  /** The day that the supplier named. */
  expected?: string
  /** Days later than that, as somebody supposes. */
  late?: number
}
/** A shop on a day: all that its plan follows from. */
export interface ShopState {
  today: string
  /** Minutes since midnight. */
  minute: number
  people: readonly Worker[]
  /** In the order in which they are worked on. */
  open: readonly Open[]
  coming: readonly Coming[]
}

/** Why something cannot be planned. */
export type Unplanned =
  | { why: 'loop'; commission: string; keys: string[] }
  | { why: 'nobody'; commission: string; key: string; person?: string; kind: Work['kind'] }

/** One piece of work on the plan. */
interface Item {
  open: number
  work: Work
  guess: Guess
  /** Which of the waits it waits for. */
  waits: number[]
}
/** Something that is waited for: how long after it began, days, and how long it has lasted so far. */
interface Wait {
  of: Waits
  commission: string
  lasts: Lasts
  already: number
  /** Days after today on top of that. */
  later: number
  ordered: boolean
  thing: number
}
export interface Plan {
  shop: ShopState
  people: readonly Worker[]
  items: readonly Item[]
  waits: readonly Wait[]
  bench: Bench
  unplanned: readonly Unplanned[]
  /** By item: what falls to it in a draw. */
  things: Uint32Array
}

/** The most people that are planned for. */
const MOST_PEOPLE = 31
/** What comes, comes at noon. */
export const ARRIVES = 12 * 60
/** How far off suppliers are from the day that they name. */
const NAMED_SPREAD = 1.25

/** Whoever can do least takes first, so that who can do all is left for the rest; of the same, by name. */
const inTurn = (people: readonly Worker[]) =>
  people
    .toSorted((a, b) => (a.skills.length || 99) - (b.skills.length || 99) || a.name.localeCompare(b.name))
    .slice(0, MOST_PEOPLE)

function can(p: Worker, w: Work): boolean {
  if (w.person) return p.name === w.person
  const kind = w.kind === 'toDo' ? w.like : w.kind
  return !kind || !p.skills.length || p.skills.includes(kind)
}

/** Somebody's working time from today on; `more`: hours on top, by day. */
export function calendarFor(p: Worker, today: string, more?: ReadonlyMap<number, number>): Calendar {
  const off = new Set<number>()
  for (const o of p.off)
    for (let d = Math.max(0, daysBetween(today, o.from)); d <= Math.min(1100, daysBetween(today, o.to)); d++) off.add(d)
  return calendarOf({ week: p.week, off, ...(more ? { more } : {}) }, weekdayOf(today))
}

/** Lays out what there is to do: what of it can be planned, in which order, by whom, and what it waits for. */
export function planOf(shop: ShopState, guesses: Guesses): Plan {
  const people = inTurn(shop.people)
  const unplanned: Unplanned[] = []
  const items: Item[] = []
  const waits: Wait[] = []
  const who: number[] = []
  const pending: string[][] = []
  const index = new Map<string, number>()
  const coming = new Map(shop.coming.map((c) => [`${c.commission} ${c.part}`, c]))
  shop.open.forEach((o, open) => {
    const loop = loopIn(o.work)
    if (loop) unplanned.push({ why: 'loop', commission: o.id, keys: loop })
    for (const w of o.work) {
      if (w.done) continue
      const mask = people.reduce((m, p, k) => (can(p, w) ? m | (1 << k) : m), 0)
      if (!mask)
        unplanned.push({
          ...{ why: 'nobody', commission: o.id, key: w.key, kind: w.like ?? w.kind },
          ...(w.person ? { person: w.person } : {}),
        })
      const mine = w.waits.flatMap((of) => {
        const wait = waitOf(of, o.id, shop.today, coming, guesses)
        return wait ? [waits.push(wait) - 1] : []
      })
      index.set(`${o.id} ${w.key}`, items.length)
      items.push({ open, work: w, guess: guesses.hoursOf(w), waits: mine })
      who.push(mask)
      // What is cured by itself after work that is done is taken as cured.
      const undone = new Set(o.work.flatMap((x) => (x.done ? [] : [x.key])))
      pending.push([...new Set(w.after)].filter((k) => undone.has(k)).map((k) => `${o.id} ${k}`))
    }
  })
  return {
    ...{ shop, people, items, waits, unplanned },
    bench: benchOf(shop, people, items, who, pending, index),
    things: Uint32Array.from(items, (i) => numberOf(`${shop.open[i.open]!.id} ${i.work.key}`)),
  }
}

function benchOf(
  shop: ShopState,
  people: readonly Worker[],
  items: readonly Item[],
  who: readonly number[],
  pending: readonly string[][],
  index: ReadonlyMap<string, number>,
): Bench {
  const n = items.length
  const followers: number[][] = items.map(() => [])
  pending.forEach((keys, i) => {
    for (const k of keys) followers[index.get(k)!]!.push(i)
  })
  const from = new Int32Array(n + 1)
  for (let i = 0; i < n; i++) from[i + 1] = from[i]! + followers[i]!.length
  return {
    now: Math.max(shop.minute, 1),
    people: people.map((p) => calendarFor(p, shop.today)),
    who: Int32Array.from(who),
    from,
    next: Int32Array.from(followers.flat()),
    waits: Int32Array.from(pending, (p) => p.length),
    cures: Int32Array.from(items, (i) => Math.round(i.work.cures * 60)),
  }
}

/** How long something is waited for; undefined where the shop has it, or nothing is known to be missing. */
function waitOf(
  of: Waits,
  commission: string,
  today: string,
  coming: ReadonlyMap<string, Coming>,
  guesses: Guesses,
): Wait | undefined {
  const thing = numberOf(`${commission} ${of.kind} ${of.id}`)
  if (of.kind !== 'part') {
    const already = of.since ? Math.max(0, daysBetween(of.since, today)) : 0
    return { of, commission, lasts: guesses.answer, already, later: 0, ordered: true, thing }
  }
  const order = coming.get(`${commission} ${of.id}`)
  if (!order) return undefined
  const since = order.orderedOn
  const named = since && order.expected ? Math.max(1, daysBetween(since, order.expected)) : undefined
  return {
    ...{ of, commission, thing, later: order.late ?? 0, ordered: !!since },
    lasts: named === undefined ? guesses.leadOf(order.supplier) : { median: named, spread: NAMED_SPREAD },
    already: since ? Math.max(0, daysBetween(since, today)) : 0,
  }
}

/** The minute of a day of the plan at which a day's work begins. */
export const opens = (day: number): number => day * DAY + BEGINS
