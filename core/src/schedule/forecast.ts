import { dayAfter, daysBetween } from '../units'
import { DAY, firstWork, NEVER } from './calendar'
import { drawOf, type Lasting, lastingOf, shareOf } from './chance'
import { ARRIVES, calendarFor, opens, type Plan } from './plan'
import { type Bench, dayOf, type Ran, ranOf, runner } from './run'

/** What holds a commission up longest: a thing that is waited for, the hours of somebody, the day for which it is set, or only the work itself. */
export type HeldUp =
  | { by: 'wait'; wait: number; share: number }
  | { by: 'person'; person: string; share: number }
  | { by: 'day'; key: string; share: number }

/** How a commission will likely go. */
export interface Outlook {
  id: string
  /** Half of the draws are done by then, and eight of ten. Absent where it cannot be done. */
  likely?: string
  surely?: string
  /** The share of draws in which the promise is kept; absent where nothing is promised. */
  chance?: number
  held?: HeldUp
}
/** Whose hours are short: how much of the next two weeks he is busy, and how many working days of others' commissions wait for him. */
export interface Busy {
  person: string
  share: number
}
export interface Forecast {
  draws: number
  outlooks: Outlook[]
  busy: Busy[]
  /** The day on which all is done, in half of the draws; absent where something cannot be done. */
  all?: string
}
/** Hours that somebody works on top, and whether the plan without them stays allowed: it does. */
export interface More {
  person: string
  day: number
  hours: number
}

/** Causes are looked for in every so-manieth draw. */
const LOOKED_AT = 16
/** Days over which somebody's hours are counted. */
const NEAR = 14

/** What is not known: how long everything takes, and when it comes. */
class Draws {
  readonly minutes: Int32Array
  readonly notBefore: Int32Array
  readonly comes: Int32Array
  private readonly work: Lasting[]
  private readonly waits: Lasting[]
  private readonly set: Int32Array
  /** Numbers of the draw that fall to work and to waits, one after the other. */
  private readonly shares: Float64Array

  constructor(private readonly plan: Plan) {
    const { items, waits, shop } = plan
    this.minutes = new Int32Array(items.length)
    this.notBefore = new Int32Array(items.length)
    this.comes = new Int32Array(waits.length)
    this.work = items.map((i) => lastingOf(i.guess, i.work.spent))
    this.waits = waits.map((w) => lastingOf(w.lasts, w.already))
    this.set = Int32Array.from(items, (i) => (i.work.on ? opens(Math.max(0, daysBetween(shop.today, i.work.on))) : 0))
    this.shares = new Float64Array(items.length + waits.length).fill(0.5)
  }

  /** How long everything takes in one draw, from the seed alone: the same for the same work, whatever else is planned. */
  draw(n: number, seed: number): void {
    const turn = Math.imul(n + 1, 0x9e3779b1) ^ seed
    const { things, waits } = this.plan
    for (let i = 0; i < things.length; i++) this.shares[i] = shareOf(turn, things[i]!)
    for (let w = 0; w < waits.length; w++) this.shares[things.length + w] = shareOf(turn, waits[w]!.thing)
    this.take()
  }

  /** How long everything takes by its share; half of the time, before the first draw. */
  take(): void {
    const { items, waits } = this.plan
    const n = items.length
    for (let w = 0; w < waits.length; w++) {
      const l = this.waits[w]!
      const days = drawOf(l, this.shares[n + w]!) - l.already
      this.comes[w] = Math.min(NEVER, Math.ceil(days + waits[w]!.later) * DAY + ARRIVES)
    }
    for (let i = 0; i < n; i++) {
      const l = this.work[i]!
      const minutes = Math.round((drawOf(l, this.shares[i]!) - l.already) * 60)
      this.minutes[i] = minutes < 1 ? 1 : Math.min(NEVER, minutes)
      let at = this.set[i]!
      const mine = items[i]!.waits
      for (let k = 0; k < mine.length; k++) at = Math.max(at, this.comes[mine[k]!]!)
      this.notBefore[i] = at
    }
  }
}

/** A bench on which somebody works longer on some days. */
function withMore(plan: Plan, more: readonly More[]): Bench {
  const people = plan.people.map((p, k) => {
    const mine = more.filter((m) => m.person === p.id || m.person === p.name)
    return mine.length
      ? calendarFor(p, plan.shop.today, new Map(mine.map((m) => [m.day, m.hours])))
      : plan.bench.people[k]!
  })
  return { ...plan.bench, people }
}

