import { check } from '../../check'

export const unsurePreset = check<{ unsure: { preset: string } }>({
  id: 'unsurePreset',
  station: 'voice',
  scope: 'saber',
  source: 'shop practice',
  reads: ['presets'],
  run: ({ saber }) =>
    saber.presets
      .filter((p) => p.status === 'unsure')
      .map((p) => ({
        code: 'unsure',
        subject: p.id,
        level: 'caution',
        params: { preset: p.name },
        refs: [`preset:${p.id}`],
        gate: true,
      })),
})
