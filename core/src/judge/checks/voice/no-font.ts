import { check } from '../../check'

export const noFont = check<{ blank: { preset: string } }>({
  id: 'noFont',
  station: 'voice',
  scope: 'saber',
  source: 'shop practice',
  reads: ['presets'],
  run: ({ saber }) =>
    saber.presets
      .filter((p) => !p.font && !p.look)
      .map((p) => ({
        code: 'blank',
        subject: p.id,
        level: 'caution',
        params: { preset: p.name },
        refs: [`preset:${p.id}`],
        gate: true,
      })),
})
