import { check } from '../../check'

export const noIgnite = check<{ nothing: Record<never, never> }>({
  id: 'noIgnite',
  station: 'controls',
  scope: 'saber',
  source: 'simulated board',
  reads: ['parts', 'controls'],
  run: ({ saber }) =>
    saber.parts.some((p) => p.kind === 'board') && !saber.controls.some((r) => r.does === 'ignite')
      ? [{ code: 'nothing', subject: 'ignite', level: 'caution', params: {}, gate: true }]
      : [],
})
