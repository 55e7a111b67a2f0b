import { type DuelReason, judgeDuel } from '../../../fit'
import { check } from '../../check'

export const duel = check<{
  notForContact: { blade: string; against: DuelReason[] }
  /** What the maker wrote down that it is not made for; whether contact is among it only a person can say. */
  notMadeFor: { saber: string; limits: string[] }
}>({
  id: 'duel',
  station: 'fit',
  scope: 'saber',
  source: 'trade practice, editable; the usual caution',
  reads: ['name', 'hilt', 'parts', 'blades', 'notFor', 'order.purpose'],
  run: ({ saber, commission }) => {
    if (commission.purpose !== 'duelling') return []
    const contact = saber.blades
      .filter((b) => b.use !== 'demo' && b.kind !== 'plug')
      .map((b) => ({ b, against: judgeDuel(saber, b).against }))
      .filter(({ against }) => against.length)
    return [
      ...contact.map(({ b, against }) => ({
        code: 'notForContact' as const,
        subject: b.id as string,
        level: 'stop' as const,
        params: { blade: b.name, against },
        refs: [`blade:${b.id}` as const],
        gate: true,
      })),
      ...(saber.notFor.length
        ? [
            {
              code: 'notMadeFor' as const,
              subject: 'notFor',
              level: 'caution' as const,
              params: { saber: saber.name, limits: saber.notFor.map((n) => n.what) },
              names: saber.notFor.map((n) => n.id),
            },
          ]
        : []),
    ]
  },
})
