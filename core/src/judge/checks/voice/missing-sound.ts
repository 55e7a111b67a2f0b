import { keyWords } from '../../../record'
import { missingSounds } from '../../../voice'
import { check } from '../../check'

export const missingSound = check<{ silent: { preset: string; events: string[] } }>({
  id: 'missingSound',
  station: 'voice',
  scope: 'saber',
  rule: 'A font has a sound for every event that the controls can reach.',
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
  words: {
    silent: (p) => ({
      title: `${p.preset}: no sound for ${p.events.map(keyWords).join(', ')}`,
      detail: 'The controls can reach it and the font stays silent there.',
      remedy: 'Add the sound, or take the control out of this preset.',
    }),
  },
})
