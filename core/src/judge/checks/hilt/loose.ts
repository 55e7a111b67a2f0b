import { check } from '../../check'

export const loose = check<{ loose: { screw: string } }>({
  id: 'loose',
  station: 'hilt',
  scope: 'saber',
  source: 'shop practice',
  reads: ['hilt'],
  run: ({ saber }) =>
    saber.hilt.fasteners
      .filter((f) => f.looseNow)
      .map((f) => ({
        code: 'loose',
        subject: f.id,
        level: 'caution',
        params: { screw: f.name },
        refs: [`fastener:${f.id}`],
        gate: true,
      })),
})
