import { check } from '../../check'

export const landmark = check<{ unsaid: { cell: string } }>({
  id: 'landmark',
  station: 'power',
  scope: 'saber',
  rule: 'Polarity is told by landmarks on this saber, not in general.',
  source: 'usual caution',
  reads: ['parts'],
  run: ({ saber }) =>
    saber.parts
      .filter((p) => p.kind === 'cell' && p.removable && !p.landmark)
      .map((p) => ({
        code: 'unsaid',
        subject: p.id,
        level: 'caution',
        params: { cell: p.name },
        refs: [`part:${p.id}`],
        gate: true,
      })),
  words: {
    unsaid: (p) => ({
      title: 'Which way round does the cell go?',
      detail: `${p.cell} can be taken out and no landmark says which pole goes where.`,
      remedy: 'Name two landmarks: which end first, and the mark in the hilt.',
    }),
  },
})
