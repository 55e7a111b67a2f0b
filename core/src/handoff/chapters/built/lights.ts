import { formatFact, known } from '../../../facts'
import { beforeLight, leaderOf } from '../../../looks'
import { ledsOf } from '../../../power'
import { type Die, hueText, nameOf } from '../../../record'
import { formatNumber, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'
import { diesText } from '../../values'

const dieText = (reader: Reader, d: Die): string =>
  say(reader, 'light.die', {
    ...{ die: d.name, hue: known(d.colour) ? hueText(reader, known(d.colour)!) : say(reader, 'notRecorded') },
    ...{ volts: formatFact(reader, d.forwardVolts), amps: formatFact(reader, d.current, 0) },
  })

const throughText = (reader: Reader, { what, colour }: NonNullable<ReturnType<typeof beforeLight>>): string =>
  say(reader, 'light.through', { what, hue: colour ? hueText(reader, colour) : '', coloured: whether(colour) })

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
          const with_ = nameOf(s, leaderOf(z))
          const before = beforeLight(s, z)
          const own = known(z.shines) === 'byItself'
          const leds = ledsOf(s, z)
          return [
            say(reader, 'light.name', { name: z.name, kind: z.kind }),
            known(z.leds) === undefined && leds.ok
              ? formatNumber(reader, leds.value, 0)
              : formatFact(reader, z.leds, 0),
            [
              say(reader, 'light.does', { with: with_ ?? '', follows: own ? 'no' : with_ ? 'yes' : 'unsaid' }),
              before && throughText(reader, before),
              z.dies?.length && say(reader, 'light.dies', { dies: diesText(reader, z.dies) }),
            ]
              .filter(Boolean)
              .join('; '),
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
