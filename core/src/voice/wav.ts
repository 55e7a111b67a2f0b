/** What a sound file says about itself, and what its samples say. */
export interface WavFacts {
  ok: true
  seconds: number
  rate: number
  channels: number
  /** Bits a sample is stored in. */
  bits: number
  /** Highest sample against full scale, dBFS; −Infinity is given as −200 for silence. */
  peakDb: number
  rmsDb: number
  /** Samples at full scale, per channel counted together: signs of clipping. */
  fullScale: number
  /** Mean of the samples, full scale = 1. */
  dc: number
  /** Silence below −60 dBFS at the beginning and the end, s. */
  leadSilence: number
  tailSilence: number
  /** Jump between the last and the first sample, full scale = 1: a click when a hum is looped. */
  seam: number
}
export interface WavFault {
  ok: false
  code: 'notWav' | 'truncated' | 'compressed' | 'empty' | 'unreadable'
  message: string
}

/** Below what 32 bits can hold, dB under full scale: a peak of nothing has some number, too. */
const FLOOR_DB = -200
const toDb = (x: number) => (x > 0 ? Math.max(FLOOR_DB, 20 * Math.log10(x)) : FLOOR_DB)
/** What counts as silence at either end: 60 dB under full scale, as the decay of a room is measured (ISO 3382). */
const SILENCE = 10 ** (-60 / 20)

/** What is believed of a header; beyond it the file is refused. A chunk is eight bytes and more, so even a full count is soon walked. */
const MOST = { chunks: 4096, channels: 64, rate: 768_000 }
/** Codes of the formats, and the length a writer leaves that did not know it, as RIFF WAVE has them. */
const [PCM, FLOAT, EXTENSIBLE] = [1, 3, 0xfffe]
const UNKNOWN_SIZE = 0xffffffff
/** Samples decoded at a time. */
const BLOCK = 8192

interface Stored {
  /** The chunk that says how samples are stored. */
  format: { from: number; bytes: number }
  rate: number
  channels: number
  /** Bytes a sample takes. */
  width: number
  float: boolean
  littleEndian: boolean
  /** Where the samples stand. */
  from: number
  bytes: number
}

const fault = (code: WavFault['code'], message: string): WavFault => ({ ok: false, code, message })
const text = (bytes: Uint8Array, from: number) => String.fromCharCode(...bytes.subarray(from, from + 4))

