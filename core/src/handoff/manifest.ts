import { known } from '../facts'
import { colourOf, type Saber } from '../record'

/** What belongs on the memory card of a saber: presets in their order, and every sound by its file, length and checksum. */
export interface CardManifest {
  saber: string
  board?: string
  firmware?: string
  presets: {
    number: number
    name: string
    font: string
    colour: string
    tracks: string[]
    sounds: { event: string; file?: string; seconds?: number; sha256?: string }[]
  }[]
}

export function cardManifest(s: Saber): CardManifest {
  const board = s.parts.find((p) => p.kind === 'board')?.name
  const firmware = known(s.firmware)
  return {
    saber: s.name,
    ...(board ? { board } : {}),
    ...(firmware ? { firmware } : {}),
    presets: s.presets.map((p, i) => ({
      ...{ number: i + 1, name: p.name, font: p.font, colour: colourOf(p), tracks: p.tracks },
      sounds: p.sounds.map((q) => ({
        event: q.event,
        ...(q.name ? { file: q.name } : {}),
        ...(q.seconds === undefined ? {} : { seconds: q.seconds }),
        ...(q.media ? { sha256: q.media } : {}),
      })),
    })),
  }
}
