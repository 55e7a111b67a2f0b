/** A sound as it is drawn: the lowest and the highest sample of each of `n` equal stretches, −1…1. */
export interface Outline {
  seconds: number
  low: number[]
  high: number[]
}

/** Draws samples of one channel in at most `n` stretches (fewer where there are fewer samples); an empty sound is a flat line of none. */
export function outlineOf(samples: Float32Array, rate: number, n: number): Outline {
  const stretches = Math.max(0, Math.min(Math.floor(n), samples.length))
  const [low, high]: [number[], number[]] = [[], []]
  for (let k = 0; k < stretches; k++) {
    const from = Math.floor((k * samples.length) / stretches)
    const to = Math.floor(((k + 1) * samples.length) / stretches)
    let [least, most] = [samples[from]!, samples[from]!]
    for (let i = from + 1; i < to; i++) {
      const v = samples[i]!
      if (v < least) least = v
      else if (v > most) most = v
    }
    low.push(least)
    high.push(most)
  }
  return { seconds: samples.length / rate, low, high }
}
