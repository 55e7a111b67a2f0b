import { check } from '../../check'

export const keptAside = check<{ held: { count: number; first: string; why: string } }>({
  id: 'keptAside',
  station: 'brief',
  scope: 'order',
  rule: 'What an older file held wrongly is kept aside until somebody has looked at it.',
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
  words: {
    held: (p) => ({
      title: `${p.count} ${p.count === 1 ? 'value of the older file was' : 'values of the older file were'} kept aside`,
      detail: `${p.first} ${p.why}${p.count > 1 ? `, and ${p.count - 1} more` : ''}.`,
      remedy: 'Enter what still holds, then let the rest go under Brief.',
    }),
  },
})
