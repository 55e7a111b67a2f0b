import { layOut } from '../../../room'
import { check } from '../../check'

export const hiltLength = check<{ unknown: Record<never, never> }>({
  id: 'hiltLength',
  station: 'handoff',
  scope: 'saber',
  rule: 'The specification states the hilt’s length.',
  source: 'handoff record',
  reads: ['hilt'],
  run: ({ saber }) =>
    saber.hilt.sections.length && !layOut(saber.hilt).complete
      ? [{ code: 'unknown', subject: 'length', level: 'note', params: {} }]
      : [],
  words: {
    unknown: () => ({
      title: 'The hilt’s length will print as “not recorded”',
      detail: 'A section has no length.',
      remedy: 'Measure it.',
    }),
  },
})
