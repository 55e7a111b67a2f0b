import { execFileSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, test } from '@jest/globals'
import { type Loudness, loudnessMeter, monoOf, peakMeter, readWav } from '@nubrin/core/voice'
import { makeSounds } from '@nubrin/demo'
import fc from 'fast-check'
import { drawn, tries } from './drawn'
import { faded, inTurn, noise, type Signal, silence, sine, stereo, sweep, wavOf } from './signals'

/** In pieces of so many samples, so that no result hangs on how it came. */
function loudness(rate: number, signal: Signal, piece = 4801): Loudness {
  const m = loudnessMeter(rate, signal.length)
  for (let at = 0; at < signal[0]!.length; at += piece) m.push(signal.map((x) => x.subarray(at, at + piece)))
  return m.read()
}
const truePeak = (rate: number, x: Float32Array, piece = 4801): number => {
  const m = peakMeter(rate)
  for (let at = 0; at < x.length; at += piece) m.push(x.subarray(at, at + piece))
  return 20 * Math.log10(m.read().true)
}

describe('the signals of EBU Tech 3341', () => {
  const R = 48_000
  const levels = (...parts: [seconds: number, peakDb: number][]) =>
    stereo(inTurn(...parts.map(([s, l]) => sine(R, s, l))))
  test.each([
    ['1: steady at −23', [[20, -23]], -23],
    ['2: steady at −33', [[20, -33]], -33],
    [
      '3: quiet ends are gated',
      [
        [10, -36],
        [60, -23],
        [10, -36],
      ],
      -23,
    ],
    [
      '4: and so is what lies under −70',
      [
        [10, -72],
        [10, -36],
        [60, -23],
        [10, -36],
        [10, -72],
      ],
      -23,
    ],
    [
      '5: levels on either side of the mean',
      [
        [20, -26],
        [20.1, -20],
        [20, -26],
      ],
      -23,
    ],
  ] as [string, [number, number][], number][])('%s', (_what, parts, lufs) => {
    expect(loudness(R, levels(...parts)).integrated).toBeCloseTo(lufs, 1)
  })
  test('steady: the loudest block is as loud as the whole', () => {
    const { integrated, momentary } = loudness(R, levels([20, -23]))
    expect(Math.abs(momentary! - integrated!)).toBeLessThan(0.1)
  })
  // 15 to 19: a sine that its samples miss; and three at other rates.
  test.each([
    [R, R / 4, 0.5, 0, -6],
    [R, R / 4, 0.5, 45, -6],
    [R, R / 6, 0.5, 60, -6],
    [R, R / 8, 0.5, 67.5, -6],
    [R, R / 4, 1.41, 45, 3],
    [44_100, 44_100 / 4, 0.5, 45, -6],
    [22_050, 22_050 / 6, 0.5, 60, -6],
    [96_000, 96_000 / 8, 0.5, 67.5, -6],
  ])('between samples: %d Hz, a sine of %d Hz at %d, %d°', (rate, hz, peak, degrees, wanted) => {
    const x = faded(rate, sine(rate, 1, 20 * Math.log10(peak), hz, (degrees * Math.PI) / 180))
    const off = truePeak(rate, x) - wanted
    expect(off).toBeLessThan(0.2)
    expect(off).toBeGreaterThan(-0.4)
  })
})

describe('the ranges of EBU Tech 3342', () => {
  test.each([
    [[-20, -30], 10],
    [[-20, -15], 5],
    [[-40, -20], 20],
    [[-50, -35, -20, -35, -50], 15],
  ])('%j: %d LU', (levels, range) => {
    const x = stereo(inTurn(...levels.map((l) => sine(48_000, 20, l))))
    expect(Math.abs(loudness(48_000, x).range! - range)).toBeLessThan(1)
  })
  test('shorter than its windows it has none, and shorter than a block no loudness', () => {
    const of = (seconds: number) => loudness(8000, [sine(8000, seconds, -10)])
    expect(of(2.9).range).toBeUndefined()
    expect(of(3.1).range).toBeCloseTo(0, 5)
    expect(of(0.3)).toEqual({ integrated: undefined, momentary: undefined, range: undefined })
    expect(of(0.41).integrated).toBeDefined()
    expect(loudness(8000, [silence(8000, 5)])).toEqual({ integrated: undefined, momentary: undefined, range: 0 })
  })
})

