import { check } from '../../check'

/** From so many meanings of one hold on, a list in writing is wanted. */
const MANY = 4

export const manyHolds = check<{ many: { input: string; count: number } }>({
  id: 'manyHolds',
  station: 'controls',
  scope: 'saber',
  source: 'trade practice',
  reads: ['controls', 'inputs', 'spoken'],
  run: ({ saber }) =>
    saber.inputs.flatMap((i) => {
      const holds = new Set(saber.controls.filter((r) => r.input === i.id && r.gesture === 'hold').map((r) => r.does))
      return holds.size >= MANY
        ? [
            {
              code: 'many' as const,
              subject: i.id,
              level: 'note' as const,
              params: { input: i.name, count: holds.size },
              refs: [`input:${i.id}` as const],
            },
          ]
        : []
    }),
})
