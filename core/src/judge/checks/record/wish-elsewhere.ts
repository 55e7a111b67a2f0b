import { nameOf } from '../../../record'
import { check } from '../../check'

export const wishElsewhere = check<{ elsewhere: { wish: string; saber: string; what: string; other: string } }>({
  id: 'wishElsewhere',
  station: 'brief',
  scope: 'order',
  source: 'a wish is met where it was made',
  reads: ['order.requests', 'order.sabers'],
  run: ({ commission: c }) =>
    c.requests.flatMap((r) => {
      const own = c.sabers.find((s) => s.id === r.saber)
      if (!own || !r.where || r.where === `saber:${own.id}` || nameOf(own, r.where) !== undefined) return []
      const other = c.sabers.find((s) => r.where === `saber:${s.id}` || nameOf(s, r.where) !== undefined)
      if (!other) return []
      return [
        {
          ...{ code: 'elsewhere' as const, subject: r.id, level: 'caution' as const, gate: true },
          params: { wish: r.text, saber: own.name, what: nameOf(other, r.where) ?? other.name, other: other.name },
          refs: [`request:${r.id}` as const],
        },
      ]
    }),
})
