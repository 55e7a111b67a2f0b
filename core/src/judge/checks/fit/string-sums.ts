import { known } from '../../../facts'
import { stringSums as sums } from '../../../fit'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

export const stringSums = check<{
  differ: { blade: string; groups: number; each: number; sum: number; stated: number }
}>({
  id: 'stringSums',
  station: 'fit',
  scope: 'saber',
  rule: 'The LEDs of a string blade are groups times LEDs in each, and that is the stated total.',
  source: 'counting',
  reads: ['blades'],
  run: ({ saber }) =>
    saber.blades
      .filter((b) => b.kind === 'string')
      .flatMap((b) => {
        const s = sums(b)
        if (s.agrees !== false || !s.total.ok) return []
        return [
          {
            code: 'differ' as const,
            subject: b.id,
            level: 'stop' as const,
            params: {
              blade: b.name,
              groups: known(b.groups)!,
              each: known(b.ledsPerGroup)!,
              sum: s.total.value,
              stated: known(b.ledsTotal)!,
            },
            refs: [`blade:${b.id}` as const],
            gate: true,
          },
        ]
      }),
  words: {
    differ: (p) => ({
      title: `${p.blade}: the LEDs do not add up`,
      detail: `${formatNumber(MAKER, p.groups)} groups of ${formatNumber(MAKER, p.each)} are ${formatNumber(MAKER, p.sum)}, stated are ${formatNumber(MAKER, p.stated)}.`,
      remedy: 'Count again, and correct the one that is wrong.',
    }),
  },
})
