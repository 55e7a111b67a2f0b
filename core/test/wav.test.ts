import { describe, expect, test } from '@jest/globals'
import { monoOf, plainWav, playable, readWav } from '@nubrin/core/voice'
import { makeSounds } from '@nubrin/demo'
import fc from 'fast-check'
import wavefile from 'wavefile'

/** Pieces of a RIFF file put together by hand. */
const u = (n: number, bytes: number, big = false) => {
  const b = Array.from({ length: bytes }, (_, i) => Math.floor(n / 256 ** i) % 256)
  return big ? b.reverse() : b
}
const word = (s: string) => [...s].map((c) => c.charCodeAt(0))
const chunk = (id: string, body: number[], size = body.length) => [
  ...word(id),
  ...u(size, 4),
  ...body,
  ...(body.length % 2 ? [0] : []),
]
interface Format {
  code?: number
  channels?: number
  rate?: number
  bits?: number
  align?: number
}
const fmt = ({ code = 1, channels = 1, rate = 8000, bits = 16, align = (channels * bits) / 8 }: Format = {}) =>
  chunk('fmt ', [...u(code, 2), ...u(channels, 2), ...u(rate, 4), ...u(rate * align, 4), ...u(align, 2), ...u(bits, 2)])
const file = (...chunks: number[][]) => {
  const body = [...word('WAVE'), ...chunks.flat()]
  return new Uint8Array([...word('RIFF'), ...u(body.length, 4), ...body])
}
const samples16 = chunk('data', [...u(0x4000, 2), ...u(0xc000, 2), ...u(0, 2)])
const codeOf = (b: Uint8Array) => {
  const w = readWav(b)
  return w.ok ? 'ok' : w.code
}

