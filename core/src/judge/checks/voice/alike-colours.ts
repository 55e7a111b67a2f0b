import { known } from '../../../facts'
import { difference, SAME_COLOUR } from '../../../light'
import { colourOf } from '../../../record'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

export const alikeColours = check<{
  alike: { a: string; b: string; difference: number; colours: [string, string] }
}>({
  id: 'alikeColours',
  station: 'voice',
  scope: 'saber',
  rule: `Two presets closer than ΔE00 ${SAME_COLOUR} are hard to tell apart.`,
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
  words: {
    alike: (p) => ({
      title: `${p.a} and ${p.b} look alike`,
      detail: `ΔE00 ${formatNumber(MAKER, p.difference, 1)} between ${p.colours[0]} and ${p.colours[1]}.`,
      remedy: 'Move one, or tell the client which is which.',
    }),
  },
})
