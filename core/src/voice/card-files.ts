import type { Saber, Sound } from '../record'
import { gainOf } from './levels'

/** A file as it goes onto the card: where, from which stored file, and how much louder, dB. */
export interface CardFile {
  path: string
  /** Which sound it is, and of which font. */
  sound: string
  font: string
  media: string
  gainDb: number
}

/** Longest name of a folder or file. */
const LONGEST = 60
/** Letters that every card takes, without a dot or space at the end. */
const plainName = (text: string, otherwise: string): string =>
  text
    .normalize('NFC')
    // biome-ignore lint/suspicious/noControlCharactersInRegex: these are what is taken out
    .replace(/[\u0000-\u001f<>:"/\\|?*\u202a-\u202e\u2066-\u2069]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, LONGEST)
    .replace(/^\.+|[. ]+$/g, '') || otherwise

/** A name that is not there yet, whatever its capitals. */
function fresh(name: string, taken: Set<string>): string {
  const key = (n: string) => n.toLowerCase()
  let out = name
  for (let n = 2; taken.has(key(out)); n++) out = `${name} ${n}`
  taken.add(key(out))
  return out
}

/**
 * Every recorded sound of a saber as it goes onto its card: a folder for each font in the order of the record, in it one for each
 * event. Names are made so that a card can hold them and keep them apart; what has no file is left out.
 */
export function cardFiles(saber: Pick<Saber, 'fonts'>): CardFile[] {
  const folders = new Set<string>()
  return saber.fonts.flatMap((f, i) => {
    const number = String(i + 1).padStart(2, '0')
    const folder = fresh(`${number} ${plainName(f.name, 'font')}`, folders)
    const files = new Set<string>()
    return f.sounds.flatMap((s) =>
      s.media ? [{ path: pathOf(folder, s, files), sound: s.id, font: f.id, media: s.media, gainDb: gainOf(f) }] : [],
    )
  })
}
const pathOf = (folder: string, s: Sound, taken: Set<string>): string => {
  const stem = plainName(s.name.replace(/\.wave?$/i, ''), s.event)
  return `${folder}/${fresh(`${s.event}/${stem}`, taken)}.wav`
}
