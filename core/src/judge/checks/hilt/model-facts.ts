import { ALL_FACTS, check } from '../../check'

export const modelFacts = check<{ unconfirmed: { count: number; owners: string[] } }>({
  id: 'modelFacts',
  station: 'hilt',
  scope: 'saber',
  rule: 'What came from a model sheet is confirmed on this hilt.',
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
  words: {
    unconfirmed: (p) => ({
      title: `${p.count} ${p.count === 1 ? 'size comes' : 'sizes come'} from the model sheet`,
      detail: `Not confirmed on this hilt: ${p.owners.slice(0, 5).join(', ')}.`,
      remedy: 'Measure each one, or confirm it where it stands.',
    }),
  },
})
