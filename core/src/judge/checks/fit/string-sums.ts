import { known } from '../../../facts'
import { stringSums as sums } from '../../../fit'
import { check } from '../../check'

export const stringSums = check<{
  differ: { blade: string; groups: number; each: number; sum: number; stated: number }
}>({
  id: 'stringSums',
  station: 'fit',
  scope: 'saber',
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
})
