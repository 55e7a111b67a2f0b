import { cellTooShort } from '../../../fit'
import { check } from '../../check'

export const protectedCell = check<{
  bare: { cell: string }
  short: { cell: string; length: number; place: string; least: number; short: number; bare: boolean }
}>({
  id: 'protectedCell',
  station: 'power',
  scope: 'saber',
  source: 'usual caution; the cell maker’s sheet decides',
  reads: ['parts', 'order.purpose'],
  run: ({ saber, commission }) => {
    const beginner = commission.purpose === 'beginner'
    const bare = saber.parts
      .filter((p) => p.kind === 'cell' && p.removable && p.protected === false)
      .map((p) => ({
        code: 'bare' as const,
        subject: p.id,
        level: beginner ? ('stop' as const) : ('caution' as const),
        params: { cell: p.name },
        refs: [`part:${p.id}` as const],
        gate: beginner,
      }))
    const short = cellTooShort(saber).map(({ cell, place, least, short }) => ({
      code: 'short' as const,
      subject: `${cell.id}-short`,
      level: 'stop' as const,
      params: { cell: cell.name, length: least - short, place: place.name, least, short, bare: !cell.protected },
      refs: [`part:${cell.id}` as const, `part:${place.id}` as const],
      gate: true,
    }))
    return [...bare, ...short]
  },
})
