import { known } from '../../../facts'
import { refTo } from '../../../record'
import { carrierOf, contentsOf, expectedMass } from '../../../shipping'
import { check } from '../../check'

/** By how much a parcel may differ from what it should weigh: tape and a kitchen scale, g or share, whichever is more. */
const APART = { grams: 15, share: 0.03 }

/** The parcel on the scale against what should lie in it, and against what its carrier takes. */
export const parcels = check<{
  apart: { to: string; weighs: number; expected: number }
  heavy: { to: string; weighs: number; most: number; carrier: string }
  empty: { to: string }
  /** What lies in it that nobody weighed: the weight alone is not judged. */
  unweighed: { to: string; things: string[] }
}>({
  id: 'parcels',
  station: 'handoff',
  scope: 'order',
  source: 'scale against the packing list',
  reads: ['order.packing', 'order.parcels', 'order.sabers'],
  run: ({ commission }) => {
    const each = commission.parcels.map((k) => ({
      ...{ k, weighs: known(k.mass), carrier: carrierOf(k.carrier), refs: [refTo('parcel', k.id)] },
      things: contentsOf(commission, k).length,
    }))
    const full = each
      .filter((x) => x.things)
      .map((x) => ({ ...x, expected: x.weighs === undefined ? undefined : expectedMass(commission, x.k) }))
    return [
      ...each
        .filter((x) => !x.things)
        .map(({ k, refs }) => ({
          ...{ code: 'empty' as const, subject: k.id, level: 'caution' as const, refs },
          params: { to: k.to },
        })),
      ...full.flatMap(({ k, weighs, expected, refs }) => {
        if (weighs === undefined || !expected?.ok) return []
        if (Math.abs(weighs - expected.value) <= Math.max(APART.grams, APART.share * expected.value)) return []
        return [
          {
            ...{ code: 'apart' as const, subject: k.id, level: 'caution' as const, refs, gate: true },
            params: { to: k.to, weighs, expected: expected.value },
          },
        ]
      }),
      ...full.flatMap(({ k, expected, refs }) => {
        return expected && !expected.ok
          ? [
              {
                ...{ code: 'unweighed' as const, subject: `${k.id}-unweighed`, level: 'note' as const, refs },
                params: { to: k.to, things: expected.needs.map((n) => n.name) },
              },
            ]
          : []
      }),
      ...full.flatMap(({ k, weighs, carrier, refs }) =>
        carrier?.mostGrams !== undefined && weighs !== undefined && weighs > carrier.mostGrams
          ? [
              {
                ...{ code: 'heavy' as const, subject: `${k.id}-heavy`, level: 'stop' as const, refs, gate: true },
                params: { to: k.to, weighs, most: carrier.mostGrams, carrier: carrier.name },
              },
            ]
          : [],
      ),
    ]
  },
})
