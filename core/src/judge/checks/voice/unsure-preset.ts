import { check } from '../../check'

export const unsurePreset = check<{ unsure: { preset: string } }>({
  id: 'unsurePreset',
  station: 'voice',
  scope: 'saber',
  rule: 'A preset marked "not sure" is seen and heard before it is told or printed.',
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
  words: {
    unsure: (p) => ({
      title: `Not sure: preset ${p.preset}`,
      detail: 'The handoff and the film would tell it as a fact.',
      remedy: 'Play it on the saber, then mark it configured or take it out.',
    }),
  },
})
