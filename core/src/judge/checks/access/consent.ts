import type { GoalKind } from '../../../record'
import { check } from '../../check'

export const consent = check<{ unasked: { goal: GoalKind; text: string }; decided: { chose: string } }>({
  id: 'consent',
  station: 'access',
  scope: 'saber',
  source: 'usual caution',
  reads: ['access', 'decisions'],
  run: ({ saber }) => [
    ...saber.access.flatMap(({ goal, steps }) =>
      steps
        .filter((s) => s.irreversible && !s.consent)
        .map((s) => ({
          code: 'unasked' as const,
          subject: s.id,
          level: 'stop' as const,
          params: { goal, text: s.text ?? '' },
          ...((s.place ?? s.act?.at) ? { refs: [s.place ?? s.act!.at] } : {}),
          gate: true,
        })),
    ),
    ...saber.decisions
      .filter((d) => d.irreversible && !d.consent)
      .map((d) => ({
        ...{ code: 'decided' as const, subject: d.id, level: 'stop' as const, params: { chose: d.chose } },
        ...(d.about ? { refs: [d.about] } : {}),
        gate: true,
      })),
  ],
})
