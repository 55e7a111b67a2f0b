import { type Calendar, closes, DAY, doneAt, firstWork, NEVER } from './calendar'

/**
 * The work of a shop as numbers. Items stand in the order in which they are taken: what stands earlier goes first. What an item
 * waits for may stand anywhere.
 */
export interface Bench {
  /** From which minute on there is work. */
  now: number
  people: readonly Calendar[]
  /** Who may do an item: one bit a person. 0: nobody can. */
  who: Int32Array
  /** What waits for an item, as a list: `next[from[i]]` up to `next[from[i + 1] - 1]`. */
  from: Int32Array
  next: Int32Array
  /** How many items an item waits for. */
  waits: Int32Array
  /** Minutes that pass by themselves after it. */
  cures: Int32Array
}
/** What came of it: who did each, from when to when, and from when on it could have been done. */
export interface Ran {
  start: Int32Array
  end: Int32Array
  ready: Int32Array
  by: Int8Array
}
export const ranOf = (n: number): Ran => ({
  ...{ start: new Int32Array(n), end: new Int32Array(n) },
  ...{ ready: new Int32Array(n), by: new Int8Array(n) },
})

/** A set of small numbers that gives its smallest at once: a bit each, and a bit for each word of those. */
class Ready {
  private readonly bits: Int32Array
  private readonly words: Int32Array
  constructor(n: number) {
    this.bits = new Int32Array((n >> 5) + 1)
    this.words = new Int32Array((this.bits.length >> 5) + 1)
  }
  add(i: number): void {
    const w = i >> 5
    this.bits[w]! |= 1 << (i & 31)
    this.words[w >> 5]! |= 1 << (w & 31)
  }
  drop(i: number): void {
    const w = i >> 5
    this.bits[w]! &= ~(1 << (i & 31))
    if (!this.bits[w]) this.words[w >> 5]! &= ~(1 << (w & 31))
  }
  /** The smallest, or -1. */
  first(): number {
    for (let k = 0; k < this.words.length; k++) {
      const upper = this.words[k]!
      if (!upper) continue
      const w = (k << 5) + 31 - Math.clz32(upper & -upper)
      const lower = this.bits[w]!
      return (w << 5) + 31 - Math.clz32(lower & -lower)
    }
    return -1
  }
  clear(): void {
    this.bits.fill(0)
    this.words.fill(0)
  }
}

/** What becomes ready later, the earliest first: a heap of moments and items. */
class Later {
  private readonly at: Int32Array
  private readonly item: Int32Array
  private n = 0
  constructor(most: number) {
    this.at = new Int32Array(most)
    this.item = new Int32Array(most)
  }
  get next(): number {
    return this.n ? this.at[0]! : NEVER
  }
  clear(): void {
    this.n = 0
  }
  push(at: number, item: number): void {
    let i = this.n++
    while (i > 0) {
      const up = (i - 1) >> 1
      if (this.at[up]! <= at) break
      this.at[i] = this.at[up]!
      this.item[i] = this.item[up]!
      i = up
    }
    this.at[i] = at
    this.item[i] = item
  }
  pop(): number {
    const top = this.item[0]!
    const at = this.at[--this.n]!
    const item = this.item[this.n]!
    let i = 0
    for (let k = 1; k < this.n; k = 2 * i + 1) {
      if (k + 1 < this.n && this.at[k + 1]! < this.at[k]!) k++
      if (this.at[k]! >= at) break
      this.at[i] = this.at[k]!
      this.item[i] = this.item[k]!
      i = k
    }
    this.at[i] = at
    this.item[i] = item
    return top
  }
}

/** Runs a bench again and again; what it needs is laid out once. */
export function runner(bench: Bench): (minutes: Int32Array, notBefore: Int32Array, out: Ran) => void {
  const n = bench.who.length
  // Who may do the same lies in one set, so that somebody looks into few.
  const classes = [...new Set(bench.who)].filter(Boolean)
  const classOf = Int16Array.from(bench.who, (w) => classes.indexOf(w))
  const sets = classes.map(() => new Ready(n))
  const mine = bench.people.map((_, p) => classes.flatMap((mask, k) => (mask & (1 << p) ? [k] : [])))
  const later = new Later(n + 1)
  const left = new Int32Array(n)
  const freeAt = new Int32Array(bench.people.length)
  /** Until when each is at work without a break, as far as that was looked up. */
  const openUntil = new Int32Array(bench.people.length)

  /**
   * One course of it. Whoever is free takes, of what is ready and what he can do, what stands first; what he has begun he
   * ends before he takes another; his day's end interrupts it. Of two who are free at once the one who stands first takes first.
   * `minutes`: how long each item takes, at least 1. `notBefore`: the minute from which each may be done as far as it does not
   * hang on other items. What is never done has `end` NEVER.
   */
  return (minutes, notBefore, out) => {
    const { start, end, ready, by } = out
    left.set(bench.waits)
    later.clear()
    for (const s of sets) s.clear()
    for (let i = 0; i < n; i++) {
      start[i] = end[i] = NEVER
      by[i] = -1
      ready[i] = Math.max(notBefore[i]!, bench.now)
      if (left[i] === 0 && ready[i]! < NEVER && classOf[i]! >= 0) later.push(ready[i]!, i)
    }
    freeAt.fill(bench.now)
    openUntil.fill(0)
    for (let t = bench.now; t < NEVER; ) {
      while (later.next <= t) {
        const i = later.pop()
        sets[classOf[i]!]!.add(i)
      }
      let soonest = NEVER
      for (let p = 0; p < freeAt.length; p++) {
        // Whoever is not at work now is looked for when he is.
        let at = freeAt[p]!
        if (at <= t) {
          const c = bench.people[p]!
          if (t >= openUntil[p]!) {
            at = firstWork(c, t)
            if (at === t) openUntil[p] = closes(c, t)
          } else at = t
          if (at === t) {
            const item = firstFor(p)
            if (item < 0) continue
            sets[classOf[item]!]!.drop(item)
            start[item] = t
            by[item] = p
            at = t + minutes[item]!
            if (at > openUntil[p]!) {
              at = doneAt(c, t, minutes[item]!)
              openUntil[p] = 0
            }
            freeAt[p] = at
            if (at < NEVER) finish(item, at, out)
          } else if (firstFor(p) < 0) continue
        }
        if (at < soonest) soonest = at
      }
      t = Math.min(later.next, soonest)
    }
  }

  function firstFor(p: number): number {
    let best = -1
    for (const k of mine[p]!) {
      const i = sets[k]!.first()
      if (i >= 0 && (best < 0 || i < best)) best = i
    }
    return best
  }
  /** What is done lets go what waited for it; that it will be known only then makes no difference to what is taken before. */
  function finish(item: number, at: number, out: Ran): void {
    out.end[item] = at
    const free = at + bench.cures[item]!
    for (let k = bench.from[item]!; k < bench.from[item + 1]!; k++) {
      const i = bench.next[k]!
      if (free > out.ready[i]!) out.ready[i] = free
      if (--left[i]! === 0 && out.ready[i]! < NEVER && classOf[i]! >= 0) later.push(out.ready[i]!, i)
    }
  }
}

/** The day on which a minute lies. What ends at midnight ends on the day before. */
export const dayOf = (t: number): number => Math.floor((t - 1) / DAY)
