import { type Measured, soundMeter } from './measure'

/** What a sound file says about itself, and what its samples say. */
export interface WavFacts extends Measured {
  ok: true
  rate: number
  channels: number
  /** Bits a sample is stored in. */
  bits: number
}
export interface WavFault {
  ok: false
  code: 'notWav' | 'truncated' | 'compressed' | 'empty' | 'unreadable'
  message: string
}

/** The largest file of a sound that is taken in. */
export const MOST_SOUND_BYTES = 40 * 1024 * 1024

/** What is believed of a header; beyond it the file is refused. A chunk is eight bytes and more, so even a full count is soon walked. */
const MOST = { chunks: 4096, channels: 64, rate: 768_000 }
/** Codes of the formats, and the length a writer leaves that did not know it, as RIFF WAVE has them. */
const [PCM, FLOAT, EXTENSIBLE] = [1, 3, 0xfffe]
const UNKNOWN_SIZE = 0xffffffff
/** Codecs that a WAV file may hold, by their registered numbers (RFC 2361). */
const CODECS: Readonly<Record<number, string>> = {
  ...{ 2: 'ADPCM', 6: 'A-law', 7: 'µ-law', 17: 'IMA ADPCM', 49: 'GSM 6.10', 80: 'MPEG', 85: 'MP3', 255: 'AAC' },
  ...{ 353: 'WMA', 354: 'WMA', 8192: 'AC-3', 26447: 'Vorbis' },
}
/** Frames decoded at a time. */
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

/** What a file is by its first bytes, as one would say it. */
function kindOf(bytes: Uint8Array): string {
  const [head, form] = [text(bytes, 0), text(bytes, 8)]
  if (!bytes.length) return 'it is empty'
  if (head === 'OggS') return 'it is an Ogg file'
  if (head === 'fLaC') return 'it is a FLAC file'
  if (head === 'FORM' && /^AIF[FC]$/.test(form)) return 'it is an AIFF file'
  if (text(bytes, 4) === 'ftyp') return 'it is an MP4 or AAC file'
  if (head.startsWith('ID3') || (bytes[0] === 0xff && ((bytes[1] ?? 0) & 0xe0) === 0xe0))
    return 'it is an MP3 or AAC file'
  if (head.startsWith('PK')) return 'it is a ZIP archive'
  return 'it has no RIFF/WAVE header'
}

/** Walks the chunks for format and samples; sizes are held against the bytes that are there, all other chunks are passed over. */
function locate(bytes: Uint8Array): Stored | WavFault {
  const tag = text(bytes, 0)
  if (!['RIFF', 'RIFX', 'RF64'].includes(tag) || text(bytes, 8) !== 'WAVE')
    return fault('notWav', `This is not a WAV file: ${kindOf(bytes)}.`)
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
    return fault(
      'compressed',
      `The samples are stored compressed (${CODECS[format.code] ?? `format ${format.code}`}); export it as plain PCM.`,
    )
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
  if (data.bytes < align) return fault('empty', 'The file has no samples.')
  return {
    format: { from: format.from, bytes: format.bytes },
    ...{ rate, channels, width, float, littleEndian },
    ...data,
  }
}

/** One sample as −1…1; 8 bits are unsigned, wider ones signed, as the format has it. */
function sampleOf(view: DataView, { float, width, littleEndian: le }: Stored): (at: number) => number {
  if (float) return width === 4 ? (p) => view.getFloat32(p, le) : (p) => view.getFloat64(p, le)
  switch (width) {
    case 1:
      return (p) => (view.getUint8(p) - 128) / 128
    case 2:
      return (p) => view.getInt16(p, le) / 0x8000
    case 3:
      return le
        ? (p) => ((view.getInt8(p + 2) << 16) | view.getUint16(p, true)) / 0x800000
        : (p) => ((view.getInt8(p) << 16) | view.getUint16(p + 1, false)) / 0x800000
    default:
      return (p) => view.getInt32(p, le) / 0x80000000
  }
}

/** Whether this machine keeps the low byte first. */
const LITTLE = new Uint8Array(Uint16Array.of(1).buffer)[0] === 1
/** The samples of 16 bits as they lie, copied only where they do not begin at a whole word. */
const wordsOf = (bytes: Uint8Array, s: Stored): Int16Array => {
  const [at, n] = [bytes.byteOffset + s.from, s.bytes >> 1]
  return at % 2 ? new Int16Array(bytes.slice(s.from, s.from + 2 * n).buffer) : new Int16Array(bytes.buffer, at, n)
}

