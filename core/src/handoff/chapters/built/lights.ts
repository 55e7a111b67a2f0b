import { formatFact, known } from '../../../facts'
import { ledsOf } from '../../../power'
import { byId, type Die, hueText, type Saber, type Zone } from '../../../record'
import { formatNumber, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type SaberChapter, table } from '../../block'
import { diesText } from '../../values'

const dieText = (reader: Reader, d: Die): string =>
  say(reader, 'light.die', {
    ...{ die: d.name, hue: known(d.colour) ? hueText(reader, known(d.colour)!) : say(reader, 'notRecorded') },
    ...{ volts: formatFact(reader, d.forwardVolts), amps: formatFact(reader, d.current, 0) },
  })

const throughText = (reader: Reader, { what, colour }: NonNullable<Zone['through']>): string => {
  const hex = known(colour)
  return say(reader, 'light.through', {
    ...{ what, hue: hex === undefined ? '' : hueText(reader, hex), coloured: whether(hex) },
  })
}

const behindText = (reader: Reader, s: Saber, id: string): string => {
  const opening = byId(s.hilt.openings, id)
  return say(reader, 'light.through', {
    ...{ what: opening?.name ?? '', hue: opening?.tint ? hueText(reader, opening.tint) : '' },
    coloured: whether(opening?.tint),
  })
}

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
          const own = known(z.shines) === 'byItself'
          const leds = ledsOf(s, z)
          return [
            say(reader, 'light.name', { name: z.name, kind: z.kind }),
            known(z.leds) === undefined && leds.ok
              ? formatNumber(reader, leds.value, 0)
              : formatFact(reader, z.leds, 0),
            [
              say(reader, 'light.does', { with: with_ ?? '', follows: own ? 'no' : with_ ? 'yes' : 'unsaid' }),
              z.through ? throughText(reader, z.through) : z.behind && behindText(reader, s, z.behind),
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