/**
 * How the open commissions will go, from so many draws of everything that is not known: how long work takes, when parts come and
 * clients answer. The same for the same seed. With `more` hours the plan without them stays allowed, and in each draw the one that
 * is done sooner counts, so that more hours never end later. Nothing is promised of what cannot be done.
 */
export function forecast(
  plan: Plan,
  { draws = 1000, seed = 1, more = [] }: { draws?: number; seed?: number; more?: readonly More[] } = {},
): Forecast {
  const n = plan.items.length
  const open = plan.shop.open.length
  const drawn = new Draws(plan)
  const openOf = Int32Array.from(plan.items, (i) => i.open)
  const usual = runner(plan.bench)
  const longer = more.length ? runner(withMore(plan, more)) : undefined
  const [one, other] = [ranOf(n), ranOf(n)]
  const ends = new Int32Array(open * draws)
  const wholes = new Int32Array(draws)
  const causes = plan.shop.open.map(() => new Map<string, { held: HeldUp; by: number }>())
  const worked = new Float64Array(plan.people.length)
  let looked = 0
  for (let d = 0; d < draws; d++) {
    drawn.draw(d, seed)
    usual(drawn.minutes, drawn.notBefore, one)
    let ran: Ran = one
    if (longer) {
      longer(drawn.minutes, drawn.notBefore, other)
      if (wholeOf(other) <= wholeOf(one)) ran = other
    }
    wholes[d] = dayOf(wholeOf(ran))
    for (let i = 0; i < n; i++) {
      const at = openOf[i]! * draws + d
      if (ran.end[i]! > ends[at]!) ends[at] = ran.end[i]!
    }
    if (d % LOOKED_AT) continue
    looked++
    countCauses(plan, ran, drawn.comes, causes)
    countHours(plan, ran, drawn.minutes, worked)
  }
  const half = (list: Int32Array) => list.toSorted()[Math.floor((draws - 1) * 0.5)]!
  const outlooks = plan.shop.open.map((o, k): Outlook => {
    const days = ends.subarray(k * draws, (k + 1) * draws).map((t) => (t >= NEVER ? NEVER : Math.max(0, dayOf(t))))
    return outlookOf(plan, o.id, o.promise, days, causes[k]!)
  })
  const whole = half(wholes)
  return {
    draws,
    outlooks,
    busy: plan.people.map((p, k) => ({
      person: p.name,
      share: shareWorked(plan, k, worked[k]! / Math.max(1, looked)),
    })),
    ...(n && whole < NEVER / DAY - 2 ? { all: dayAfter(plan.shop.today, whole) } : {}),
  }
}

const wholeOf = (r: Ran): number => {
  let last = 0
  for (let i = 0; i < r.end.length; i++) if (r.end[i]! > last) last = r.end[i]!
  return last
}

function outlookOf(
  plan: Plan,
  id: string,
  promise: string | undefined,
  days: Int32Array,
  causes: ReadonlyMap<string, { held: HeldUp; by: number }>,
): Outlook {
  const sorted = days.toSorted()
  const at = (share: number) => sorted[Math.floor((sorted.length - 1) * share)]!
  const named = (share: number) => (at(share) < NEVER ? dayAfter(plan.shop.today, at(share)) : undefined)
  const total = [...causes.values()].reduce((sum, c) => sum + c.by, 0)
  const most = [...causes.values()].toSorted((a, b) => b.by - a.by)[0]
  const due = promise === undefined ? undefined : daysBetween(plan.shop.today, promise)
  const [likely, surely] = [named(0.5), named(0.8)]
  return {
    id,
    ...(likely ? { likely } : {}),
    ...(surely ? { surely } : {}),
    ...(due === undefined ? {} : { chance: days.reduce((sum, d) => sum + (d <= due ? 1 : 0), 0) / days.length }),
    ...(most && total > 0 ? { held: { ...most.held, share: most.by / total } } : {}),
  }
}

