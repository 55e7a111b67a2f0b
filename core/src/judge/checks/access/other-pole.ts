import { plusOf } from '../../../machine'
import { check } from '../../check'

export const otherPole = check<{ differs: { here: string; other: string; there: string } }>({
  id: 'otherPole',
  station: 'access',
  scope: 'saber',
  source: 'what a hand has learnt it does again',
  reads: ['id', 'parts', 'order.sabers'],
  run: ({ commission, saber }) => {
    const here = plusOf(saber)
    const before = commission.sabers.slice(
      0,
      commission.sabers.findIndex((s) => s.id === saber.id),
    )
    const other = here && before.find((s) => plusOf(s) !== undefined && plusOf(s) !== here)
    if (!here || !other) return []
    return [
      {
        code: 'differs',
        subject: other.id,
        level: 'caution',
        params: { here, other: other.name, there: plusOf(other)! },
        refs: saber.parts.flatMap((p) => (p.kind === 'cell' && p.removable ? [`part:${p.id}` as const] : [])),
      },
    ]
  },
})
