import { check } from '../../check'

interface Due {
  days: number
  deadline: string
}
const days = (n: number) => `${n} ${n === 1 ? 'day' : 'days'}`

export const deadline = check<{ past: Due; near: Due }>({
  id: 'deadline',
  station: 'brief',
  scope: 'order',
  rule: 'The day of shipping is near or past.',
  source: 'calendar',
  reads: ['order.deadline', 'order.shipped', 'today'],
  run: ({ commission, today }) => {
    if (!commission.deadline || commission.shipped) return []
    const left = Math.round((Date.parse(commission.deadline) - Date.parse(today)) / 86_400_000)
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
  words: {
    past: (p) => ({
      title: `${days(-p.days)} past its date`,
      detail: `Promised for ${p.deadline}.`,
      remedy: 'Tell the client a new date.',
    }),
    near: (p) => ({
      title: p.days === 0 ? 'Ships today' : `Ships in ${days(p.days)}`,
      detail: `Promised for ${p.deadline}.`,
      remedy: 'Clear what still stands against it.',
    }),
  },
})
