import { check } from '../../check'

export const landmark = check<{ unsaid: { cell: string } }>({
  id: 'landmark',
  station: 'power',
  scope: 'saber',
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
})
