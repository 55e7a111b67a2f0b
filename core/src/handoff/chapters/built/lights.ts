import { formatFact, known } from '../../../facts'
import { byId, type Die, hueText } from '../../../record'
import type { Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'

const dieText = (reader: Reader, d: Die): string =>
  say(reader, 'light.die', {
    ...{ die: d.name, hue: known(d.colour) ? hueText(reader, known(d.colour)!) : say(reader, 'notRecorded') },
    ...{ volts: formatFact(reader, d.forwardVolts), amps: formatFact(reader, d.current, 0) },
  })

/** Every light beside the blade: how many LEDs, and what it follows; and the dies of those that are no pixels. */
export const lights: SaberChapter = (reader, s) => {
  const head = (column: 'light' | 'leds' | 'does') => say(reader, 'chapter.lights.head', { column })
  return {
    id: 'lights',
    title: say(reader, 'chapter.lights'),
    blocks: table(
      [head('light'), head('leds'), head('does')],
      [
        ...s.zones.map((z) => {
          const with_ = byId(s.zones, z.follows)?.name ?? byId(s.blades, z.blade)?.name
          return [
            say(reader, 'light.name', { name: z.name, kind: z.kind }),
            formatFact(reader, z.leds, 0),
            say(reader, 'light.does', { with: with_ ?? '', follows: whether(with_) }),
          ]
        }),
        // Another one can be got like it by what its dies are.
        ...s.parts.flatMap((p) =>
          p.dies?.length ? [[p.name, String(p.dies.length), p.dies.map((d) => dieText(reader, d)).join('; ')]] : [],
        ),
      ],
    ),
  }
}
