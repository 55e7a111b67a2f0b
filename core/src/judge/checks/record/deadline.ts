import { daysBetween } from '../../../units'
import { check } from '../../check'

interface Due {
  days: number
  deadline: string
}

export const deadline = check<{ past: Due; near: Due }>({
  id: 'deadline',
  station: 'brief',
  scope: 'order',
  source: 'calendar',
  reads: ['order.deadline', 'order.shipped', 'today'],
  run: ({ commission, today }) => {
    if (!commission.deadline || commission.shipped) return []
    const left = daysBetween(today, commission.deadline)
    if (left > 7) return []
    return [
      {
        code: left < 0 ? 'past' : 'near',
        subject: 'deadline',
        level: left < 0 ? 'caution' : 'note',
        params: { days: left, deadline: commission.deadline },
      },
    ]
  },
})
