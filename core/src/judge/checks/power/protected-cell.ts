import { cellTooShort } from '../../../fit'
import { check } from '../../check'
import { mm } from '../../text'

export const protectedCell = check<{
  bare: { cell: string }
  short: { cell: string; length: number; place: string; least: number; short: number; bare: boolean }
}>({
  id: 'protectedCell',
  station: 'power',
  scope: 'saber',
  rule: 'A removable cell is protected, for a beginner always, and long enough to touch both contacts.',
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
  words: {
    bare: (p) => ({
      title: `${p.cell} is bare and can be taken out`,
      detail: 'A bare cell has no protection against short circuit or deep discharge.',
      remedy: 'Take a protected cell of the same size code, and mark it as protected.',
    }),
    short: (p) => ({
      title: `${p.cell} is ${mm(p.short)} too short to make contact`,
      detail: `It is ${mm(p.length)} long; the ${p.place} needs ${mm(p.least)}.`,
      remedy: p.bare
        ? 'Take a protected cell of the same size code: it is 3 to 6 mm longer. Never fill the gap with loose metal.'
        : 'Take a longer cell, or move the contacts. Never fill the gap with loose metal.',
    }),
  },
})
