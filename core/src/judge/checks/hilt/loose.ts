import { check } from '../../check'

export const loose = check<{ loose: { screw: string } }>({
  id: 'loose',
  station: 'hilt',
  scope: 'saber',
  rule: 'Screws loosened for the bench or the camera are tightened before shipping.',
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
  words: {
    loose: (p) => ({
      title: `${p.screw} is loose`,
      detail: 'Loosened for the bench or the camera.',
      remedy: 'Tighten it, then clear the mark.',
    }),
  },
})
