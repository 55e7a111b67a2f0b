import { layOut } from '../../../geometry'
import { check } from '../../check'

export const hiltLength = check<{ unknown: Record<never, never> }>({
  id: 'hiltLength',
  station: 'handoff',
  scope: 'saber',
  source: 'handoff record',
  reads: ['hilt'],
  run: ({ saber }) =>
    saber.hilt.sections.length && !layOut(saber.hilt).complete
      ? [{ code: 'unknown', subject: 'length', level: 'note', params: {} }]
      : [],
})
