import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import sharp from 'sharp'
import { isPlainJpeg, isPlainPng, MOST_SIDE } from '../src/media/plain-picture'

const noise = (width: number, height: number, channels: 1 | 3 = 3) =>
  sharp(Buffer.from(Array.from({ length: width * height * channels }, (_, i) => (i * 97 + ((i * i) >> 3)) & 255)), {
    raw: { width, height, channels },
  })
const blank = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#765' } })
const with16 = (n: number) => [n >> 8, n & 255]
/** A segment of a JPEG as the standard has it: marker, length that counts itself, content. */
const segment = (marker: number, content: number[]) => [0xff, marker, ...with16(content.length + 2), ...content]
const spliced = (b: Uint8Array, at: number, more: number[], away = 0) =>
  Uint8Array.from([...b.subarray(0, at), ...more, ...b.subarray(at + away)])
/** Where each segment of a JPEG begins, up to its first scan. */
function segments(b: Uint8Array) {
  const out: { marker: number; at: number; size: number }[] = []
  for (let at = 2; at < b.length; ) {
    const size = b[at + 2]! * 256 + b[at + 3]! + 2
    out.push({ marker: b[at + 1]!, at, size })
    if (b[at + 1] === 0xda) break
    at += size
  }
  return out
}
const letters = (text: string) => [...Buffer.from(text)]

describe('a JPEG that holds nothing but its picture', () => {
  const made = {
    'in colour': () => noise(40, 30).jpeg().toBuffer(),
    grey: () => noise(40, 30, 1).toColourspace('b-w').jpeg().toBuffer(),
    progressive: () => noise(40, 30).jpeg({ progressive: true }).toBuffer(),
    'with tables of its own': () => noise(40, 30).jpeg({ optimiseCoding: true, quality: 30 }).toBuffer(),
    'of one pixel': () => blank(1, 1).jpeg().toBuffer(),
    'as wide as is kept': () => blank(MOST_SIDE, 2).jpeg().toBuffer(),
    'as high as is kept': () => blank(2, MOST_SIDE).jpeg().toBuffer(),
  }
  test.each(Object.entries(made))(
    '%s is plain; cut off anywhere, or with anything behind it, it is not',
    async (_what, make) => {
      const b = new Uint8Array(await make())
      expect(isPlainJpeg(b)).toBe(true)
      fc.assert(fc.property(fc.nat(b.length - 1), (to) => !isPlainJpeg(b.subarray(0, to))))
      for (const more of [[0], [0xff, 0xd9], letters('the home of somebody')])
        expect(isPlainJpeg(Uint8Array.from([...b, ...more]))).toBe(false)
    },
  )
  test.each([
    ['wider', MOST_SIDE + 1, 2],
    ['higher', 2, MOST_SIDE + 1],
  ])('%s than is kept is not', async (_what, w, h) => {
    expect(isPlainJpeg(new Uint8Array(await blank(w, h).jpeg().toBuffer()))).toBe(false)
  })
  test('a segment of anything else is noticed wherever it stands', async () => {
    const b = new Uint8Array(await noise(40, 30).jpeg().toBuffer())
    const before = segments(b).map((s) => s.at)
    const other = [0xe1, 0xe2, 0xed, 0xee, 0xef, 0xfe, 0xc1, 0xc3, 0xdc, 0xf0].map((m) => segment(m, letters('home')))
    // What is called like the header of the format, but is longer, a thumbnail's, or another's.
    other.push(segment(0xe0, letters('JFXX\0\x10home00000')))
    other.push(segment(0xe0, letters('JFIF\0and a thumbnail')))
    for (const at of before)
      for (const s of other) expect([at, s[1], isPlainJpeg(spliced(b, at, s))]).toEqual([at, s[1], false])
  })
  test('a second frame, a frame without a size or of four colours, a lying length: none is plain', async () => {
    const b = new Uint8Array(await noise(40, 30).jpeg().toBuffer())
    const frame = segments(b).find((s) => s.marker === 0xc0)!
    const own = [...b.subarray(frame.at, frame.at + frame.size)]
    expect(isPlainJpeg(spliced(b, frame.at, own))).toBe(false)
    for (const [at, bytes] of [
      [5, [0, 0]],
      [7, [0, 0]],
      [9, [4]],
      [9, [2]],
      [9, [0]],
    ] as const)
      expect([at, isPlainJpeg(spliced(b, frame.at + at, [...bytes], bytes.length))]).toEqual([at, false])
    for (const length of [0, 1, 0xffff]) expect(isPlainJpeg(spliced(b, frame.at + 2, with16(length), 2))).toBe(false)
    // Without any frame it is no picture.
    expect(isPlainJpeg(spliced(b, frame.at, [], frame.size))).toBe(false)
  })
})