/** The frames of a file piece by piece, an array for each stored channel; the arrays are written anew with each piece. */
function* piecesOf(bytes: Uint8Array, s: Stored): Generator<Float32Array[]> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const read = sampleOf(view, s)
  const { channels, width } = s
  const frames = Math.floor(s.bytes / (width * channels))
  const room = Array.from({ length: channels }, () => new Float32Array(Math.min(BLOCK, frames)))
  // What most sounds are stored as, in the order of this machine: read as it lies.
  const words = !s.float && width === 2 && s.littleEndian && LITTLE ? wordsOf(bytes, s) : undefined
  for (let from = 0; from < frames; from += BLOCK) {
    const n = Math.min(BLOCK, frames - from)
    const piece = room.map((x) => x.subarray(0, n))
    for (let ch = 0; ch < channels; ch++) {
      const into = piece[ch]!
      if (words) {
        for (let i = 0, p = from * channels + ch; i < n; i++, p += channels) into[i] = words[p]! / 0x8000
        continue
      }
      const step = width * channels
      let p = s.from + from * step + ch * width
      for (let i = 0; i < n; i++, p += step) into[i] = read(p)
    }
    yield piece
  }
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
  // What is above 1 is cut off by a board as what is at it.
  const meter = soundMeter(rate, channels, s.float ? 1 : 1 - 1.5 / 2 ** (width * 8 - 1))
  for (const piece of piecesOf(bytes, s)) meter.push(piece)
  const measured = meter.read()
  if (!Number.isFinite(measured.rmsDb)) return fault('unreadable', 'The file holds samples that are no numbers.')
  return { ok: true, rate, channels, bits: width * 8, ...measured }
}

/** What is wrong with a file, without measuring it: as `readWav` finds it; undefined for what can be read. */
export function wavFault(bytes: Uint8Array): WavFault | undefined {
  const s = locate(bytes)
  if ('ok' in s) return s
  if (s.float)
    for (const piece of piecesOf(bytes, s))
      if (!piece.every((x) => x.every(Number.isFinite)))
        return fault('unreadable', 'The file holds samples that are no numbers.')
  return undefined
}

/** The same sound on one channel, every channel as loud as the others, −1…1. */
interface Mono {
  rate: number
  samples: Float32Array
}
function mixed(bytes: Uint8Array, s: Stored): Mono {
  const samples = new Float32Array(Math.floor(s.bytes / (s.width * s.channels)))
  let at = 0
  for (const piece of piecesOf(bytes, s)) {
    for (let i = 0; i < piece[0]!.length; i++) samples[at + i] = piece.reduce((sum, x) => sum + x[i]!, 0) / s.channels
    at += piece[0]!.length
  }
  return { rate: s.rate, samples }
}

/** A sound on one channel. Only for bytes that `readWav` has read; throws RangeError for others. */
export function monoOf(bytes: Uint8Array): Mono {
  const s = locate(bytes)
  if ('ok' in s) throw new RangeError(`monoOf: ${s.message}`)
  return mixed(bytes, s)
}

/** A sound on one channel, without measuring it; nothing for bytes that `readWav` would refuse. */
export function playable(bytes: Uint8Array): Mono | undefined {
  const s = locate(bytes)
  if ('ok' in s) return undefined
  const mono = mixed(bytes, s)
  return mono.samples.length && mono.samples.every(Number.isFinite) ? mono : undefined
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

/**
 * The same sound louder by so many decibels, stored as it was, without what lies beside its samples; what goes beyond full scale is
 * cut off there. 0 dB is the plain file. Only for bytes that `readWav` has read; throws RangeError for others.
 */
export function louder(bytes: Uint8Array, gainDb: number): Uint8Array {
  const out = plainWav(bytes)
  if (gainDb === 0) return out
  const s = locate(out)
  if ('ok' in s) throw new RangeError(`louder: ${s.message}`)
  const view = new DataView(out.buffer, out.byteOffset, out.byteLength)
  const [read, write] = [sampleOf(view, s), writerOf(view, s)]
  const factor = 10 ** (gainDb / 20)
  for (let p = s.from; p + s.width <= s.from + s.bytes; p += s.width) write(p, read(p) * factor)
  return out
}

/** Writes one sample of −1…1 as `sampleOf` reads it, to the nearest step. */
function writerOf(view: DataView, { float, width, littleEndian: le }: Stored): (at: number, v: number) => void {
  if (float) return width === 4 ? (p, v) => view.setFloat32(p, v, le) : (p, v) => view.setFloat64(p, v, le)
  const full = 2 ** (width * 8 - 1)
  const step = (v: number) => Math.max(-full, Math.min(full - 1, Math.round(v * full)))
  switch (width) {
    case 1:
      return (p, v) => view.setUint8(p, step(v) + 128)
    case 2:
      return (p, v) => view.setInt16(p, step(v), le)
    case 3:
      return (p, v) => {
        const x = step(v)
        view.setUint8(le ? p : p + 2, x & 0xff)
        view.setUint8(p + 1, (x >> 8) & 0xff)
        view.setInt8(le ? p + 2 : p, x >> 16)
      }
    default:
      return (p, v) => view.setInt32(p, step(v), le)
  }
}
