import { check } from '../../check'

export const bladeToDo = check<{ open: { blade: string; text: string } }>({
  id: 'bladeToDo',
  station: 'fit',
  scope: 'saber',
  rule: 'Work left on a blade is done before it ships.',
  source: 'shop practice',
  reads: ['blades'],
  run: ({ saber }) =>
    saber.blades.flatMap((b) =>
      (b.toDo ?? [])
        .filter((t) => !t.done)
        .map((t) => ({
          code: 'open' as const,
          subject: `${b.id}-${t.id}`,
          level: 'caution' as const,
          params: { blade: b.name, text: t.text },
          refs: [`blade:${b.id}` as const],
          gate: b.use === 'ship',
        })),
    ),
  words: {
    open: (p) => ({
      title: `${p.blade}: ${p.text}`,
      detail: 'Not done yet.',
      remedy: 'Do it and tick it off, or take it off the list.',
    }),
  },
})
