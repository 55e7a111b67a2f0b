import { known } from '../../../facts'
import { difference, SAME_COLOUR } from '../../../light'
import { colourOf } from '../../../record'
import { check } from '../../check'

export const alikeColours = check<{
  alike: { a: string; b: string; difference: number; colours: [string, string] }
}>({
  id: 'alikeColours',
  station: 'voice',
  scope: 'saber',
  source: 'CIEDE2000',
  reads: ['presets'],
  run: ({ saber }) => {
    // One that nobody has said is like no other.
    const colours = saber.presets.filter((p) => !p.look && known(p.colour))
    return colours.flatMap((a, i) =>
      colours.slice(i + 1).flatMap((b) => {
        const d = difference(colourOf(a), colourOf(b))
        return d > 0 && d < SAME_COLOUR
          ? [
              {
                code: 'alike' as const,
                subject: `${a.id}-${b.id}`,
                level: 'note' as const,
                params: {
                  a: a.name,
                  b: b.name,
                  difference: d,
                  colours: [colourOf(a), colourOf(b)] as [string, string],
                },
                refs: [`preset:${a.id}` as const, `preset:${b.id}` as const],
              },
            ]
          : []
      }),
    )
  },
})
