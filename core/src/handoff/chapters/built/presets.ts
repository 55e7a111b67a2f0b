import { formatFact, known, printable } from '../../../facts'
import { byId, colourOf, effectColours, fontOf, hueText, type Preset, type Saber, tracksOf } from '../../../record'
import { formatNumber, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

export const presets: SaberChapter = (reader, s) => {
  const head = (column: 'number' | 'preset' | 'colour' | 'effects' | 'font' | 'asker') =>
    say(reader, 'chapter.presets.head', { column })
  return {
    id: 'presets',
    title: say(reader, 'chapter.presets'),
    blocks: table(
      [head('number'), head('preset'), head('colour'), head('effects'), head('font'), head('asker')],
      s.presets.map((p, i) => [
        String(i + 1),
        p.name,
        say(reader, 'preset.colour', { hue: hueText(reader, colourOf(p)), hex: colourOf(p), look: p.look ?? 'colour' }),
        effects(reader, p),
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
          needed(s, p) && say(reader, 'preset.needs', { blade: needed(s, p)! }),
          p.status === 'unsure' && say(reader, 'preset.unsure'),
        ]
          .filter(Boolean)
          .join('; ') || '–',
      ]),
      { swatch: s.presets.map(colourOf) },
    ),
  }
}

const needed = (s: Saber, p: Preset) => byId(s.blades, p.needs)?.name

/** Its effects with a colour of their own, and the times and flashes that were set. */
function effects(reader: Reader, p: Preset): string {
  const ms = (f: Preset['extendMs'], way: 'out' | 'in') => {
    const v = known(f)
    if (v === undefined || !f) return []
    const time = `${formatNumber(reader, v / 1000, 3)} s`
    return [
      say(reader, 'preset.time', { way, time: printable(f) === 'plain' ? time : say(reader, 'about', { what: time }) }),
    ]
  }
  const all = [
    ...effectColours(p).map(([effect, hex]) =>
      say(reader, 'preset.effect', { effect, hue: hueText(reader, hex), hex }),
    ),
    ...ms(p.extendMs, 'out'),
    ...ms(p.retractMs, 'in'),
    ...(known(p.flickerHz) === undefined
      ? []
      : [say(reader, 'preset.flashes', { rate: formatFact(reader, p.flickerHz, 0) })]),
  ]
  return all.join('; ') || '–'
}
