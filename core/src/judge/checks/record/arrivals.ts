import { check } from '../../check'

export const arrivals = check<{ unaccounted: { what: string; quantity: number; condition: string } }>({
  id: 'arrivals',
  station: 'brief',
  scope: 'order',
  rule: 'Every part the client sent is used, altered, left over or returned; none is unaccounted.',
  source: 'shop practice: parts ledger',
  reads: ['order.arrivals'],
  run: ({ commission }) =>
    commission.arrivals
      .filter((a) => a.fate === 'undecided')
      .map((a) => ({
        code: 'unaccounted',
        subject: a.id,
        level: 'caution',
        params: { what: a.what, quantity: a.quantity, condition: a.condition },
        gate: true,
      })),
  words: {
    unaccounted: (p) => ({
      title: `${p.what}: unaccounted`,
      detail: `${p.quantity} arrived, ${p.condition || 'condition not recorded'}.`,
      remedy: 'Say what became of it.',
    }),
  },
})
