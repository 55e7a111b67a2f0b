/** Signals that are known in advance, by what they are made of; samples at ±1. */
export type Signal = readonly Float32Array[]

const db = (x: number) => 10 ** (x / 20)
/** A sine for so many seconds, its peak in dB under full scale, the same on each channel. */
export const sine = (rate: number, seconds: number, peakDb: number, hz = 1000, phase = 0): Float32Array => {
  const a = db(peakDb)
  return Float32Array.from(
    { length: Math.round(rate * seconds) },
    (_, i) => a * Math.sin((2 * Math.PI * hz * i) / rate + phase),
  )
}
/** Ten milliseconds in and out: what begins at once is heard above its own peak. */
export const faded = (rate: number, x: Float32Array): Float32Array => {
  const n = rate / 100
  return x.map((v, i) => v * Math.min(1, i / n, (x.length - 1 - i) / n))
}
export const silence = (rate: number, seconds: number): Float32Array => new Float32Array(Math.round(rate * seconds))
/** One after the other. */
export function inTurn(...parts: Float32Array[]): Float32Array {
  const all = new Float32Array(parts.reduce((n, p) => n + p.length, 0))
  let at = 0
  for (const p of parts) {
    all.set(p, at)
    at += p.length
  }
  return all
}
export const stereo = (x: Float32Array): Signal => [x, x]
/** Noise that is the same each time: a linear congruence (Numerical Recipes). */
export function noise(rate: number, seconds: number, peakDb: number, seed = 1): Float32Array {
  let s = seed >>> 0
  return Float32Array.from({ length: Math.round(rate * seconds) }, () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0
    return db(peakDb) * (s / 2 ** 31 - 1)
  })
}
/** A sine that climbs from one pitch to another, its loudness breathing. */
export const sweep = (rate: number, seconds: number, peakDb: number, from = 40, to = 12_000): Float32Array => {
  const k = Math.log(to / from) / seconds
  const top = Math.min(to, rate * 0.45)
  const x = Float32Array.from({ length: Math.round(rate * seconds) }, (_, i) => {
    const t = i / rate
    const breath = 0.55 + 0.45 * Math.sin(2 * Math.PI * 0.4 * t)
    return from * Math.exp(k * t) > top
      ? 0
      : db(peakDb) * breath * Math.sin((2 * Math.PI * from * (Math.exp(k * t) - 1)) / k)
  })
  return faded(rate, x)
}

/** The samples in a WAV of 16, 24 or 32 bits, or of 32-bit float, written here by hand. */
export function wavOf(rate: number, signal: Signal, bits: 16 | 24 | 32 | 'float' = 'float'): Uint8Array {
  const [channels, frames] = [signal.length, signal[0]!.length]
  const width = bits === 'float' ? 4 : bits / 8
  const out = new Uint8Array(44 + frames * channels * width)
  const v = new DataView(out.buffer)
  const tag = (at: number, s: string) => out.set(new TextEncoder().encode(s), at)
  tag(0, 'RIFF')
  v.setUint32(4, out.length - 8, true)
  tag(8, 'WAVEfmt ')
  v.setUint32(16, 16, true)
  v.setUint16(20, bits === 'float' ? 3 : 1, true)
  v.setUint16(22, channels, true)
  v.setUint32(24, rate, true)
  v.setUint32(28, rate * channels * width, true)
  v.setUint16(32, channels * width, true)
  v.setUint16(34, width * 8, true)
  tag(36, 'data')
  v.setUint32(40, frames * channels * width, true)
  let p = 44
  for (let i = 0; i < frames; i++)
    for (let ch = 0; ch < channels; ch++, p += width) {
      const x = signal[ch]![i]!
      if (bits === 'float') v.setFloat32(p, x, true)
      else {
        const n = Math.max(-(2 ** (bits - 1)), Math.min(2 ** (bits - 1) - 1, Math.round(x * 2 ** (bits - 1))))
        for (let k = 0; k < width; k++) v.setUint8(p + k, Math.floor(n / 256 ** k) & 0xff)
      }
    }
  return out
}
