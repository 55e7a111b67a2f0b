import { check } from '../../check'

export const noFont = check<{ blank: { preset: string } }>({
  id: 'noFont',
  station: 'voice',
  scope: 'saber',
  rule: 'Every preset names the font that it plays.',
  source: 'shop practice',
  reads: ['presets'],
  run: ({ saber }) =>
    saber.presets
      .filter((p) => !p.font.trim() && !p.look)
      .map((p) => ({
        code: 'blank',
        subject: p.id,
        level: 'caution',
        params: { preset: p.name },
        refs: [`preset:${p.id}`],
        gate: true,
      })),
  words: {
    blank: (p) => ({
      title: `${p.preset}: no font`,
      detail: 'Nothing says what it sounds like.',
      remedy: 'Enter the font.',
    }),
  },
})
