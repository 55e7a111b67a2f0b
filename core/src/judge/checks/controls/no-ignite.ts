import { check } from '../../check'

export const noIgnite = check<{ nothing: Record<never, never> }>({
  id: 'noIgnite',
  station: 'controls',
  scope: 'saber',
  rule: 'A saber with a board and a light has a control that lights it.',
  source: 'simulated board',
  reads: ['parts', 'controls'],
  run: ({ saber }) =>
    saber.parts.some((p) => p.kind === 'board') && !saber.controls.some((r) => r.does === 'ignite')
      ? [{ code: 'nothing', subject: 'ignite', level: 'caution', params: {}, gate: true }]
      : [],
  words: {
    nothing: () => ({
      title: 'Nothing ignites it yet',
      detail: 'The control map has no row that ignites.',
      remedy: 'Record the control.',
    }),
  },
})