describe('against an independent meter', () => {
  const folder = mkdtempSync(join(tmpdir(), 'nubrin-sound-'))
  afterAll(() => rmSync(folder, { recursive: true }))
  /** What the other meter says of a file: LUFS, LU, and the highest true peak of its channels, dB. */
  function other(wav: Uint8Array) {
    const at = join(folder, 'a.wav')
    writeFileSync(at, wav)
    const filter = 'ebur128=metadata=1:peak=true,ametadata=print:file=-'
    const out = execFileSync('ffmpeg', ['-nostats', '-hide_banner', '-i', at, '-af', filter, '-f', 'null', '-'], {
      ...{ stdio: ['ignore', 'pipe', 'ignore'], maxBuffer: 1e8 },
    }).toString()
    const last = (key: string) =>
      [...out.matchAll(new RegExp(`lavfi\\.r128\\.${key}=(-?[\\d.]+)`, 'g'))].map((m) => Number(m[1]))
    const top = Math.max(...[...out.matchAll(/r128\.true_peaks?_ch\d+=([\d.]+)/g)].map((m) => Number(m[1])))
    return { lufs: last('I').at(-1)!, range: last('LRA').at(-1)!, peak: 20 * Math.log10(top) }
  }
  const made: [string, number, Signal][] = [
    ['noise, 8 kHz', 8000, [noise(8000, 5, -12)]],
    ['noise, 11.025 kHz', 11_025, [noise(11_025, 5, -6)]],
    ['a sweep, 16 kHz', 16_000, [sweep(16_000, 6, -3)]],
    ['a sweep, 22.05 kHz', 22_050, [sweep(22_050, 6, -9)]],
    ['noise over a hum, 32 kHz', 32_000, [inTurn(sine(32_000, 3, -20, 90), noise(32_000, 3, -14))]],
    ['a sweep in stereo, 44.1 kHz', 44_100, [sweep(44_100, 8, -3), sweep(44_100, 8, -12, 200, 3000)]],
    ['a hum, 44.1 kHz', 44_100, [sine(44_100, 4, -8, 55)]],
    ['gated, 48 kHz', 48_000, stereo(inTurn(sine(48_000, 4, -50), noise(48_000, 4, -10), silence(48_000, 2)))],
    [
      'bursts, 48 kHz',
      48_000,
      [inTurn(...[1, 2, 3, 4, 5].flatMap((n) => [noise(48_000, 0.4, -n * 4, n), silence(48_000, 0.6)]))],
    ],
    ['a sweep, 88.2 kHz', 88_200, [sweep(88_200, 4, -6)]],
    ['noise in stereo, 96 kHz', 96_000, [noise(96_000, 4, -6), noise(96_000, 4, -9, 7)]],
    ['a sweep, 192 kHz', 192_000, [sweep(192_000, 3, -1)]],
  ]
  const sounds = makeSounds(110, ['ignite', 'hum', 'clash', 'lock', 'retract', 'swing']).map(
    (s): [string, Uint8Array] => [s.name, s.bytes],
  )
  const spoken = readdirSync('/usr/share/sounds/alsa')
    .filter((f) => f.endsWith('.wav'))
    .map((f): [string, Uint8Array] => [f, readFileSync(join('/usr/share/sounds/alsa', f))])
  const files = [
    ...made.map(([name, rate, signal]): [string, Uint8Array] => [name, wavOf(rate, signal)]),
    ...sounds.slice(0, 6),
    ...spoken,
  ]
  test('there are sixteen and more', () => expect(files.length).toBeGreaterThanOrEqual(16))
  test.each(drawn(files, 1))('%s: within 0.1 LU and 0.2 dB', (_name, wav) => {
    const read = readWav(wav)
    if (!read.ok) throw new Error(read.message)
    // The same file on as many channels as it has: what the other meter hears.
    const { signal, rate } = channelsOf(wav)
    const [mine, its] = [loudness(rate, signal), other(wav)]
    const peak = Math.max(...signal.map((x) => truePeak(rate, x)))
    if (its.lufs > -70) expect(Math.abs(mine.integrated! - its.lufs)).toBeLessThan(0.1)
    // Of a short sound a single window moves its ends.
    if (read.seconds >= 6) expect(Math.abs(mine.range! - its.range)).toBeLessThan(1)
    expect(Math.abs(peak - its.peak)).toBeLessThan(0.2)
    if (signal.length === 1) {
      expect(read.integrated).toBeCloseTo(mine.integrated ?? Number.NaN, 6)
      expect(read.truePeakDb).toBeCloseTo(peak, 6)
      expect(monoOf(wav).samples.reduce((a, v) => Math.max(a, Math.abs(v)), 0)).toBeCloseTo(10 ** (read.peakDb / 20), 6)
    }
  })
})

