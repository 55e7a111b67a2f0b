/**
 * The highest that a wave reaches between its samples (ITU-R BS.1770-4, annex 2: seen four times as finely at 48 kHz), as full
 * scale = 1. A stretch whose samples are too low to reach the peak so far, however they lie, is passed over.
 */

/** Taps of each phase. */
const TAPS = 28
/** At so many samples a second and more nothing is hidden between them. */
const FINE_ENOUGH = 192_000
/** Samples that are judged together whether they can exceed the peak so far. */
const STRETCH = 64

/** Taps on either side of a place whose samples are looked at one by one before all of them are. */
const NEAR = 3
interface Phase {
  taps: Float64Array
  /** Sizes of the nearest taps, and what all the others make at most of samples of 1. */
  near: Float64Array
  rest: number
}
interface Phases {
  list: Phase[]
  /** The most that a phase makes of samples of 1. */
  most: number
}
const known = new Map<number, Phases>()

/** The zeroth Bessel function of the first kind, modified: the window’s shape. */
function bessel(x: number): number {
  let [sum, term] = [1, 1]
  for (let k = 1; term > sum * 1e-12; k++) {
    term *= (x / (2 * k)) ** 2
    sum += term
  }
  return sum
}

/** A windowed sinc (Kaiser) for each place between two samples, each summing to 1, so that a constant stays what it is. */
function phasesOf(times: number): Phases {
  const had = known.get(times)
  if (had) return had
  const [half, beta] = [TAPS / 2, 7]
  const taps = Array.from({ length: times - 1 }, (_, i) => {
    const at = (i + 1) / times
    const h = Float64Array.from({ length: TAPS }, (_, k) => {
      const x = k - (half - 1) - at
      const w = 1 - (x / half) ** 2
      return w <= 0 ? 0 : ((Math.sin(Math.PI * x) / (Math.PI * x)) * bessel(beta * Math.sqrt(w))) / bessel(beta)
    })
    const sum = h.reduce((a, b) => a + b, 0)
    return h.map((v) => v / sum)
  })
  const sizes = (h: Float64Array) => h.reduce((a, b) => a + Math.abs(b), 0)
  const list = taps.map((h) => {
    const near = h.slice(half - NEAR, half + NEAR).map(Math.abs)
    return { taps: h, near, rest: sizes(h) - sizes(near) }
  })
  const phases = { list, most: Math.max(1, ...taps.map(sizes)) }
  known.set(times, phases)
  return phases
}

/** How many times as finely a rate is looked at, so that it comes to 192 kHz or more. */
const timesAt = (rate: number): number =>
  rate >= FINE_ENOUGH ? 1 : 2 ** Math.ceil(Math.log2(FINE_ENOUGH / Math.max(rate, 12_000)))

/**
 * The highest at one place between samples, from … to, where it is above what there has been. The nearest samples and the highest
 * of all bound it from above: where that is not enough, the sum itself is not made.
 */
function highestBetween(
  x: Float32Array,
  sizes: Float32Array,
  from: number,
  to: number,
  { taps, near, rest }: Phase,
  top: number,
  so: number,
): number {
  const [n0, n1, n2, n3, n4, n5] = near as unknown as [number, number, number, number, number, number]
  const far = rest * top
  let best = so
  for (let i = from, c = from + TAPS / 2 - NEAR; i < to; i++, c++) {
    const most =
      n0 * sizes[c]! +
      n1 * sizes[c + 1]! +
      n2 * sizes[c + 2]! +
      n3 * sizes[c + 3]! +
      n4 * sizes[c + 4]! +
      n5 * sizes[c + 5]! +
      far
    if (most <= best) continue
    let v = 0
    for (let k = 0; k < TAPS; k++) v += taps[k]! * x[i + k]!
    if (v < 0) v = -v
    if (v > best) best = v
  }
  return best
}

/** Looks at samples of one channel as they come; silence lies before the first and behind the last. */
export function peakMeter(rate: number) {
  const { list, most } = phasesOf(timesAt(rate))
  /** The end of the piece before, then the piece. */
  let held = new Float32Array(TAPS - 1)
  let [sample, between] = [0, 0]

  /** The highest sample from … to. */
  function highest(x: Float32Array, from: number, to: number): number {
    let top = 0
    for (let i = from; i < to; i++) {
      const a = x[i]! < 0 ? -x[i]! : x[i]!
      if (a > top) top = a
    }
    return top
  }
  function look(x: Float32Array) {
    const last = x.length - TAPS + 1
    // The highest of each stretch; a place between samples sees its own and the one or two behind it.
    const tops: number[] = []
    for (let from = 0; from < x.length; from += STRETCH) {
      const top = highest(x, from, Math.min(x.length, from + STRETCH))
      if (top > sample) sample = top
      tops.push(top)
    }
    if (sample > between) between = sample
    const sizes = x.map(Math.abs)
    for (let n = 0, from = 0; from < last; n++, from += STRETCH) {
      const top = Math.max(tops[n]!, tops[n + 1] ?? 0)
      if (top * most <= between) continue
      for (const phase of list)
        between = highestBetween(x, sizes, from, Math.min(last, from + STRETCH), phase, top, between)
    }
  }
  return {
    push(piece: Float32Array) {
      const x = new Float32Array(held.length + piece.length)
      x.set(held)
      x.set(piece, held.length)
      look(x)
      held = x.slice(-(TAPS - 1))
    },
    /** Of samples, and of what lies between them; nothing may be pushed after. */
    read() {
      look(Float32Array.from({ length: 2 * (TAPS - 1) }, (_, i) => held[i] ?? 0))
      return { sample, true: Math.max(sample, between) }
    },
  }
}