/** Goes back from what ends a commission, and adds up, minute by minute, what each step of the way waited for. */
function countCauses(
  plan: Plan,
  ran: Ran,
  comes: Int32Array,
  causes: readonly Map<string, { held: HeldUp; by: number }>[],
): void {
  const last = new Int32Array(plan.shop.open.length).fill(-1)
  plan.items.forEach((item, i) => {
    const k = last[item.open]!
    if (ran.end[i]! < NEVER && (k < 0 || ran.end[i]! > ran.end[k]!)) last[item.open] = i
  })
  const before = plan.items.map(() => -1)
  const { bench } = plan
  for (let i = 0; i < plan.items.length; i++)
    for (let k = bench.from[i]!; k < bench.from[i + 1]!; k++) {
      const f = bench.next[k]!
      const b = before[f]!
      if (b < 0 || ran.end[i]! + bench.cures[i]! > ran.end[b]! + bench.cures[b]!) before[f] = i
    }
  last.forEach((end, open) => {
    const mine = causes[open]!
    const add = (key: string, held: HeldUp, by: number) => {
      const had = mine.get(key)
      if (had) had.by += by
      else if (by > 0) mine.set(key, { held, by })
    }
    for (let i = end; i >= 0; ) {
      const item = plan.items[i]!
      if (ran.by[i]! >= 0) {
        // Nights and days off are nobody's fault: only what he was busy for counts.
        const could = firstWork(bench.people[ran.by[i]!]!, ran.ready[i]!)
        const person = plan.people[ran.by[i]!]!.name
        add(`person ${person}`, { by: 'person', person, share: 0 }, ran.start[i]! - could)
      }
      const b = before[i]!
      const freed = b < 0 ? bench.now : ran.end[b]! + bench.cures[b]!
      const held = item.waits.reduce((most, w) => (most < 0 || comes[w]! > comes[most]! ? w : most), -1)
      if (held >= 0 && comes[held]! > freed)
        add(`wait ${held}`, { by: 'wait', wait: held, share: 0 }, comes[held]! - freed)
      else if (item.work.on && ran.ready[i]! > freed)
        add(`day ${item.work.key}`, { by: 'day', key: item.work.key, share: 0 }, ran.ready[i]! - freed)
      if (ran.ready[i]! > freed) break
      i = b
    }
  })
}

function countHours(plan: Plan, ran: Ran, minutes: Int32Array, worked: Float64Array): void {
  for (let i = 0; i < plan.items.length; i++) {
    const p = ran.by[i]!
    if (p < 0 || ran.start[i]! >= NEAR * DAY) continue
    const c = plan.bench.people[p]!
    // What is not done within these days counts as far as it is.
    const at = ran.start[i]! < NEVER ? c.before[Math.floor(ran.start[i]! / DAY)]! : 0
    worked[p]! += Math.min(minutes[i]!, Math.max(0, c.before[NEAR]! - at))
  }
}
const shareWorked = (plan: Plan, p: number, minutes: number) => {
  const all = plan.bench.people[p]!.before[NEAR]!
  return all > 0 ? Math.min(1, minutes / all) : 0
}

/** A stretch of somebody's day on the bench. */
export interface Stretch {
  person: string
  item: number
  /** Day from today, and minutes since midnight. */
  day: number
  from: number
  to: number
}
/** The course in which everything takes as long as it does half of the time: who does what when, day by day; with `more` hours as the forecast has it. */
export function typicalCourse(plan: Plan, more: readonly More[] = []): Stretch[] {
  const n = plan.items.length
  const drawn = new Draws(plan)
  drawn.take()
  const benches = [plan.bench, ...(more.length ? [withMore(plan, more)] : [])]
  const runs = benches.map((b) => {
    const r = ranOf(n)
    runner(b)(drawn.minutes, drawn.notBefore, r)
    return r
  })
  const longer = runs[1] !== undefined && wholeOf(runs[1]) <= wholeOf(runs[0]!)
  const [ran, bench] = longer ? [runs[1]!, benches[1]!] : [runs[0]!, plan.bench]
  const out: Stretch[] = []
  for (let i = 0; i < n; i++) {
    if (ran.end[i]! >= NEVER) continue
    const p = ran.by[i]!
    const c = bench.people[p]!
    for (let d = Math.floor(ran.start[i]! / DAY); d <= dayOf(ran.end[i]!); d++) {
      const from = Math.max(ran.start[i]!, opens(d))
      const to = Math.min(ran.end[i]!, opens(d) + c.minutes[d]!)
      if (to > from) out.push({ person: plan.people[p]!.name, item: i, day: d, from: from - d * DAY, to: to - d * DAY })
    }
  }
  return out.sort((a, b) => a.day - b.day || a.from - b.from || a.person.localeCompare(b.person))
}
