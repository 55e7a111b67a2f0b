import { isPacked, proposePacking } from '../../../shipping'
import { MAKER } from '../../../units'
import { check } from '../../check'

export const unpacked = check<{
  noList: Record<never, never>
  open: { items: string[] }
  missing: { items: string[] }
}>({
  id: 'unpacked',
  station: 'handoff',
  scope: 'order',
  source: 'packing list',
  reads: ['order.packing', 'order.arrivals', 'order.sabers'],
  run: ({ commission }) => {
    if (!commission.packing.length)
      return [{ code: 'noList', subject: 'empty', level: 'caution', params: {}, gate: true }]
    const open = commission.packing.filter((p) => isPacked(p) && !p.packed)
    // What the client has or buys is proposed, not asked for: it is told elsewhere.
    const missing = proposePacking(MAKER, commission).filter((p) => !p.supply)
    return [
      ...(open.length
        ? [
            {
              code: 'open' as const,
              subject: 'open',
              level: 'caution' as const,
              params: { items: open.map((p) => p.what) },
              names: open.map((p) => p.id),
              gate: true,
            },
          ]
        : []),
      ...(missing.length
        ? [
            {
              code: 'missing' as const,
              subject: 'missing',
              level: 'caution' as const,
              params: { items: missing.map((p) => (p.quantity > 1 ? `${p.quantity} × ${p.what}` : p.what)) },
              names: missing.map((p) => p.key),
              gate: true,
            },
          ]
        : []),
    ]
  },
})
