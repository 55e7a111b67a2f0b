import { type DuelReason, judgeDuel } from '../../../fit'
import { check } from '../../check'

export const duel = check<{ notForContact: { blade: string; against: DuelReason[] } }>({
  id: 'duel',
  station: 'fit',
  scope: 'saber',
  source: 'trade practice, editable; the usual caution',
  reads: ['hilt', 'parts', 'blades', 'order.purpose'],
  run: ({ saber, commission }) =>
    commission.purpose !== 'duelling'
      ? []
      : saber.blades
          .filter((b) => b.use !== 'demo' && b.kind !== 'plug')
          .flatMap((b) => {
            const { against } = judgeDuel(saber, b)
            return against.length
              ? [
                  {
                    code: 'notForContact' as const,
                    subject: b.id,
                    level: 'stop' as const,
                    params: { blade: b.name, against },
                    refs: [`blade:${b.id}` as const],
                    gate: true,
                  },
                ]
              : []
          }),
})