describe('a PNG that holds nothing but its picture', () => {
  const crc = (bytes: number[]) => {
    let c = 0xffffffff
    for (const x of bytes) {
      c ^= x
      for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1
    }
    return (c ^ 0xffffffff) >>> 0
  }
  const with32 = (n: number) => [n >>> 24, (n >>> 16) & 255, (n >>> 8) & 255, n & 255]
  const chunk = (name: string, content: number[]) => {
    const body = [...letters(name), ...content]
    return [...with32(content.length), ...body, ...with32(crc(body))]
  }
  const HEAD = 33
  const made = {
    'in colour': () => noise(20, 12).png().toBuffer(),
    'in grey': () => noise(20, 12, 1).toColourspace('b-w').png().toBuffer(),
    'with a palette': () => noise(20, 12).png({ palette: true }).toBuffer(),
    'seen through': () =>
      sharp({ create: { width: 9, height: 9, channels: 4, background: { r: 1, g: 2, b: 3, alpha: 0.5 } } })
        .png()
        .toBuffer(),
    'as wide as is kept': () => blank(MOST_SIDE, 1).png().toBuffer(),
    'as high as is kept': () => blank(1, MOST_SIDE).png().toBuffer(),
  }
  test.each(Object.entries(made))(
    '%s is plain; cut off anywhere, or with anything behind it, it is not',
    async (_what, make) => {
      const b = new Uint8Array(await make())
      expect(isPlainPng(b)).toBe(true)
      fc.assert(fc.property(fc.nat(b.length - 1), (to) => !isPlainPng(b.subarray(0, to))))
      expect(isPlainPng(Uint8Array.from([...b, 0]))).toBe(false)
      expect(isPlainPng(Uint8Array.from([...b, ...chunk('IEND', [])]))).toBe(false)
    },
  )
  test.each(['tEXt', 'iTXt', 'zTXt', 'eXIf', 'tIME', 'iCCP', 'vpAg', 'idat'])(
    'with a part %s it is not',
    async (name) => {
      const b = new Uint8Array(await noise(20, 12).png().toBuffer())
      for (const at of [HEAD, b.length - 12])
        expect(isPlainPng(spliced(b, at, chunk(name, letters('the home of somebody'))))).toBe(false)
    },
  )
  test.each([
    ['wider', MOST_SIDE + 1, 1],
    ['higher', 1, MOST_SIDE + 1],
  ])('%s than is kept is not; nor with an end that holds something, nor with a lying length', async (_what, w, h) => {
    expect(isPlainPng(new Uint8Array(await blank(w, h).png().toBuffer()))).toBe(false)
    const b = new Uint8Array(await noise(20, 12).png().toBuffer())
    expect(isPlainPng(spliced(b, b.length - 12, chunk('IEND', letters('home')), 12))).toBe(false)
    expect(isPlainPng(spliced(b, HEAD, with32(0x7fffffff), 4))).toBe(false)
  })
  test('what is none is none', () => {
    for (const b of [new Uint8Array(), new Uint8Array(40), Uint8Array.from(letters('\x89PNG\r\n\x1a\n'))]) {
      expect(isPlainPng(b)).toBe(false)
      expect(isPlainJpeg(b)).toBe(false)
    }
  })
})
