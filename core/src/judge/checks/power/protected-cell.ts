import { check } from '../../check'

export const protectedCell = check<{ bare: { cell: string } }>({
  id: 'protectedCell',
  station: 'power',
  scope: 'saber',
  rule: 'A removable bare cell without a board-side protection is a caution, for a beginner a stop.',
  source: 'usual caution; the cell maker’s sheet decides',
  reads: ['parts', 'order.purpose'],
  run: ({ saber, commission }) => {
    const beginner = commission.purpose === 'beginner'
    return saber.parts
      .filter((p) => p.kind === 'cell' && p.removable && p.protected === false)
      .map((p) => ({
        code: 'bare',
        subject: p.id,
        level: beginner ? 'stop' : 'caution',
        params: { cell: p.name },
        refs: [`part:${p.id}`],
        gate: beginner,
      }))
  },
  words: {
    bare: (p) => ({
      title: `${p.cell} is bare and can be taken out`,
      detail: 'A bare cell has no protection against short circuit or deep discharge.',
      remedy: 'Take a protected cell of the same size code, and mark it as protected.',
    }),
  },
})
