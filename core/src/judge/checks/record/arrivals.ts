import { refTo, shared } from '../../../record'
import { check } from '../../check'

export const arrivals = check<{
  unaccounted: { what: string; quantity: number; condition: string }
  sum: { what: string; quantity: number; shared: number }
  undated: { what: string }
  fault: { what: string; fault: string }
}>({
  id: 'arrivals',
  station: 'brief',
  scope: 'order',
  source: 'shop practice: parts ledger',
  reads: ['order.arrivals'],
  run: ({ commission }, each) =>
    each(commission.arrivals, (a) => {
      const refs = [refTo('arrival', a.id)]
      const open = shared(a.shares, 'undecided')
      const sum = shared(a.shares)
      return [
        ...(open || !a.shares.length
          ? [
              {
                ...{ code: 'unaccounted' as const, subject: a.id, level: 'caution' as const, refs, gate: true },
                params: { what: a.what, quantity: open || a.quantity, condition: a.condition },
              },
            ]
          : []),
        ...(a.shares.length && sum !== a.quantity
          ? [
              {
                ...{ code: 'sum' as const, subject: `${a.id}-sum`, level: 'caution' as const, refs, gate: true },
                params: { what: a.what, quantity: a.quantity, shared: sum },
              },
            ]
          : []),
        ...(a.whole && !a.conditionOn
          ? [
              {
                ...{ code: 'undated' as const, subject: `${a.id}-day`, level: 'caution' as const, refs },
                params: { what: a.what },
              },
            ]
          : []),
        ...a.faults
          .filter((f) => !f.became && !f.left)
          .map((f) => ({
            ...{ code: 'fault' as const, subject: f.id, level: 'caution' as const, refs, gate: true },
            params: { what: a.what, fault: f.text },
          })),
      ]
    }),
})