describe('what is measured', () => {
  const CODES = { 8: '8', 16: '16', 24: '24', 32: '32', '32f': '32f', 64: '64' } as const
  const shapes = fc.record({
    depth: fc.constantFrom(...(Object.values(CODES) as string[])),
    channels: fc.integer({ min: 1, max: 3 }),
    frames: fc
      .array(fc.array(fc.double({ min: -0.99, max: 0.99, noNaN: true }), { minLength: 3, maxLength: 3 }), {
        minLength: 1,
        maxLength: 40,
        // An even count: the writer counts the padding of an odd one as a sample.
      })
      .map((f) => [...f, ...f.toReversed()]),
    big: fc.boolean(),
  })
  test('every width, plain and big-endian, against plain arithmetic over what an independent writer was given', () => {
    fc.assert(
      fc.property(shapes, ({ depth, channels, frames, big }) => {
        const float = depth === '32f' || depth === '64'
        const full = float ? 1 : 2 ** (Number(depth) - 1)
        // The numbers as the width stores them.
        const stored = Array.from({ length: channels }, (_, c) =>
          frames.map((f) => (float ? (depth === '32f' ? Math.fround(f[c]!) : f[c]!) : Math.round(f[c]! * (full - 1)))),
        )
        const given = depth === '8' ? stored.map((ch) => ch.map((v) => v + 128)) : stored
        const w = new wavefile.WaveFile()
        w.fromScratch(channels, 22050, depth, channels === 1 ? given[0]! : given)
        if (big) w.toRIFX()
        const read = readWav(w.toBuffer())
        if (!read.ok) throw new Error(`${read.code}: ${read.message}`)
        // As a board plays it: on one channel, each as loud as the others.
        const all = frames.map((_, i) => stored.reduce((s, ch) => s + Math.fround(ch[i]! / full), 0) / channels)
        const peak = Math.max(...all.map(Math.abs))
        const rms = Math.sqrt(all.reduce((s, v) => s + v * v, 0) / all.length)
        const db = (x: number) => (x > 0 ? Math.max(-200, 20 * Math.log10(x)) : -200)
        expect(read).toMatchObject({ rate: 22050, channels, bits: depth === '32f' ? 32 : Number(depth) })
        expect(read.seconds).toBeCloseTo(frames.length / 22050, 9)
        expect(read.peakDb).toBeCloseTo(db(peak), 4)
        expect(read.rmsDb).toBeCloseTo(db(rms), 4)
        expect(read.dc).toBeCloseTo(all.reduce((s, v) => s + v, 0) / all.length, 6)
        const loud = all.map((v) => Math.abs(v) > 0.001)
        expect(read.leadSilence).toBeCloseTo((loud.includes(true) ? loud.indexOf(true) : frames.length) / 22050, 9)
        expect(read.tailSilence).toBeCloseTo(
          loud.includes(true) ? (frames.length - 1 - loud.lastIndexOf(true)) / 22050 : 0,
          9,
        )
        expect(read.seam.jump).toBeCloseTo(Math.abs(all.at(-1)! - all[0]!), 6)
      }),
      { numRuns: 120 },
    )
  })
  test('float in the extensible form is float, by its sub-format', () => {
    const body = [...u(0xfffe, 2), ...u(1, 2), ...u(8000, 4), ...u(32000, 4), ...u(4, 2), ...u(32, 2), ...u(22, 2)]
    const guid = (code: number) => [...u(code, 2), 0, 0, 0, 0, 16, 0, 128, 0, 0, 170, 0, 56, 155, 113]
    const half = [...new Uint8Array(new Float32Array([0.5, -0.25]).buffer)]
    const of = (code: number) =>
      readWav(file(chunk('fmt ', [...body, ...u(32, 2), ...u(4, 4), ...guid(code)]), chunk('data', half)))
    const float = of(3)
    expect(float.ok && float.peakDb).toBeCloseTo(20 * Math.log10(0.5), 6)
    const whole = of(1)
    expect(whole.ok && whole.peakDb).toBeCloseTo(20 * Math.log10((2 ** 32 - 0xbe800000) / 2 ** 31), 6)
    expect(of(2)).toMatchObject({ code: 'compressed' })
  })
  test('a long file takes its size from where it is said in 64 bits', () => {
    const long = (bytes: number) => {
      const f = file(chunk('ds64', [...u(0, 8), ...u(bytes, 8), ...u(3, 8), ...u(0, 4)]), fmt(), [
        ...word('data'),
        ...u(0xffffffff, 4),
        ...samples16.slice(8),
      ])
      f.set(word('RF64'))
      return f
    }
    expect(readWav(long(6))).toMatchObject({ ok: true, seconds: 3 / 8000 })
    expect(readWav(long(2 ** 33))).toMatchObject({ code: 'truncated' })
  })
  test.each([0, 0xffffffff])('written as a stream, sizes %d: the samples go on to the end of the file', (size) => {
    const whole = file(fmt(), samples16)
    const stream = (riff: number, data: number, more: number[] = []) => {
      const b = new Uint8Array([...whole, ...more])
      b.set(u(riff, 4), 4)
      b.set(u(data, 4), 40)
      return b
    }
    expect(codeOf(whole)).toBe('ok')
    expect(readWav(stream(size, size))).toEqual(readWav(whole))
    expect(plainWav(stream(size, size))).toEqual(whole)
    // A file that says its size and then no length of samples has none; half a sample at the end is not read.
    expect(codeOf(stream(whole.length - 8, size))).toBe(size ? 'truncated' : 'empty')
    expect(readWav(stream(size, size, [7]))).toEqual(readWav(whole))
  })
  test('two samples and more at full scale are one place that is cut off; in float, at 1 and above', () => {
    const square = Array.from({ length: 6 }, (_, i) => (i % 2 ? u(0x7fff, 2) : u(0x8000, 2))).flat()
    expect(readWav(file(fmt(), chunk('data', square)))).toMatchObject({ clips: 1 })
    const float = [...new Uint8Array(new Float32Array([1, -1, 1.5]).buffer)]
    const w = readWav(file(fmt({ code: 3, bits: 32 }), chunk('data', float)))
    expect(w).toMatchObject({ clips: 1 })
    expect(w.ok && w.peakDb).toBeCloseTo(20 * Math.log10(1.5), 6)
  })
  test('other chunks, odd sizes with their padding, samples before the format: all are read past', () => {
    expect(
      readWav(file(chunk('LIST', [1, 2, 3]), fmt(), chunk('JUNK', [9]), samples16, chunk('cue ', []))),
    ).toMatchObject({ ok: true, seconds: 3 / 8000, bits: 16 })
    expect(codeOf(file(samples16, fmt()))).toBe('ok')
  })
})

