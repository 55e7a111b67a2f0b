import { refTo } from '../../../record'
import {
  type CarrierSays,
  type CellsIn,
  carrierOf,
  cellsOf,
  cellsUnsent,
  confirmation,
  lithiumOf,
} from '../../../shipping'
import { check } from '../../check'

const countOf = (cells: readonly CellsIn[]) => cells.reduce((n, x) => n + x.count, 0)

/** Cells in a parcel and what its carrier says of them. */
export const lithium = check<{
  noCarrier: { to: string; count: number }
  refused: { to: string; carrier: string; cell: string; why: CarrierSays['why'] }
  confirm: { to: string; cell: string; by: string; was: 'none' | 'other' | 'year'; damaged: 'yes' | 'no' }
  unknown: { to: string; cell: string; needs: 'energy' | 'charge' }
  noParcel: { count: number }
  /** Poles of loose cells, and waking of what has one built in. */
  unsecured: { to: string; poles: 'yes' | 'no'; wake: 'yes' | 'no' }
}>({
  id: 'lithium',
  station: 'handoff',
  scope: 'order',
  source: 'the carriers’ rule file, a stand-in; the carrier and the country decide',
  reads: ['order.packing', 'order.parcels', 'order.sabers', 'order.shipped', 'today'],
  run: ({ commission, today }) => {
    const each = commission.parcels.map((k) => ({
      ...{ k, carrier: carrierOf(k.carrier), refs: [refTo('parcel', k.id)] },
      cells: cellsOf(commission, k),
    }))
    const unsent = commission.shipped ? 0 : cellsUnsent(commission)
    const says = each.flatMap(({ k, carrier, refs }) =>
      lithiumOf(commission, k).map((x) => ({
        ...x,
        ...{ to: k.to, was: confirmation(commission, k, today), carrier: carrier?.name ?? '' },
        shared: { subject: `${k.id}-${x.cells.are}-${x.cells.name}`.slice(0, 120), refs, gate: true },
      })),
    )
    const that = (answer: CarrierSays['answer']) => says.filter((x) => x.answer === answer)
    return [
      ...each
        .map(({ k, carrier, refs, cells }) => ({ k, refs, count: carrier ? 0 : countOf(cells) }))
        .filter((x) => x.count)
        .map(({ k, refs, count }) => ({
          ...{ code: 'noCarrier' as const, subject: k.id, level: 'caution' as const, refs, gate: true },
          params: { to: k.to, count },
        })),
      ...that('refused').map((x) => ({
        ...{ ...x.shared, code: 'refused' as const, level: 'stop' as const },
        params: { to: x.to, carrier: x.carrier, cell: x.cells.name, why: x.why },
      })),
      ...that('unknown').map((x) => ({
        ...{ ...x.shared, code: 'unknown' as const, level: 'caution' as const },
        params: { to: x.to, cell: x.cells.name, needs: x.needs ?? 'energy' },
      })),
      ...that('confirm').flatMap(({ was, ...x }) =>
        was === 'holds'
          ? []
          : [
              {
                ...{ ...x.shared, code: 'confirm' as const, level: 'caution' as const },
                params: {
                  ...{ to: x.to, cell: x.cells.name, by: x.by ?? x.carrier, was },
                  damaged: x.cells.damaged ? ('yes' as const) : ('no' as const),
                },
              },
            ],
      ),
      ...each.flatMap(({ k, refs, cells }) => {
        const poles = !k.polesCovered && cells.some((x) => x.are !== 'inEquipment')
        const wake = !k.cannotWake && cells.some((x) => x.are === 'inEquipment')
        return poles || wake
          ? [
              {
                ...{ code: 'unsecured' as const, subject: `${k.id}-secured`, level: 'caution' as const, refs },
                params: {
                  to: k.to,
                  poles: poles ? ('yes' as const) : ('no' as const),
                  wake: wake ? ('yes' as const) : ('no' as const),
                },
                gate: true,
              },
            ]
          : []
      }),
      ...(unsent
        ? [
            {
              ...{ code: 'noParcel' as const, subject: 'parcel', level: 'caution' as const, gate: true },
              params: { count: unsent },
            },
          ]
        : []),
    ]
  },
})
