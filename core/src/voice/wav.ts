import wavefile from 'wavefile'

/** What a sound file says about itself, and what its samples say. */
export interface WavFacts {
  ok: true
  seconds: number
  rate: number
  channels: number
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

const FLOOR_DB = -200
const toDb = (x: number) => (x > 0 ? Math.max(FLOOR_DB, 20 * Math.log10(x)) : FLOOR_DB)
const SILENCE = 10 ** (-60 / 20)

/**
 * Reads a PCM or float WAV (8–64 bits, any channel count) and measures it. Samples are scaled to ±1. Expected faults
 * (another format, a file cut short, a compressed stream, no samples) come back with a code; nothing is thrown.
 */
export function readWav(bytes: Uint8Array): WavFacts | WavFault {
  const tag = String.fromCharCode(...bytes.subarray(0, 4))
  const form = String.fromCharCode(...bytes.subarray(8, 12))
  if (!['RIFF', 'RIFX', 'RF64'].includes(tag) || form !== 'WAVE')
    return { ok: false, code: 'notWav', message: 'This is not a WAV file (no RIFF/WAVE header).' }
  const declared = new DataView(bytes.buffer, bytes.byteOffset).getUint32(4, tag !== 'RIFX')
  if (tag !== 'RF64' && declared + 8 > bytes.byteLength + 1)
    return {
      ok: false,
      code: 'truncated',
      message: `The file is cut short: it declares ${declared + 8} bytes and has ${bytes.byteLength}.`,
    }
  let wav: InstanceType<typeof wavefile.WaveFile>
  try {
    wav = new wavefile.WaveFile(bytes)
  } catch (e) {
    return { ok: false, code: 'unreadable', message: `The file cannot be read: ${(e as Error).message}` }
  }
  const fmt = wav.fmt as {
    audioFormat: number
    numChannels: number
    sampleRate: number
    bitsPerSample: number
    subformat?: number[]
  }
  const format = fmt.audioFormat === 65534 ? fmt.subformat?.[0] : fmt.audioFormat
  if (format !== 1 && format !== 3)
    return {
      ok: false,
      code: 'compressed',
      message: `The samples are stored compressed (format ${format}); export it as plain PCM.`,
    }
  const bits = fmt.bitsPerSample
  const raw = wav.getSamples(false) as unknown as Float64Array | Float64Array[]
  const channels = Array.isArray(raw) ? raw : [raw]
  const frames = channels[0]?.length ?? 0
  if (!frames) return { ok: false, code: 'empty', message: 'The file has no samples.' }

  const scale = format === 3 ? 1 : 2 ** (bits - 1)
  const offset = format === 1 && bits === 8 ? 128 : 0
  const at = (c: number, i: number) => (channels[c]![i]! - offset) / scale
  let peak = 0
  let square = 0
  let sum = 0
  let fullScale = 0
  let first = frames
  let last = -1
  for (let c = 0; c < channels.length; c++)
    for (let i = 0; i < frames; i++) {
      const v = at(c, i)
      const a = Math.abs(v)
      if (a > peak) peak = a
      if (a >= 1 - 1.5 / scale && format === 1) fullScale++
      square += v * v
      sum += v
      if (a > SILENCE) {
        if (i < first) first = i
        if (i > last) last = i
      }
    }
  const count = frames * channels.length
  return {
    ok: true,
    seconds: frames / fmt.sampleRate,
    rate: fmt.sampleRate,
    channels: channels.length,
    bits,
    peakDb: toDb(peak),
    rmsDb: toDb(Math.sqrt(square / count)),
    fullScale,
    dc: sum / count,
    leadSilence: last < 0 ? frames / fmt.sampleRate : first / fmt.sampleRate,
    tailSilence: last < 0 ? 0 : (frames - 1 - last) / fmt.sampleRate,
    seam: Math.abs(at(0, frames - 1) - at(0, 0)),
  }
}
