import { overcharged } from '../../../power'
import { refTo } from '../../../record'
import { check } from '../../check'

interface Charged {
  cell: string
  charger: string
  /** A. */
  amps: number
  most: number
}

export const chargeCurrent = check<{ over: Charged; unsaid: Charged }>({
  id: 'chargeCurrent',
  station: 'power',
  scope: 'saber',
  source: 'the cell maker’s sheet decides; without it 1 C',
  reads: ['parts'],
  run: ({ saber }) =>
    overcharged(saber).map(({ cell, charger, amps, takes }) => ({
      code: takes === undefined ? ('unsaid' as const) : ('over' as const),
      subject: `${cell.id}-${charger.id}`,
      level: takes === undefined ? ('caution' as const) : ('stop' as const),
      params: {
        ...{ cell: cell.name, charger: charger.name, amps },
        most: takes ?? (cell.specs.capacity?.value ?? 0) / 1000,
      },
      refs: [refTo('part', cell.id), refTo('part', charger.id)],
      gate: takes !== undefined,
    })),
})
