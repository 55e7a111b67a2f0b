import { after, isOf, reach } from '../controls'
import type { ControlRow, Saber } from '../record'

/** Whether nothing is going on in a mode: off or asleep. */
export const isDark = (s: Pick<Saber, 'modes'>, mode: string): boolean => ['off', 'asleep'].includes(isOf(s, mode))

/** Up to so many gestures every order is looked at. */
export const MOST_EXACT = 8

/**
 * What an order of gestures costs, the worst first: how many of them cannot be made where they stand, whether it ends alight,
 * how many others have to be made between, how often it goes dark before its time, and how far it is from the order given.
 */
export type WalkCost = readonly [stuck: number, alight: number, between: number, dark: number, turned: number]

const less = (a: WalkCost, b: WalkCost): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return a[i]! < b[i]!
  return false
}
type Modes = Pick<Saber, 'modes'>

/** What showing a gesture adds in a mode, with the ways that what was shown offers, and with `left` still to be shown. */
function stepCost(
  s: Modes,
  ways: () => Map<string, ControlRow[]>,
  mode: string,
  r: ControlRow,
  left: readonly ControlRow[],
) {
  const way = r.mode === mode ? 0 : ways().get(r.mode)?.length
  const to = after(s, r)
  const early = !isDark(s, r.mode) && isDark(s, to) && left.some((x) => !isDark(s, x.mode))
  return { stuck: way === undefined ? 1 : 0, between: way ?? 0, dark: early ? 1 : 0, to }
}

/** The cost of showing gestures in the order in which they stand; `told` is the order in which they would be told. */
export function walkCost(s: Modes, rows: readonly ControlRow[], start: string, told: readonly ControlRow[]): WalkCost {
  let [stuck, between, dark, turned, mode] = [0, 0, 0, 0, start]
  rows.forEach((r, i) => {
    const from = mode
    const c = stepCost(s, () => reach(s, rows.slice(0, i), from), mode, r, rows.slice(i + 1))
    stuck += c.stuck
    between += c.between
    dark += c.dark
    turned += rows.slice(i + 1).filter((x) => told.indexOf(x) < told.indexOf(r)).length
    mode = c.to
  })
  return [stuck, rows.length && !isDark(s, mode) ? 1 : 0, between, dark, turned]
}

/**
 * The order in which gestures are shown so that each is possible where the one before has led, with as few others between as
 * can be, dark at its end and not before, and else as they would be told. Between them only gestures that were shown already.
 * Up to eight the best of all orders; beyond, the better of a search step by step and the order given.
 */
export function walked(s: Modes, rows: readonly ControlRow[], start: string): ControlRow[] {
  if (rows.length <= MOST_EXACT) return exactly(s, rows, start)
  const greedy = stepByStep(s, rows, start)
  return less(walkCost(s, rows, start, rows), walkCost(s, greedy, start, rows)) ? [...rows] : greedy
}

/** The best order of all, by what was shown and which came last. */
function exactly(s: Modes, rows: readonly ControlRow[], start: string): ControlRow[] {
  const n = rows.length
  if (n < 2) return [...rows]
  interface Best {
    cost: WalkCost
    order: number[]
    mode: string
  }
  // Ways are sought once for a set of gestures and a mode.
  const found = new Map<string, Map<string, ControlRow[]>>()
  const waysOf = (order: readonly number[], mode: string) => {
    const key = `${order.reduce((set, k) => set | (1 << k), 0)} ${mode}`
    let ways = found.get(key)
    if (!ways) {
      ways = reach(
        s,
        order.map((k) => rows[k]!),
        mode,
      )
      found.set(key, ways)
    }
    return ways
  }
  let layer = new Map<number, Best>([[-1, { cost: [0, 0, 0, 0, 0], order: [], mode: start }]])
  for (let size = 1; size <= n; size++) {
    const next = new Map<number, Best>()
    for (const best of layer.values())
      for (let i = 0; i < n; i++) {
        if (best.order.includes(i)) continue
        const r = rows[i]!
        const left = rows.filter((_, k) => k !== i && !best.order.includes(k))
        const c = stepCost(s, () => waysOf(best.order, best.mode), best.mode, r, left)
        const earlier = rows.filter((_, k) => k < i && k !== i && !best.order.includes(k)).length
        const [a, , b, d, e] = best.cost
        const alight = size === n && !isDark(s, c.to) ? 1 : 0
        const cost: WalkCost = [a + c.stuck, alight, b + c.between, d + c.dark, e + earlier]
        const key = [...best.order, i].reduce((set, k) => set | (1 << k), 0) * 16 + i
        const had = next.get(key)
        if (!had || less(cost, had.cost)) next.set(key, { cost, order: [...best.order, i], mode: c.to })
      }
    layer = next
  }
  const best = [...layer.values()].reduce((a, b) => (less(b.cost, a.cost) ? b : a))
  return best.order.map((k) => rows[k]!)
}

/** One after the other what fits best next, so that nothing that is left is out of reach. */
function stepByStep(s: Modes, rows: readonly ControlRow[], start: string): ControlRow[] {
  const to = (r: ControlRow) => after(s, r)
  const dark = (mode: string) => isDark(s, mode)
  const left = [...rows]
  const shown: ControlRow[] = []
  let mode = start
  /** How many of what is left could not be reached any more when this one is shown next. */
  const stranded = (r: ControlRow) => {
    const rest = left.filter((x) => x !== r)
    const found = reach(s, [...rest, ...shown, r], to(r))
    return rest.filter((x) => !found.has(x.mode)).length
  }
  while (left.length) {
    const near = reach(s, shown, mode)
    const rank = (r: ControlRow) => {
      const steps = near.get(r.mode)?.length
      const leadsOn = left.some((x) => x !== r && x.mode === to(r))
      return [
        steps === undefined ? 1 : 0,
        stranded(r),
        // What makes it dark waits for all that can still be shown without.
        !dark(r.mode) && dark(to(r)) && left.some((x) => x !== r && near.has(x.mode) && !(!dark(x.mode) && dark(to(x))))
          ? 1
          : 0,
        steps ?? 0,
        to(r) === r.mode ? 0 : leadsOn ? 1 : 2,
        left.indexOf(r),
      ]
    }
    const next = left
      .map((r) => ({ r, rank: rank(r) }))
      .sort((a, b) => a.rank.map((v, i) => v - b.rank[i]!).find((d) => d !== 0) ?? 0)[0]!.r
    left.splice(left.indexOf(next), 1)
    shown.push(next)
    mode = to(next)
  }
  return shown
}
