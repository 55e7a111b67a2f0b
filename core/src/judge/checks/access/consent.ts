import type { Task } from '../../../record'
import { say } from '../../../words'
import { check } from '../../check'

export const consent = check<{ unasked: { task: Task; text: string } }>({
  id: 'consent',
  station: 'access',
  scope: 'saber',
  rule: 'What cannot be undone is done only with the client’s consent.',
  source: 'usual caution',
  reads: ['access'],
  run: ({ saber }) =>
    saber.access.flatMap(({ task, steps }) =>
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
  words: {
    unasked: (p) => ({
      title: `${say('task', p)}: one step cannot be undone`,
      detail: `“${p.text}”`,
      remedy: 'Ask the client, and note at the step who agreed and when.',
    }),
  },
})
