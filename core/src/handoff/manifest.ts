import { known } from '../facts'
import { colourOf, type Font, fontOf, type Saber, type Sound, tracksOf } from '../record'
import { gainOf } from '../voice'

interface CardSound {
  event: string
  file?: string
  seconds?: number
  sha256?: string
}
/** What belongs on the memory card of a saber: presets in their order, and every font with its sounds by file, length and checksum. */
export interface CardManifest {
  saber: string
  board?: string
  firmware?: string
  presets: { number: number; name: string; font?: string; colour: string; tracks: string[] }[]
  fonts: { name: string; is: Font['is']; author?: string; licence?: string; gainDb?: number; sounds: CardSound[] }[]
}

export function cardManifest(s: Saber): CardManifest {
  const board = s.parts.find((p) => p.kind === 'board')?.name
  const firmware = known(s.firmware)
  return {
    saber: s.name,
    ...(board ? { board } : {}),
    ...(firmware ? { firmware } : {}),
    presets: s.presets.map((p, i) => {
      const font = fontOf(s, p)?.name
      return {
        ...{ number: i + 1, name: p.name, ...(font ? { font } : {}), colour: colourOf(p) },
        tracks: tracksOf(s, p).map((x) => x.name),
      }
    }),
    fonts: s.fonts.map((f) => ({
      ...{ name: f.name, is: f.is },
      ...(f.author ? { author: f.author } : {}),
      ...(f.licence ? { licence: f.licence } : {}),
      ...(gainOf(f) ? { gainDb: gainOf(f) } : {}),
      sounds: f.sounds.map(onCard),
    })),
  }
}

const onCard = (q: Sound): CardSound => ({
  event: q.event,
  ...(q.name ? { file: q.name } : {}),
  ...(q.seconds === undefined ? {} : { seconds: q.seconds }),
  ...(q.media ? { sha256: q.media } : {}),
})
