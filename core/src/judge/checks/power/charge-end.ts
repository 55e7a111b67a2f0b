import { chargersOf, packOf, wrongEnds } from '../../../power'
import { refTo } from '../../../record'
import { check } from '../../check'

interface End {
  charger: string
  ends: number
  wanted: number
  cell: string
  series: number
}
/** Beneath this share of what is wanted it is no gentle charger but one for other cells. */
const OTHER = 0.9

export const chargeEnd = check<{
  over: End
  other: End
  gentle: End
  unbalanced: { charger: string; series: number }
  balanceUnsaid: { charger: string; series: number }
  endless: { charger: string }
}>({
  id: 'chargeEnd',
  station: 'power',
  scope: 'saber',
  source: 'the cell maker’s sheet; full voltage × cells in series',
  reads: ['parts'],
  run: ({ saber }) => {
    const { series } = packOf(saber)
    const chargers = saber.parts.some((p) => p.kind === 'cell') ? chargersOf(saber) : []
    const at = (id: string) => ({ refs: [refTo('part', id)], gate: true })
    return [
      ...wrongEnds(saber).map(({ charger, cell, ends, wanted, series: n }) => ({
        ...at(charger.id),
        code: ends > wanted ? ('over' as const) : ends < wanted * OTHER ? ('other' as const) : ('gentle' as const),
        subject: charger.id as string,
        level: ends > wanted || ends < wanted * OTHER ? ('stop' as const) : ('note' as const),
        params: { charger: charger.name, ends, wanted, cell: cell.name, series: n },
        gate: ends > wanted || ends < wanted * OTHER,
      })),
      ...chargers.flatMap((p) =>
        p.endsCharge === false
          ? [
              {
                ...at(p.id),
                ...{ code: 'endless' as const, subject: `${p.id}-endless`, level: 'stop' as const },
                params: { charger: p.name },
              },
            ]
          : [],
      ),
      ...chargers
        .filter((p) => series > 1 && p.kind === 'chargePort' && !p.balances)
        .map((p) => ({
          ...at(p.id),
          code: p.balances === false ? ('unbalanced' as const) : ('balanceUnsaid' as const),
          level: p.balances === false ? ('stop' as const) : ('caution' as const),
          ...{ subject: `${p.id}-balance`, params: { charger: p.name, series } },
        })),
    ]
  },
})
