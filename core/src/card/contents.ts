import { type Calculated, Gather, known } from '../facts'
import { byId, type Card, type CardFile, type CardReading, refTo, type Saber } from '../record'
import { cardFiles, isLitter } from '../voice'
import { CONFIGURATION_FILES, cardPart } from './configuration'

/** The least that a file takes where nobody has said: what cards of a few gigabytes are formatted with, bytes. */
export const USUAL_CLUSTER = 32_768

/** Bytes that files take on a card: each rounded up to whole clusters; an empty one takes none. */
export const onCard = (files: readonly Pick<CardFile, 'bytes'>[], cluster: number): number =>
  files.reduce((n, f) => n + Math.ceil(f.bytes / cluster) * cluster, 0)

/** The last reading of a card; undefined where nobody has looked. */
export const lastReading = (c: Card): CardReading | undefined => c.readings.at(-1)

/** What a card holds by its last reading, and what is free on it, MB of a million bytes. */
export function cardSpace(s: Saber, c: Card): { used: Calculated; free: Calculated } {
  const part = cardPart(s, c.part)
  const take = (g: Gather) => {
    const last = lastReading(c)
    const cluster = known(c.cluster)
    if (!last) g.missing(`what is on ${c.name}`, refTo('card', c.id))
    if (cluster === undefined) g.note('cluster, as usual', `${USUAL_CLUSTER} bytes`)
    const size = cluster !== undefined && cluster >= 1 ? cluster : USUAL_CLUSTER
    return last ? onCard(last.files, size) / 1e6 : 0
  }
  const [used, free] = [new Gather(), new Gather()]
  const [a, b] = [take(used), take(free)]
  const whole = free.take('card size, MB', part?.specs.cardMegabytes, part && refTo('part', part.id))
  return {
    used: used.figure('×', 'Σ ⌈file ÷ cluster⌉ × cluster', 'files as they were read', () => a),
    free: free.figure('×', 'card − Σ ⌈file ÷ cluster⌉ × cluster', 'files as they were read', () => whole - b),
  }
}

/** What of a card is otherwise than it was. */
export interface Verified {
  changed: string[]
  added: string[]
  gone: string[]
  unreadable: string[]
}
/** A card as it was and as it is: files are the same by path and SHA-256. A path differs by more than its capitals. */
export function verifyCard(was: CardReading, is: CardReading): Verified {
  const before = new Map(was.files.map((f) => [f.path.toLowerCase(), f]))
  const now = new Map(is.files.map((f) => [f.path.toLowerCase(), f]))
  const unreadable = new Set(is.unreadable.map((p) => p.toLowerCase()))
  return {
    changed: is.files.flatMap((f) => {
      const b = before.get(f.path.toLowerCase())
      return b && b.sum !== f.sum ? [f.path] : []
    }),
    added: is.files.filter((f) => !before.has(f.path.toLowerCase())).map((f) => f.path),
    gone: was.files
      .filter((f) => !now.has(f.path.toLowerCase()) && !unreadable.has(f.path.toLowerCase()))
      .map((f) => f.path),
    unreadable: [...is.unreadable],
  }
}

/** Why nothing of a saber uses a file of its card. */
export type UnusedWhy = 'litter' | 'noFont' | 'noPreset' | 'notRecorded'
/** Files of a card that nothing uses, each with why: its folder is no font of the record, no preset plays that font, or the font knows no such sound. */
export function unusedFiles(s: Saber, files: readonly CardFile[]): { path: string; why: UnusedWhy }[] {
  const expected = cardFiles(s)
  const there = new Set(expected.map((f) => f.path.toLowerCase()))
  const folderOf = (path: string) => path.split('/')[0]!.toLowerCase()
  const fonts = new Map(expected.map((e) => [folderOf(e.path), byId(s.fonts, e.font)]))
  const played = new Set<string | undefined>(s.presets.map((p) => p.font))
  const tracks = new Set<string>(s.presets.flatMap((p) => p.tracks))
  const configuration = new Set<string>(CONFIGURATION_FILES)
  return files.flatMap((f): { path: string; why: UnusedWhy }[] => {
    if (configuration.has(f.path)) return []
    if (isLitter(f.path)) return [{ path: f.path, why: 'litter' }]
    const font = fonts.get(folderOf(f.path))
    if (!font) return [{ path: f.path, why: 'noFont' }]
    const plays = font.is !== 'font' || played.has(font.id) || font.sounds.some((x) => tracks.has(x.id))
    if (!plays) return [{ path: f.path, why: 'noPreset' }]
    return there.has(f.path.toLowerCase()) ? [] : [{ path: f.path, why: 'notRecorded' }]
  })
}

/** Presets whose font has sounds in the record and none of them on the card. */
export function presetsWithout(s: Saber, files: readonly CardFile[]): { preset: string; font: string }[] {
  const there = new Set(files.map((f) => f.path.toLowerCase()))
  const expected = cardFiles(s)
  return s.presets.flatMap((p) => {
    const own = expected.filter((e) => e.font === p.font)
    return own.length && !own.some((e) => there.has(e.path.toLowerCase()))
      ? [{ preset: p.id, font: byId(s.fonts, p.font)!.name }]
      : []
  })
}
