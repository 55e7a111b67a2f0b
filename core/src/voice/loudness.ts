/**
 * How loud a sound is to an ear (ITU-R BS.1770-4: K-weighting, gating; EBU Tech 3342: its range), of any number of channels that
 * count alike. Samples are pushed in pieces; what is kept is one energy for each tenth of a second.
 */
export interface Loudness {
  /** Integrated, LUFS; undefined for what is shorter than one block of 400 ms, and for what is below the gate throughout. */
  integrated: number | undefined
  /** Loudest block of 400 ms, LUFS; undefined where there is none. */
  momentary: number | undefined
  /** Between the quiet and the loud tenth of it, LU; undefined for what is shorter than one window of 3 s. */
  range: number | undefined
}

/** Tenths of a second in a block, and in the window of the range. */
const [BLOCK, WINDOW] = [4, 30]
/** LUFS under which nothing counts, and how far under the mean so far, for the loudness and for the range, LU. */
const GATE = { absolute: -70, integrated: -10, range: -20 }
/** Shares of the range. */
const [LOW, HIGH] = [0.1, 0.95]

const toLufs = (energy: number): number => -0.691 + 10 * Math.log10(energy)
const toEnergy = (lufs: number): number => 10 ** ((lufs + 0.691) / 10)

/** The two stages of the weighting at a rate: of the analogue prototypes whose figures at 48 kHz are published in BS.1770. */
function weighting(rate: number): { b: [number, number, number]; a: [number, number] }[] {
  const shelf = () => {
    const k = Math.tan((Math.PI * 1681.974450955533) / rate)
    const [q, high] = [0.7071752369554196, 10 ** (3.999843853973347 / 20)]
    const mid = high ** 0.4996667741545416
    const a0 = 1 + k / q + k * k
    return {
      b: [(high + (mid * k) / q + k * k) / a0, (2 * (k * k - high)) / a0, (high - (mid * k) / q + k * k) / a0],
      a: [(2 * (k * k - 1)) / a0, (1 - k / q + k * k) / a0],
    }
  }
  const highPass = () => {
    const k = Math.tan((Math.PI * 38.13547087602444) / rate)
    const q = 0.5003270373238773
    const a0 = 1 + k / q + k * k
    return { b: [1, -2, 1], a: [(2 * (k * k - 1)) / a0, (1 - k / q + k * k) / a0] }
  }
  return [shelf(), highPass()] as ReturnType<typeof weighting>
}

/** Listens to samples as they come, one array for each channel; `read` may be asked at any time. */
export function loudnessMeter(rate: number, channels: number) {
  const [one, two] = weighting(rate)
  const [b0, b1, b2] = one!.b
  const [a1, a2] = one!.a
  const [c1, c2] = two!.a
  /** Of each channel: both delays of either stage. */
  const state = new Float64Array(channels * 4)
  /** The mean square of each tenth of a second, all channels together. */
  const tenths: number[] = []
  let [frames, sum, until] = [0, 0, Math.round(rate / 10)]
  let began = 0

  /** A channel through both stages; the sum of its squares. */
  function weighed(x: Float32Array, from: number, to: number, ch: number): number {
    const at = ch * 4
    let [s1, s2, t1, t2] = [state[at]!, state[at + 1]!, state[at + 2]!, state[at + 3]!]
    let square = 0
    for (let i = from; i < to; i++) {
      const v = x[i]!
      const y = b0 * v + s1
      s1 = b1 * v - a1 * y + s2
      s2 = b2 * v - a2 * y
      // The second stage’s own numerator is 1, −2, 1.
      const z = y + t1
      t1 = t2 - 2 * y - c1 * z
      t2 = y - c2 * z
      square += z * z
    }
    state[at] = s1
    state[at + 1] = s2
    state[at + 2] = t1
    state[at + 3] = t2
    return square
  }

  return {
    push(piece: readonly Float32Array[]) {
      const length = piece[0]!.length
      for (let from = 0; from < length; ) {
        const to = Math.min(length, from + until - frames)
        for (let ch = 0; ch < channels; ch++) sum += weighed(piece[ch]!, from, to, ch)
        frames += to - from
        from = to
        if (frames < until) continue
        tenths.push(sum / (frames - began))
        sum = 0
        began = frames
        until = Math.round(((tenths.length + 1) * rate) / 10)
      }
    },
    read: (): Loudness => readLoudness(tenths),
  }
}

/** Means over so many tenths, one for each tenth at which they are all there. */
function means(tenths: readonly number[], n: number): number[] {
  const out: number[] = []
  for (let i = n; i <= tenths.length; i++) {
    let sum = 0
    for (let k = i - n; k < i; k++) sum += tenths[k]!
    out.push(sum / n)
  }
  return out
}
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length
/** What is above the absolute gate, and above the relative one that follows from it. */
function gated(blocks: readonly number[], relative: number): number[] {
  const heard = blocks.filter((e) => e > toEnergy(GATE.absolute))
  if (!heard.length) return []
  const least = mean(heard) * 10 ** (relative / 10)
  return heard.filter((e) => e > least)
}

function readLoudness(tenths: readonly number[]): Loudness {
  const blocks = means(tenths, BLOCK)
  const counted = gated(blocks, GATE.integrated)
  const loudest = blocks.reduce((a, b) => Math.max(a, b), 0)
  const windows = gated(means(tenths, WINDOW), GATE.range).sort((a, b) => a - b)
  const share = (p: number) => toLufs(windows[Math.round((windows.length - 1) * p)]!)
  return {
    integrated: counted.length ? toLufs(mean(counted)) : undefined,
    momentary: loudest > 0 ? toLufs(loudest) : undefined,
    range: tenths.length < WINDOW ? undefined : windows.length ? share(HIGH) - share(LOW) : 0,
  }
}
