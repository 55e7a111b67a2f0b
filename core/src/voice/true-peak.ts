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

/** Taps on either side of a place whose samples are looked at before all of them are. */
const NEAR = 3
/** So many taps at either end are summed last, where the others do not settle it. */
const INNER = 11
interface Phases {
  /** The taps of every place between two samples, one after the other. */
  taps: Float64Array
  places: number
  /**
   * The most that any place between two samples makes of them, by how far they stand from it: of the higher of the nearest two, of
   * the lower, of both of the next two pairs; and of all others, each as high as 1.
   */
  higher: number
  lower: number
  next: number
  after: number
  rest: number
  /** What the outer taps make at most of samples of 1. */
  outer: number
  /** The most that a place makes of samples of 1. */
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
  const phases = boundsOf(taps)
  known.set(times, phases)
  return phases
}
function boundsOf(list: readonly Float64Array[]): Phases {
  const half = TAPS / 2
  const size = (h: Float64Array, from: number, to: number) => h.slice(from, to).reduce((a, b) => a + Math.abs(b), 0)
  const pair = (h: Float64Array, n: number) => Math.max(Math.abs(h[half - 1 - n]!), Math.abs(h[half + n]!))
  const most = (of: (h: Float64Array) => number) => Math.max(0, ...list.map(of))
  const higher = most((h) => pair(h, 0))
  // Of two nearest samples a ≥ b: what a place makes of them is at most higher·a + lower·b, whichever of them it stands nearer to.
  const lower = most((h) => {
    const [p, q] = [Math.abs(h[half - 1]!), Math.abs(h[half]!)]
    return Math.max(Math.min(p, q), p + q - higher)
  })
  return {
    taps: Float64Array.from(list.flatMap((h) => [...h])),
    places: list.length,
    ...{ higher, lower, next: most((h) => pair(h, 1)), after: most((h) => pair(h, 2)) },
    rest: most((h) => size(h, 0, half - NEAR) + size(h, half + NEAR, TAPS)),
    outer: most((h) => size(h, 0, INNER) + size(h, TAPS - INNER, TAPS)),
    most: Math.max(
      1,
      most((h) => size(h, 0, TAPS)),
    ),
  }
}

/** How many times as finely a rate is looked at, so that it comes to 192 kHz or more. */
const timesAt = (rate: number): number =>
  rate >= FINE_ENOUGH ? 1 : 2 ** Math.ceil(Math.log2(FINE_ENOUGH / Math.max(rate, 12_000)))

/**
 * The highest between samples, from … to, where it is above what there has been. What the nearest samples make at most, and the
 * highest of all, bound it from above: where that is not enough, no sum is made.
 */
function highestBetween(x: Float32Array, from: number, to: number, of: Phases, top: number, so: number): number {
  const { taps, places, higher, lower, next, after } = of
  const far = of.rest * top
  const outer = of.outer * top
  const first = TAPS / 2 - NEAR
  let best = so
  // The six samples around the place, which go along with it.
  let p = Math.abs(x[from + first]!)
  let q = Math.abs(x[from + first + 1]!)
  let a = Math.abs(x[from + first + 2]!)
  let b = Math.abs(x[from + first + 3]!)
  let r = Math.abs(x[from + first + 4]!)
  for (let i = from; i < to; i++) {
    const s = Math.abs(x[i + first + 5]!)
    const bound = (a > b ? higher * a + lower * b : higher * b + lower * a) + next * (q + r) + after * (p + s) + far
    if (bound > best)
      for (let n = 0; n < places; n++) {
        const at = n * TAPS
        let v = 0
        for (let k = INNER; k < TAPS - INNER; k++) v += taps[at + k]! * x[i + k]!
        if ((v > 0 ? v : -v) + outer <= best) continue
        for (let k = 0; k < INNER; k++) v += taps[at + k]! * x[i + k]! + taps[at + TAPS - 1 - k]! * x[i + TAPS - 1 - k]!
        if (v > best) best = v
        else if (-v > best) best = -v
      }
    p = q
    q = a
    a = b
    b = r
    r = s
  }
  return best
}

/** Looks at samples of one channel as they come; silence lies before the first and behind the last. */
export function peakMeter(rate: number) {
  const phases = phasesOf(timesAt(rate))
  /** The end of the piece before, then the piece. */
  let room = new Float32Array(TAPS - 1)
  let tops = new Float32Array(0)
  let [sample, between] = [0, 0]

  /** The highest sample from … to. */
  function highest(x: Float32Array, from: number, to: number): number {
    let [most, least] = [0, 0]
    for (let i = from; i < to; i++) {
      const v = x[i]!
      if (v > most) most = v
      else if (v < least) least = v
    }
    return Math.max(most, -least)
  }
  function look(x: Float32Array) {
    const last = x.length - TAPS + 1
    const stretches = Math.ceil(x.length / STRETCH)
    if (tops.length < stretches + 1) tops = new Float32Array(stretches + 1)
    // The highest of each stretch; a place between samples sees its own and the one behind it.
    for (let n = 0, from = 0; from < x.length; n++, from += STRETCH) {
      tops[n] = highest(x, from, Math.min(x.length, from + STRETCH))
      if (tops[n]! > sample) sample = tops[n]!
    }
    tops[stretches] = 0
    let so = Math.max(sample, between)
    for (let n = 0, from = 0; from < last; n++, from += STRETCH) {
      const top = Math.max(tops[n]!, tops[n + 1]!)
      if (top * phases.most > so) so = highestBetween(x, from, Math.min(last, from + STRETCH), phases, top, so)
    }
    between = so
  }
  const held = TAPS - 1
  return {
    push(piece: Float32Array) {
      const n = held + piece.length
      if (room.length < n) {
        const wider = new Float32Array(n)
        wider.set(room.subarray(0, held))
        room = wider
      }
      room.set(piece, held)
      look(room.subarray(0, n))
      room.copyWithin(0, n - held, n)
    },
    /** Of samples, and of what lies between them; nothing may be pushed after. */
    read() {
      const end = new Float32Array(2 * held)
      end.set(room.subarray(0, held))
      look(end)
      return { sample, true: Math.max(sample, between) }
    },
  }
}
