import { known } from '../../../facts'
import { layOut } from '../../../geometry'
import { refTo } from '../../../record'
import { check } from '../../check'

export const hiltLength = check<{ unknown: Record<never, never> }>({
  id: 'hiltLength',
  station: 'handoff',
  scope: 'saber',
  source: 'handoff record',
  reads: ['hilt'],
  run: ({ saber }) =>
    saber.hilt.sections.length && !layOut(saber.hilt).complete
      ? [
          {
            ...{ code: 'unknown', subject: 'length', level: 'note', params: {} },
            refs: saber.hilt.sections.filter((s) => known(s.length) === undefined).map((s) => refTo('section', s.id)),
          },
        ]
      : [],
})