/** Walks the chunks for format and samples; sizes are held against the bytes that are there, all other chunks are passed over. */
function locate(bytes: Uint8Array): Stored | WavFault {
  const tag = text(bytes, 0)
  if (!['RIFF', 'RIFX', 'RF64'].includes(tag) || text(bytes, 8) !== 'WAVE')
    return fault('notWav', 'This is not a WAV file (no RIFF/WAVE header).')
  const littleEndian = tag !== 'RIFX'
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const declared = view.getUint32(4, littleEndian)
  // Written as a stream: whoever wrote it never came back to say how long it is, so it goes to the end of the file.
  const streamed = tag !== 'RF64' && (declared === 0 || declared === UNKNOWN_SIZE)
  if (tag !== 'RF64' && !streamed && declared + 8 > bytes.byteLength + 1)
    return fault('truncated', `The file is cut short: it declares ${declared + 8} bytes and has ${bytes.byteLength}.`)
  let format:
    | { from: number; bytes: number; code: number; channels: number; rate: number; align: number; bits: number }
    | undefined
  let long: number | undefined
  let data: { from: number; bytes: number } | undefined
  let at = 12
  for (let n = 0; at + 8 <= bytes.byteLength && !(format && data); n++) {
    if (n === MOST.chunks) return fault('unreadable', `The file is in more than ${MOST.chunks} pieces.`)
    const id = text(bytes, at)
    const start = at + 8
    const there = bytes.byteLength - start
    let size = view.getUint32(at + 4, littleEndian)
    if (id === 'ds64' && there >= 16 && size >= 16)
      // The samples' size in 64 bits; more than a file can have here counts as cut short below.
      long = view.getUint32(start + 8, true) + view.getUint32(start + 12, true) * 2 ** 32
    if (id === 'data' && tag === 'RF64' && size === UNKNOWN_SIZE && long !== undefined) size = long
    if (id === 'data' && streamed && (size === 0 || size === UNKNOWN_SIZE)) size = there
    if (id === 'fmt ') {
      if (size < 16 || there < 16) return fault('unreadable', 'The format of the samples is not complete.')
      const code = view.getUint16(start, littleEndian)
      if (code === EXTENSIBLE && (size < 26 || there < 26))
        return fault('unreadable', 'The format of the samples is not complete.')
      format = {
        from: start,
        bytes: Math.min(size, 40),
        code: code === EXTENSIBLE ? view.getUint16(start + 24, littleEndian) : code,
        channels: view.getUint16(start + 2, littleEndian),
        rate: view.getUint32(start + 4, littleEndian),
        align: view.getUint16(start + 12, littleEndian),
        bits: view.getUint16(start + 14, littleEndian),
      }
    } else if (id === 'data') {
      if (size > there)
        return fault('truncated', `The file is cut short: it declares ${size} bytes of samples and has ${there}.`)
      data = { from: start, bytes: size }
    }
    // A chunk of an odd size is followed by one byte of padding.
    at = start + size + (size % 2)
  }
  if (!format) return fault('unreadable', 'The file does not say how its samples are stored.')
  if (format.code !== PCM && format.code !== FLOAT)
    return fault('compressed', `The samples are stored compressed (format ${format.code}); export it as plain PCM.`)
  if (!data) return fault('empty', 'The file has no samples.')
  const { channels, rate, align, bits } = format
  if (channels < 1 || channels > MOST.channels)
    return fault('unreadable', `The file declares ${channels} channels; 1 to ${MOST.channels} can be read.`)
  if (rate < 1 || rate > MOST.rate)
    return fault('unreadable', `The file declares ${rate} samples a second; 1 to ${MOST.rate} can be read.`)
  const float = format.code === FLOAT
  const width = align / channels
  if (!(float ? [4, 8] : [1, 2, 3, 4]).includes(width) || bits < 1 || bits > width * 8)
    return fault('unreadable', `Samples of ${bits} bits, ${align} bytes for ${channels} channels, cannot be read.`)
  return {
    format: { from: format.from, bytes: format.bytes },
    ...{ rate, channels, width, float, littleEndian },
    ...data,
  }
}

/** Samples `from` … `from + into.length` as −1…1; 8 bits are unsigned, wider ones signed, as the format has it. */
function decode(view: DataView, s: Stored, from: number, into: Float64Array): void {
  const { width, littleEndian: le } = s
  let p = s.from + from * width
  for (let i = 0; i < into.length; i++, p += width)
    into[i] = s.float
      ? width === 4
        ? view.getFloat32(p, le)
        : view.getFloat64(p, le)
      : width === 2
        ? view.getInt16(p, le) / 0x8000
        : width === 1
          ? (view.getUint8(p) - 128) / 128
          : width === 4
            ? view.getInt32(p, le) / 0x80000000
            : le
              ? ((view.getInt8(p + 2) << 16) | view.getUint16(p, true)) / 0x800000
              : ((view.getInt8(p) << 16) | view.getUint16(p + 1, false)) / 0x800000
}

/**
 * Reads a PCM (8, 16, 24, 32 bits) or float (32, 64 bits) WAV, plain, extensible, big-endian, long or streamed, and measures it in
 * one pass: time and memory follow the bytes that are there, never the counts a header claims. Samples are scaled to ±1.
 * Expected faults (another format, a file cut short, a compressed stream, no samples, samples that are no numbers) come
 * back with a code; nothing is thrown. Source: the RIFF/WAVE form as published by its makers, EBU Tech 3306 for RF64.
 */