describe('a plain file', () => {
  test('holds the same samples and nothing else; what is plain stays byte for byte', () => {
    const secret = chunk('LIST', [...word('INFO'), ...chunk('IART', word('Somebody'))])
    const full = file(chunk('JUNK', [9]), secret, fmt({ channels: 2 }), chunk('data', [...Array(11).keys()]), secret)
    const plain = plainWav(full)
    expect(plain.length).toBe(44 + 8)
    expect(Buffer.from(plain).includes('Somebody')).toBe(false)
    expect([...plain.subarray(44)]).toEqual([0, 1, 2, 3, 4, 5, 6, 7])
    expect(readWav(plain)).toEqual(readWav(full))
    expect(plainWav(plain)).toEqual(plain)
    expect(() => plainWav(file())).toThrow(RangeError)
  })
  test('whatever the width, order and form: measured the same, and a fixed point', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('8', '16', '24', '32', '32f', '64'),
        fc.integer({ min: 1, max: 3 }),
        fc.constantFrom('RIFF', 'RIFX'),
        (depth, channels, form) => {
          const w = new wavefile.WaveFile()
          w.fromScratch(channels, 8000, depth, Array<number[]>(channels).fill([1, 0, 1, 1]))
          w.setTag('ICMT', 'made at home')
          if (form === 'RIFX') w.toRIFX()
          const bytes = w.toBuffer()
          const plain = plainWav(bytes)
          expect(readWav(plain)).toEqual(readWav(bytes))
          expect(plainWav(plain)).toEqual(plain)
          expect(Buffer.from(plain).includes('made at home')).toBe(false)
        },
      ),
      { numRuns: 40 },
    )
  })
})

