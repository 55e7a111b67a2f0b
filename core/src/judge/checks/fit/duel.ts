import { type DuelReason, duelReasonText, judgeDuel } from '../../../fit'
import { check } from '../../check'

export const duel = check<{ notForContact: { blade: string; against: DuelReason[] } }>({
  id: 'duel',
  station: 'fit',
  scope: 'saber',
  rule: 'A saber meant for duelling has nothing recorded against contact; it is a judgement with reasons, not a certificate.',
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
  words: {
    notForContact: (p) => ({
      title: `${p.blade}: not for contact`,
      detail: `${p.against.map(duelReasonText).join('; ')}.`,
      remedy: 'Mend what is named, or agree with the client that it is for display.',
    }),
  },
})