export function readWav(bytes: Uint8Array): WavFacts | WavFault {
  const s = locate(bytes)
  if ('ok' in s) return s
  const { channels, rate, width } = s
  const frames = Math.floor(s.bytes / (width * channels))
  if (!frames) return fault('empty', 'The file has no samples.')
  const count = frames * channels
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const full = s.float ? Number.POSITIVE_INFINITY : 1 - 1.5 / 2 ** (width * 8 - 1)
  const block = new Float64Array(Math.min(BLOCK, count))
  let [peak, square, sum, fullScale] = [0, 0, 0, 0]
  let [first, last] = [count, -1]
  for (let from = 0; from < count; from += block.length) {
    const part = block.subarray(0, Math.min(block.length, count - from))
    decode(view, s, from, part)
    for (let i = 0; i < part.length; i++) {
      const v = part[i]!
      const a = Math.abs(v)
      if (a > peak) peak = a
      if (a >= full) fullScale++
      square += v * v
      sum += v
      if (a > SILENCE) {
        if (last < 0) first = from + i
        last = from + i
      }
    }
  }
  if (!Number.isFinite(square)) return fault('unreadable', 'The file holds samples that are no numbers.')
  const ends = new Float64Array(1)
  decode(view, s, 0, ends)
  const begin = ends[0]!
  decode(view, s, count - channels, ends)
  const silent = last < 0
  const frameOf = (sample: number) => Math.floor(sample / channels)
  return {
    ok: true,
    seconds: frames / rate,
    rate,
    channels,
    bits: width * 8,
    peakDb: toDb(peak),
    rmsDb: toDb(Math.sqrt(square / count)),
    fullScale,
    dc: sum / count,
    leadSilence: (silent ? frames : frameOf(first)) / rate,
    tailSilence: silent ? 0 : (frames - 1 - frameOf(last)) / rate,
    seam: Math.abs(ends[0]! - begin),
  }
}

/** The same sound on one channel, every channel as loud as the others, −1…1. Only for bytes that `readWav` has read; throws RangeError for others. */
export function monoOf(bytes: Uint8Array): { rate: number; samples: Float32Array } {
  const s = locate(bytes)
  if ('ok' in s) throw new RangeError(`monoOf: ${s.message}`)
  const frames = Math.floor(s.bytes / (s.width * s.channels))
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const samples = new Float32Array(frames)
  const frame = new Float64Array(s.channels)
  for (let i = 0; i < frames; i++) {
    decode(view, s, i * s.channels, frame)
    samples[i] = frame.reduce((sum, v) => sum + v, 0) / s.channels
  }
  return { rate: s.rate, samples }
}

/**
 * The same samples in a file that holds their format, them, and nothing else: no names, places, pictures or cue lists.
 * What is plain already comes back byte for byte. Only for bytes that `readWav` has read; throws RangeError for others.
 */
export function plainWav(bytes: Uint8Array): Uint8Array {
  const s = locate(bytes)
  if ('ok' in s) throw new RangeError(`plainWav: ${s.message}`)
  const frame = s.width * s.channels
  const size = Math.floor(s.bytes / frame) * frame
  const head = s.format.bytes + (s.format.bytes % 2)
  const out = new Uint8Array(12 + 8 + head + 8 + size + (size % 2))
  const view = new DataView(out.buffer)
  const tag = (at: number, name: string) =>
    out.set(
      [...name].map((c) => c.charCodeAt(0)),
      at,
    )
  tag(0, s.littleEndian ? 'RIFF' : 'RIFX')
  view.setUint32(4, out.length - 8, s.littleEndian)
  tag(8, 'WAVEfmt ')
  view.setUint32(16, s.format.bytes, s.littleEndian)
  out.set(bytes.subarray(s.format.from, s.format.from + s.format.bytes), 20)
  tag(20 + head, 'data')
  view.setUint32(24 + head, size, s.littleEndian)
  out.set(bytes.subarray(s.from, s.from + size), 28 + head)
  return out
}
