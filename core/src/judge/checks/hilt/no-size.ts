import { isNumberPlace } from '../../../record'
import { ALL_FACTS, check } from '../../check'

export const noSize = check<{ nothing: { owner: string; field: string; value: number } }>({
  id: 'noSize',
  station: 'hilt',
  scope: 'saber',
  source: 'geometry',
  reads: ALL_FACTS,
  run: ({ facts }) =>
    facts
      .filter(isNumberPlace)
      .filter((p) => p.fact.unit === 'mm' && !['at', 'clearance'].includes(p.field))
      .filter((p) => p.fact.value !== null && p.fact.value <= 0)
      .map((p) => ({
        code: 'nothing',
        subject: p.path,
        level: 'stop',
        params: { owner: p.owner, field: p.field, value: p.fact.value! },
        ...(p.ref ? { refs: [p.ref] } : {}),
        gate: true,
      })),
})
