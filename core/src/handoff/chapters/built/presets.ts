import { formatFact, known, printable } from '../../../facts'
import {
  byId,
  colourOf,
  effectColours,
  fontOf,
  hueText,
  LIGHT_EVENTS,
  type Preset,
  type Saber,
  tracksOf,
} from '../../../record'
import { formatNumber, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'
import { movesText } from './moving'

export const presets: SaberChapter = (reader, s) => {
  const head = (column: 'number' | 'preset' | 'colour' | 'effects' | 'font' | 'asker') =>
    say(reader, 'chapter.presets.head', { column })
  const all = s.presets.map(colourOf)
  return {
    id: 'presets',
    title: say(reader, 'chapter.presets'),
    blocks: table(
      [head('number'), head('preset'), head('colour'), head('effects'), head('font'), head('asker')],
      s.presets.map((p, i) => [
        String(i + 1),
        p.name,
        shines(reader, p, all),
        effects(reader, s, p),
        say(reader, 'preset.font', {
          font: [fontOf(s, p)?.name, p.style].filter(Boolean).join(', '),
          tracks: tracksOf(s, p)
            .map((x) => x.name)
            .join(', '),
          has: whether(tracksOf(s, p).length),
        }),
        [
          [p.askedBy, p.why].filter(Boolean).join(': '),
          p.timesWhy,
          p.picture && say(reader, 'preset.picture', { picture: p.picture }),
          p.exceptions,
          needed(s, p) && say(reader, 'preset.needs', { blade: needed(s, p)! }),
          takes(reader, p),
          p.status === 'unsure' && say(reader, 'preset.unsure'),
        ]
          .filter(Boolean)
          .join('; ') || '–',
      ]),
      { swatch: all },
    ),
  }
}

const needed = (s: Saber, p: Preset) => byId(s.blades, p.needs)?.name
const takes = (reader: Reader, p: Preset): string =>
  known(p.needsLength) !== undefined || p.needsTip || p.needsPlug
    ? say(reader, 'preset.takes', {
        ...{ length: p.needsLength ? formatFact(reader, p.needsLength, 0) : '', long: whether(known(p.needsLength)) },
        ...{ tip: whether(p.needsTip), plug: whether(p.needsPlug) },
      })
    : ''

/** What the blade shows while it only shines: its colour in words that tell it from the others, and how it moves. */
function shines(reader: Reader, p: Preset, all: readonly string[]): string {
  const { moves, moving } = movesText(reader, p.moves)
  const colour = say(reader, 'preset.colour', { hue: hueText(reader, colourOf(p), all), look: p.look ?? 'colour' })
  return moving === 'yes' ? `${colour}, ${moves}` : colour
}

/** Its events with a look of their own, its other lights, and the times and flashes that were set. */
function effects(reader: Reader, s: Saber, p: Preset): string {
  const ms = (f: Preset['extendMs'], way: 'out' | 'in') => {
    const v = known(f)
    if (v === undefined || !f) return []
    const time = `${formatNumber(reader, v / 1000, 3)} s`
    return [
      say(reader, 'preset.time', { way, time: printable(f) === 'plain' ? time : say(reader, 'about', { what: time }) }),
    ]
  }
  const colours = effectColours(p).map(([, hex]) => hex)
  const lightColours = p.lights.flatMap((l) => known(l.colour) ?? [])
  const hueOf = (hex: string | undefined, among: readonly string[]) => ({
    hue: hex === undefined ? '' : hueText(reader, hex, among),
    coloured: whether(hex),
  })
  const all = [
    ...LIGHT_EVENTS.flatMap((event) => {
      const look = p.effects?.[event]
      if (look?.is) return [say(reader, 'preset.event', { event, is: look.is })]
      const hex = known(look?.colour)
      return hex === undefined && !look?.moves
        ? []
        : [say(reader, 'preset.effect', { effect: event, ...hueOf(hex, colours), ...movesText(reader, look?.moves) })]
    }),
    ...p.lights.map((l) =>
      say(reader, 'preset.light', {
        light: byId(s.zones, l.zone)?.name ?? '',
        ...hueOf(known(l.colour), lightColours),
        ...movesText(reader, l.moves),
      }),
    ),
    ...ms(p.extendMs, 'out'),
    ...ms(p.retractMs, 'in'),
    ...(known(p.flickerHz) === undefined
      ? []
      : [say(reader, 'preset.flashes', { rate: formatFact(reader, p.flickerHz, 0) })]),
  ]
  return all.join('; ') || '–'
}
