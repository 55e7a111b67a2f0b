import { check } from '../../check'

export const keptAside = check<{ held: { count: number; first: string; why: string } }>({
  id: 'keptAside',
  station: 'brief',
  scope: 'order',
  source: 'open format',
  reads: ['order.aside'],
  run: ({ commission }) => {
    const held = commission.aside ?? []
    const first = held[0]
    return first
      ? [
          {
            code: 'held',
            subject: 'held',
            level: 'caution',
            params: { count: held.length, first: first.path, why: first.why },
          },
        ]
      : []
  },
})
