import { type Loudness, loudnessMeter } from './loudness'
import { peakMeter } from './true-peak'

/** What the samples of a sound say of it, as the board plays it: on one channel, every stored channel as loud as the others. */
export interface Measured extends Loudness {
  seconds: number
  /** Highest sample and highest between samples, dB under full scale; −200 for silence. */
  peakDb: number
  truePeakDb: number
  rmsDb: number
  /** Places where two samples and more one after the other lie at full scale, in any stored channel. */
  clips: number
  /** Mean of the samples, full scale = 1. */
  dc: number
  /** Silence below −60 dB under full scale at the beginning and the end, s. */
  leadSilence: number
  tailSilence: number
  seam: Seam
  /** When a hundredth of its energy has come, and when nine tenths have, s from the beginning. */
  begins: number
  arrives: number
}
/** Where the end of a loop meets its beginning. */
export interface Seam {
  /** From the last sample to the first, full scale = 1. */
  jump: number
  /** That is heard as a click: a step unlike any beside it. */
  clicks: boolean
}

/** Below what 32 bits can hold, dB under full scale: a peak of nothing has some number, too. */
const FLOOR_DB = -200
const toDb = (x: number): number => (x <= 0 ? FLOOR_DB : Math.max(FLOOR_DB, 20 * Math.log10(x)))
/** What counts as silence at either end: 60 dB under full scale, as the decay of a room is measured (ISO 3382). */
const SILENCE = 10 ** (-60 / 20)
/** So much of either end is looked at beside the seam, s; a jump above so many of its steps, and so high, clicks. */
const SEAM = { seconds: 0.01, steps: 4, least: 0.01 }
/** Windows in which its energy is kept, s, and the shares of it that begin and have arrived. */
const ENERGY = { window: 0.01, begins: 0.01, arrives: 0.9 }
/** Shortest run at full scale that is clipping and no mere peak. */
const RUN = 2

/**
 * Measures a sound that comes in pieces, each an array for every stored channel; `full` is what counts as full scale. Memory
 * follows a tenth of a second and the number of windows, never the length of a piece. Source: BS.1770-4, EBU Tech 3342.
 */
export function soundMeter(rate: number, channels: number, full: number) {
  const loudness = loudnessMeter(rate, 1)
  const peaks = peakMeter(rate)
  const window = Math.max(1, Math.round(rate * ENERGY.window))
  const edge = Math.max(2, Math.round(rate * SEAM.seconds))
  const energies: number[] = []
  const runs = new Int32Array(channels)
  let [frames, sum, square, inWindow, clips] = [0, 0, 0, 0, 0]
  let [first, last] = [-1, -1]
  let head = new Float32Array(0)
  let tail = new Float32Array(0)

  let mono = new Float32Array(0)
  function mix(piece: readonly Float32Array[]): Float32Array {
    const [one] = piece
    if (channels === 1) return one!
    const n = one!.length
    if (mono.length < n) mono = new Float32Array(n)
    const out = mono.subarray(0, n)
    if (channels === 2) {
      const other = piece[1]!
      for (let i = 0; i < n; i++) out[i] = (one![i]! + other[i]!) / 2
      return out
    }
    out.fill(0)
    for (const x of piece) for (let i = 0; i < n; i++) out[i]! += x[i]!
    for (let i = 0; i < n; i++) out[i]! /= channels
    return out
  }
  function clipped(x: Float32Array, ch: number) {
    const least = -full
    let [run, found] = [runs[ch]!, 0]
    for (let i = 0; i < x.length; i++) {
      const v = x[i]!
      if (v < full && v > least) run = 0
      else if (++run === RUN) found++
    }
    runs[ch] = run
    clips += found
  }
  /** What is heard of a stretch that lies in one window of energy: its sum, and the sum of its squares. */
  const stretch = (x: Float32Array, from: number, to: number): readonly [number, number] => {
    let [total, squares] = [0, 0]
    for (let i = from; i < to; i++) {
      const v = x[i]!
      total += v
      squares += v * v
    }
    return [total, squares]
  }
  const loud = (v: number) => v > SILENCE || v < -SILENCE
  function heard(x: Float32Array) {
    const n = x.length
    for (let from = 0; from < n; ) {
      const to = Math.min(n, from + window - ((frames + from) % window))
      const [total, squares] = stretch(x, from, to)
      sum += total
      inWindow += squares
      from = to
      if ((frames + from) % window) continue
      energies.push(inWindow)
      square += inWindow
      inWindow = 0
    }
    for (let i = 0; first < 0 && i < n; i++) if (loud(x[i]!)) first = frames + i
    let end = n - 1
    while (end >= 0 && !loud(x[end]!)) end--
    if (end >= 0) last = frames + end
  }
  const joined = (a: Float32Array, b: Float32Array) => {
    const both = new Float32Array(a.length + b.length)
    both.set(a)
    both.set(b, a.length)
    return both
  }

  return {
    push(piece: readonly Float32Array[]) {
      const mono = mix(piece)
      for (let ch = 0; ch < channels; ch++) clipped(piece[ch]!, ch)
      heard(mono)
      loudness.push([mono])
      peaks.push(mono)
      if (head.length < edge) head = joined(head, mono.subarray(0, edge - head.length))
      tail = mono.length >= edge ? mono.slice(-edge) : joined(tail, mono).slice(-edge)
      frames += mono.length
    },
    /** What was heard; nothing may be pushed after. */
    read(): Measured {
      const peak = peaks.read()
      const total = square + inWindow
      const silent = last < 0
      const when = (share: number) => {
        let [had, n] = [0, 0]
        while (n < energies.length && had + energies[n]! < share * total) had += energies[n++]!
        return Math.min(frames, n * window) / rate
      }
      return {
        ...loudness.read(),
        seconds: frames / rate,
        ...{
          peakDb: toDb(peak.sample),
          truePeakDb: toDb(peak.true),
          rmsDb: toDb(Math.sqrt(total / Math.max(1, frames))),
        },
        ...{ clips, dc: frames ? sum / frames : 0 },
        leadSilence: (silent ? frames : first) / rate,
        tailSilence: silent ? 0 : (frames - 1 - last) / rate,
        seam: seamOf(head, tail),
        ...{ begins: total ? when(ENERGY.begins) : 0, arrives: total ? when(ENERGY.arrives) : 0 },
      }
    },
  }
}

/** How the end meets the beginning, against the steps from sample to sample on both sides. */
function seamOf(head: Float32Array, tail: Float32Array): Seam {
  if (!head.length) return { jump: 0, clicks: false }
  let [square, n] = [0, 0]
  for (const x of [head, tail])
    for (let i = 1; i < x.length; i++) {
      square += (x[i]! - x[i - 1]!) ** 2
      n++
    }
  const jump = Math.abs(tail.at(-1)! - head[0]!)
  return { jump, clicks: jump > SEAM.least && jump > SEAM.steps * Math.sqrt(square / Math.max(1, n)) }
}
