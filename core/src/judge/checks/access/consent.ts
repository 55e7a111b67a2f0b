import type { Task } from '../../../record'
import { MAKER } from '../../../units'
import { say } from '../../../words'
import { check } from '../../check'

export const consent = check<{ unasked: { task: Task; text: string }; decided: { chose: string } }>({
  id: 'consent',
  station: 'access',
  scope: 'saber',
  rule: 'What cannot be undone is done only with the client’s consent.',
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
  words: {
    unasked: (p) => ({
      title: `${say(MAKER, 'task', p)}: one step cannot be undone`,
      detail: `“${p.text}”`,
      remedy: 'Ask the client, and note at the step who agreed and when.',
    }),
    decided: (p) => ({
      title: 'Decided, and not to be undone',
      detail: `“${p.chose}”`,
      remedy: 'Ask the client, and note at the decision who agreed and when.',
    }),
  },
})
