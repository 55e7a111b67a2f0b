import { known } from '../facts'
import { type Font, fontOf, type Preset, type Saber, type Sound, type SoundEvent } from '../record'

/** No true peak may stand above this on a card, dBTP (EBU R 128). */
export const HIGHEST_PEAK = -1

const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b)
  const mid = sorted.length >> 1
  return sorted.length % 2 ? sorted[mid]! : (sorted[mid - 1]! + sorted[mid]!) / 2
}

/** What is set on a font, dB; nothing louder or softer while nobody has said so. */
export const gainOf = (f: Font): number => known(f.gain) ?? 0

/** How loud a font is in each event: the median of its sounds, by their gated loudness, or by their energy where they are too short for one. */
function levelsOf(f: Font): Map<string, number> {
  const all = new Map<string, number[]>()
  for (const x of f.sounds) {
    const level = x.loudnessLufs ?? x.rmsDb
    if (level === undefined) continue
    const key = `${x.event} ${x.loudnessLufs === undefined ? 'energy' : 'loudness'}`
    all.set(key, [...(all.get(key) ?? []), level])
  }
  return new Map([...all].map(([key, levels]) => [key, median(levels)]))
}

/** Rounds of fitting at most, and the change with which it is there, dB. */
const [ROUNDS, THERE] = [60, 1e-4]
/**
 * Where each font stands on one scale of loudness as it was recorded, dB: what fits the differences between like events best, hum
 * against hum (least squares). Fonts that share no event with another have no place.
 */
function placesOf(fonts: readonly Font[]): Map<Font, number> {
  const kinds = new Map<string, Map<Font, number>>()
  for (const f of fonts)
    for (const [key, level] of levelsOf(f)) kinds.set(key, (kinds.get(key) ?? new Map<Font, number>()).set(f, level))
  const shared = [...kinds.values()].filter((m) => m.size > 1)
  const out = new Map(fonts.filter((f) => shared.some((m) => m.has(f))).map((f) => [f, 0]))
  const mean = (all: readonly number[]) => all.reduce((a, b) => a + b, 0) / all.length
  for (let n = 0; n < ROUNDS; n++) {
    const levels = shared.map((m) => mean([...m].map(([f, level]) => level - out.get(f)!)))
    let moved = 0
    for (const [f, was] of out) {
      const is = mean(shared.flatMap((m, i) => (m.has(f) ? [m.get(f)! - levels[i]!] : [])))
      moved = Math.max(moved, Math.abs(is - was))
      out.set(f, is)
    }
    if (moved < THERE) break
  }
  return out
}

/** The highest true peak of a font, dBTP, and the sound that has it; undefined where none was measured. */
export function loudestPeak(f: Font): { sound: Sound; truePeakDb: number } | undefined {
  let most: { sound: Sound; truePeakDb: number } | undefined
  for (const sound of f.sounds)
    if (sound.truePeakDb !== undefined && sound.truePeakDb > (most?.truePeakDb ?? Number.NEGATIVE_INFINITY))
      most = { sound, truePeakDb: sound.truePeakDb }
  return most
}

export interface Evened {
  font: Font
  /** How much louder it is than the middle of the fonts with the gains that are set, dB; undefined where nothing compares. */
  louder: number | undefined
  /** The one gain that makes it as loud as the others, dB. */
  gain: number
  /** What its peak is with the gain that is set, dBTP; undefined where none was measured. */
  peak: number | undefined
}

/** Down to tenths of a decibel. */
const tenths = (x: number) => Math.floor(x * 10 + 1e-9) / 10 + 0

/**
 * One gain for each font, so that like events are alike and no peak rises above −1 dBTP: all meet at the middle of them, or lower
 * where the peaks of one leave it no room to come up. A font that compares with none is only kept below that peak. Voice packs and
 * music are not evened: they are heard by themselves.
 */
export function evened(fonts: readonly Font[]): Evened[] {
  const playing = fonts.filter((f) => f.is === 'font')
  const places = placesOf(playing)
  const peakOf = (f: Font) => loudestPeak(f)?.truePeakDb
  const roomOf = (f: Font) => HIGHEST_PEAK - (peakOf(f) ?? Number.NEGATIVE_INFINITY)
  const middle = places.size ? median([...places.values()]) : 0
  const level = Math.min(middle, ...[...places].map(([f, at]) => at + roomOf(f)))
  const set = places.size ? median([...places].map(([f, at]) => at + gainOf(f))) : 0
  return playing.map((font) => {
    const [at, peak] = [places.get(font), peakOf(font)]
    return {
      font,
      louder: at === undefined ? undefined : at + gainOf(font) - set,
      gain: tenths(at === undefined ? Math.min(0, roomOf(font)) : level - at),
      peak: peak === undefined ? undefined : peak + gainOf(font),
    }
  })
}

/** When nine tenths of the energy of a preset's ignite and retract sounds have come, ms: when the blade should be out, and in. Nothing where neither was measured. */
export function timesBySound(saber: Pick<Saber, 'fonts'>, p: Preset): { extendMs?: number; retractMs?: number } {
  const when = (event: SoundEvent) => {
    const all = (fontOf(saber, p)?.sounds ?? []).filter((x) => x.event === event)
    const arrives = all.flatMap((x) => x.arrives ?? x.seconds ?? [])
    return arrives.length ? Math.round(median(arrives) * 100) * 10 : undefined
  }
  const [extendMs, retractMs] = [when('ignite'), when('retract')]
  return {
    ...(extendMs === undefined ? {} : { extendMs }),
    ...(retractMs === undefined ? {} : { retractMs }),
  }
}
