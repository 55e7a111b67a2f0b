import { isNumberPlace } from '../../../record'
import { possible, type Unit } from '../../../units'
import { ALL_FACTS, check } from '../../check'

/** Sizes of nothing are said by their own check. */
const isImpossible = (value: number | null, unit: Unit) => value !== null && !possible(value, unit)

export const impossible = check<{ beyond: { owner: string; field: string; unit: Unit; value: number } }>({
  id: 'impossible',
  station: 'hilt',
  scope: 'saber',
  source: 'limits of each unit: below zero only places, angles and levels, no more than any part has',
  reads: ALL_FACTS,
  run: ({ facts }) =>
    facts
      .filter(isNumberPlace)
      .filter((p) => isImpossible(p.fact.value, p.fact.unit))
      .map((p) => ({
        code: 'beyond',
        subject: p.path,
        level: 'stop',
        params: { owner: p.owner, field: p.field, unit: p.fact.unit, value: p.fact.value! },
        ...(p.ref ? { refs: [p.ref] } : {}),
        gate: true,
      })),
})
