/** A repeatable source of even numbers in [0, 1): mulberry32, 32 bits of state. The core has no randomness of its own. */
export function evenNumbers(seed: number): () => number {
  let a = seed >>> 0
  return () => {
    a = (a + 0x6d2b79f5) >>> 0
    let t = Math.imul(a ^ (a >>> 15), a | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export interface CloseChance {
  draws: number
  /** Share of the draws in which it closes, 0…1. */
  share: number
  /** Slack below which 1 %, 50 % and 99 % of the draws lie, mm. */
  p1: number
  p50: number
  p99: number
  /** Counts of draws in 24 equal steps from the least to the greatest slack, for a picture. */
  histogram: { from: number; to: number; counts: number[] }
}

/**
 * The chance that a chain of lengths closes, by drawing every length from a normal distribution whose ±tolerance is three
 * standard deviations (Box–Muller on `evenNumbers`). `room` is the nominal slack, `tols` the tolerances, mm ≥ 0; a length
 * without a tolerance is taken as exact. With no tolerance at all the answer is 0 or 1.
 */
export function chanceToClose(room: number, tols: readonly number[], draws = 100_000, seed = 1): CloseChance {
  if (!Number.isFinite(room)) throw new RangeError(`chanceToClose: the slack must be a number, got ${room}`)
  if (!(draws >= 1)) throw new RangeError(`chanceToClose: needs at least one draw, got ${draws}`)
  const even = evenNumbers(seed)
  const sigmas = tols.filter((t) => t > 0).map((t) => t / 3)
  const slack = new Float64Array(draws)
  let closes = 0
  for (let n = 0; n < draws; n++) {
    let s = room
    for (const sigma of sigmas) s += sigma * Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even())
    slack[n] = s
    if (s >= 0) closes++
  }
  slack.sort()
  const at = (p: number) => slack[Math.min(draws - 1, Math.floor(p * draws))]!
  const [from, to] = [slack[0]!, slack[draws - 1]!]
  const counts = new Array<number>(24).fill(0)
  const step = (to - from) / 24 || 1
  for (const s of slack) counts[Math.min(23, Math.floor((s - from) / step))]!++
  return { draws, share: closes / draws, p1: at(0.01), p50: at(0.5), p99: at(0.99), histogram: { from, to, counts } }
}
