import { hueWord } from '../../light'
import { colourOf } from '../../record'
import { say, whether } from '../../words'
import { type SaberChapter, table } from '../block'

export const presets: SaberChapter = (s) => {
  const head = (column: 'number' | 'preset' | 'colour' | 'font' | 'asker') => say('chapter.presets.head', { column })
  return {
    id: 'presets',
    title: say('chapter.presets'),
    blocks: table(
      [head('number'), head('preset'), head('colour'), head('font'), head('asker')],
      s.presets.map((p, i) => [
        String(i + 1),
        p.name,
        say('preset.colour', { hue: hueWord(colourOf(p)), hex: colourOf(p) }),
        say('preset.font', {
          font: [p.font, p.style].filter(Boolean).join(', '),
          tracks: p.tracks.join(', '),
          has: whether(p.tracks.length),
        }),
        [p.askedBy, p.why].filter(Boolean).join(': ') || '–',
      ]),
      s.presets.map(colourOf),
    ),
  }
}