/** The stored channels of a WAV of 16 bits or float, read here by hand. */
function channelsOf(wav: Uint8Array): { rate: number; signal: Float32Array[] } {
  const v = new DataView(wav.buffer, wav.byteOffset, wav.byteLength)
  let at = 12
  let [channels, rate, bits, float] = [1, 48_000, 16, false]
  for (;;) {
    const [id, size] = [String.fromCharCode(...wav.subarray(at, at + 4)), v.getUint32(at + 4, true)]
    if (id === 'fmt ') {
      channels = v.getUint16(at + 10, true)
      rate = v.getUint32(at + 12, true)
      bits = v.getUint16(at + 22, true)
      float = v.getUint16(at + 8, true) === 3
    }
    if (id === 'data') {
      const width = bits / 8
      const frames = Math.floor(size / width / channels)
      const signal = Array.from({ length: channels }, (_, ch) =>
        Float32Array.from({ length: frames }, (_x, i) => {
          const p = at + 8 + (i * channels + ch) * width
          return float ? v.getFloat32(p, true) : v.getInt16(p, true) / 0x8000
        }),
      )
      return { rate, signal }
    }
    at += 8 + size + (size % 2)
  }
}

describe('whatever comes', () => {
  const wave = fc
    .record({
      rate: fc.constantFrom(8000, 11_025, 22_050, 44_100, 48_000),
      seed: fc.integer({ min: 1, max: 1e6 }),
      seconds: fc.double({ min: 0.01, max: 1.5, noNaN: true }),
      level: fc.double({ min: -40, max: 0, noNaN: true }),
    })
    .map(({ rate, seed, seconds, level }) => ({ rate, x: noise(rate, seconds, level, seed) }))
  test('a gain of so many dB moves loudness and peak by so many, and the range by none', () => {
    fc.assert(
      fc.property(wave, fc.double({ min: -20, max: 6, noNaN: true }), ({ rate, x }, gain) => {
        const louder = x.map((v) => v * 10 ** (gain / 20))
        const [a, b] = [loudness(rate, [x]), loudness(rate, [louder])]
        if (a.integrated !== undefined && b.integrated !== undefined)
          expect(b.integrated - a.integrated).toBeCloseTo(gain, 2)
        expect(truePeak(rate, louder) - truePeak(rate, x)).toBeCloseTo(gain, 2)
      }),
      { numRuns: tries(200, 40) },
    )
  })
  test('no result hangs on the pieces it came in; no true peak is under the highest sample, and none is overlooked', () => {
    fc.assert(
      fc.property(wave, fc.integer({ min: 1, max: 5000 }), ({ rate, x }, piece) => {
        const [cut, whole] = [loudness(rate, [x], piece), loudness(rate, [x], x.length)]
        expect(cut.integrated ?? 0).toBeCloseTo(whole.integrated ?? 0, 9)
        expect(cut.momentary ?? 0).toBeCloseTo(whole.momentary ?? 0, 9)
        const peak = truePeak(rate, x, piece)
        expect(peak).toBe(truePeak(rate, x, x.length))
        expect(peak).toBeGreaterThanOrEqual(20 * Math.log10(x.reduce((a, v) => Math.max(a, Math.abs(v)), 0)) - 1e-9)
        // A louder wave behind it raises the peak to its own, and a softer one leaves it.
        const twice = inTurn(
          x,
          silence(rate, 0.01),
          x.map((v) => v * 0.5),
        )
        expect(truePeak(rate, twice)).toBeCloseTo(peak, 9)
      }),
      { numRuns: tries(200, 40) },
    )
  })
})
