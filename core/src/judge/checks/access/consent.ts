import type { Task } from '../../../record'
import { check } from '../../check'

export const consent = check<{ unasked: { task: Task; text: string }; decided: { chose: string } }>({
  id: 'consent',
  station: 'access',
  scope: 'saber',
  source: 'usual caution',
  reads: ['access', 'decisions'],
  run: ({ saber }) => [
    ...saber.access.flatMap(({ task, steps }) =>
      steps
        .filter((s) => s.irreversible && !s.consent)
        .map((s) => ({
          code: 'unasked' as const,
          subject: s.id,
          level: 'stop' as const,
          params: { task, text: s.text },
          ...(s.place ? { refs: [s.place] } : {}),
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
