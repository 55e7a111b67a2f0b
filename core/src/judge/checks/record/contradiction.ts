import type { Claim } from '../../../facts'
import { ALL_FACTS, check } from '../../check'
import { unitOfPlace } from '../../text'

export const contradiction = check<{
  twoValues: { owner: string; field: string; unit: string; claims: Claim<unknown>[] }
}>({
  id: 'contradiction',
  station: 'hilt',
  scope: 'saber',
  source: 'house rule: facts know where they come from',
  reads: ALL_FACTS,
  run: ({ facts }) =>
    facts
      .filter((p) => p.fact.rivals?.length)
      .map((p) => ({
        code: 'twoValues',
        subject: p.path,
        level: 'stop',
        params: { owner: p.owner, field: p.field, unit: unitOfPlace(p), claims: [p.fact, ...p.fact.rivals!] },
        ...(p.ref ? { refs: [p.ref] } : {}),
        gate: true,
      })),
})
