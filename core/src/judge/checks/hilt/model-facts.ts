import { ALL_FACTS, check } from '../../check'

export const modelFacts = check<{ unconfirmed: { count: number; owners: string[] } }>({
  id: 'modelFacts',
  station: 'hilt',
  scope: 'saber',
  source: 'house rule: facts know where they come from',
  reads: ALL_FACTS,
  run: ({ facts }) => {
    const open = facts.filter((p) => p.fact.source === 'assumed' && p.fact.with === 'model sheet')
    return open.length
      ? [
          {
            code: 'unconfirmed',
            subject: 'model',
            level: 'caution',
            params: { count: open.length, owners: [...new Set(open.map((p) => p.owner))] },
            refs: open.flatMap((p) => (p.ref ? [p.ref] : [])).slice(0, 1),
            gate: true,
          },
        ]
      : []
  },
})