describe('what is refused, and costs nothing', () => {
  test('188 bytes that declare four thousand million cue points and loops', () => {
    const lie = u(0xffffffff, 4)
    const cue = chunk('cue ', [...lie, ...Array(24).fill(1)])
    const smpl = chunk('smpl', [...Array(28).fill(0), ...lie, ...lie, ...Array(20).fill(1)])
    const f = file(fmt(), cue, smpl, samples16)
    expect(f.length).toBeLessThan(200)
    expect(readWav(f)).toMatchObject({ ok: true, seconds: 3 / 8000 })
  })
  test.each([
    ['no header', new Uint8Array(0), 'notWav'],
    ['a header cut short', file(fmt()).slice(0, 12), 'truncated'],
    ['no chunk', file(), 'unreadable'],
    ['no format', file(samples16), 'unreadable'],
    ['half a format', file(chunk('fmt ', u(1, 2)), samples16), 'unreadable'],
    ['an extensible format without its sub-format', file(fmt({ code: 0xfffe }), samples16), 'unreadable'],
    ['no samples chunk', file(fmt()), 'empty'],
    ['an empty samples chunk', file(fmt(), chunk('data', [])), 'empty'],
    ['less than one frame', file(fmt(), chunk('data', [1])), 'empty'],
    ['more samples declared than there are', file(fmt(), chunk('data', [1, 2], 50)), 'truncated'],
    ['a compressed format', file(fmt({ code: 85 }), samples16), 'compressed'],
    ['no channel', file(fmt({ channels: 0 }), samples16), 'unreadable'],
    ['65 channels', file(fmt({ channels: 65 }), samples16), 'unreadable'],
    ['no rate', file(fmt({ rate: 0 }), samples16), 'unreadable'],
    ['a rate of a thousand million', file(fmt({ rate: 1e9 }), samples16), 'unreadable'],
    ['samples of 12 bits in one byte', file(fmt({ bits: 12, align: 1 }), samples16), 'unreadable'],
    ['samples of no bits', file(fmt({ bits: 0, align: 2 }), samples16), 'unreadable'],
    ['samples of five bytes', file(fmt({ bits: 40 }), samples16), 'unreadable'],
    ['a float of 16 bits', file(fmt({ code: 3 }), samples16), 'unreadable'],
    [
      'a float that is no number',
      file(fmt({ code: 3, bits: 32 }), chunk('data', [...new Uint8Array(new Float32Array([Number.NaN]).buffer)])),
      'unreadable',
    ],
  ])('%s', (_what, bytes, code) => {
    expect(codeOf(bytes)).toBe(code)
  })
  test.each([
    [-1, 'ok'],
    [0, 'ok'],
    // The padding of an odd last piece is left out by many a writer.
    [1, 'ok'],
    [2, 'truncated'],
    [9, 'truncated'],
    [16, 'truncated'],
  ])('a header that declares %d bytes more than there are: %s', (more, says) => {
    const f = file(fmt(), samples16)
    new DataView(f.buffer).setUint32(4, f.length - 8 + more, true)
    expect(codeOf(f)).toBe(says)
    if (says !== 'ok')
      expect(readWav(f)).toMatchObject({
        message: `The file is cut short: it declares ${f.length + more} bytes and has ${f.length}.`,
      })
  })
  test('more pieces than any recorder writes', () => {
    const pieces = (n: number) => file(...Array<number[]>(n).fill(chunk('JUNK', [])), fmt(), samples16)
    expect(codeOf(pieces(4094))).toBe('ok')
    expect(codeOf(pieces(4096))).toBe('unreadable')
  })
  test('whatever is flipped, cut or put in: an answer, no exception, and every figure a number', () => {
    const sound = makeSounds(120, ['deflect'])[0]!.bytes
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(80), fc.nat(255)), { maxLength: 6 }), fc.nat(sound.length), (flips, cut) => {
        const b = sound.slice(0, Math.max(cut, 64))
        for (const [at, to] of flips) b[at] = to
        const w = readWav(b)
        if (!w.ok) return expect(w.message).not.toBe('')
        for (const v of Object.values(w)) if (typeof v === 'number') expect(Number.isFinite(v)).toBe(true)
        expect(w.seconds * w.rate * w.channels).toBeLessThanOrEqual(b.length)
      }),
      { numRuns: 400 },
    )
  })
})

describe('one channel', () => {
  test('is the mean of all of them, sample by sample', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -32768, max: 32767 }), fc.integer({ min: -32768, max: 32767 })), {
          minLength: 1,
          maxLength: 60,
        }),
        (frames) => {
          const wav = new wavefile.WaveFile()
          wav.fromScratch(2, 22_050, '16', [frames.map(([l]) => l), frames.map(([, r]) => r)])
          const { rate, samples } = monoOf(wav.toBuffer())
          expect(rate).toBe(22_050)
          expect(samples).toHaveLength(frames.length)
          for (const [i, [l, r]] of frames.entries()) expect(samples[i]).toBeCloseTo((l + r) / 2 / 32768, 4)
        },
      ),
    )
  })
  test('what is no sound is refused', () => expect(() => monoOf(new Uint8Array(20))).toThrow(RangeError))
  test('playable is what can be read, and nothing else', () => {
    const float = (...x: number[]) =>
      file(fmt({ code: 3, bits: 32 }), chunk('data', [...new Uint8Array(new Float32Array(x).buffer)]))
    for (const bytes of [
      float(0.5, -0.25),
      float(Number.NaN),
      float(1, Number.POSITIVE_INFINITY),
      float(),
      new Uint8Array(20),
    ])
      expect(playable(bytes) !== undefined).toBe(readWav(bytes).ok)
    expect(playable(float(0.5, -0.25))).toEqual(monoOf(float(0.5, -0.25)))
  })
})
