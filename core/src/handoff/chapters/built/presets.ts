import { formatFact, known } from '../../../facts'
import { colourOf, effectColours, hueText, type Preset } from '../../../record'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

export const presets: SaberChapter = (s) => {
  const head = (column: 'number' | 'preset' | 'colour' | 'effects' | 'font' | 'asker') =>
    say('chapter.presets.head', { column })
  return {
    id: 'presets',
    title: say('chapter.presets'),
    blocks: table(
      [head('number'), head('preset'), head('colour'), head('effects'), head('font'), head('asker')],
      s.presets.map((p, i) => [
        String(i + 1),
        p.name,
        say('preset.colour', { hue: hueText(colourOf(p)), hex: colourOf(p) }),
        effects(p),
        say('preset.font', {
          font: [p.font, p.style].filter(Boolean).join(', '),
          tracks: p.tracks.join(', '),
          has: whether(p.tracks.length),
        }),
        [p.askedBy, p.why].filter(Boolean).join(': ') || '–',
      ]),
      { swatch: s.presets.map(colourOf) },
    ),
  }
}

/** Its effects with a colour of their own, and the times and flashes that were set. */
function effects(p: Preset): string {
  const ms = (f: Preset['extendMs'], way: 'out' | 'in') =>
    known(f) === undefined ? [] : [say('preset.time', { way, time: formatFact(f, 0) })]
  const all = [
    ...effectColours(p).map(([effect, hex]) => say('preset.effect', { effect, hue: hueText(hex), hex })),
    ...ms(p.extendMs, 'out'),
    ...ms(p.retractMs, 'in'),
    ...(known(p.flickerHz) === undefined ? [] : [say('preset.flashes', { rate: formatFact(p.flickerHz, 0) })]),
  ]
  return all.join('; ') || '–'
}
