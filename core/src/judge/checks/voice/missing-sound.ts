import { missingSounds } from '../../../voice'
import { check } from '../../check'

export const missingSound = check<{ silent: { preset: string; events: string[] } }>({
  id: 'missingSound',
  station: 'voice',
  scope: 'saber',
  source: 'controls against the sound list',
  reads: ['presets', 'controls'],
  run: ({ saber }) =>
    saber.presets.flatMap((p) => {
      const events = missingSounds(saber, p)
      return events.length
        ? [
            {
              code: 'silent' as const,
              subject: p.id,
              level: 'stop' as const,
              params: { preset: p.name, events },
              refs: [`preset:${p.id}` as const],
              gate: true,
            },
          ]
        : []
    }),
})
