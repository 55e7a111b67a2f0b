import { standby as hoursLeft, leftAs } from '../../../power'
import { hasCutOff } from '../../../record'
import { check } from '../../check'

/** Four weeks in a drawer, days. */
const LEAST_DAYS = 28

export const standby = check<{ cut: { days: number }; uncut: { days: number } }>({
  id: 'standby',
  station: 'power',
  scope: 'saber',
  source: 'capacity ÷ current of what stays on, in its own way of resting',
  reads: ['hilt', 'parts', 'blades', 'cutPower'],
  run: ({ saber }) => {
    const s = hoursLeft(saber, leftAs(saber))
    if (!s.ok || s.value / 24 >= LEAST_DAYS) return []
    const cut = hasCutOff(saber)
    return [
      {
        code: cut ? 'cut' : 'uncut',
        subject: 'standby',
        level: cut ? 'note' : 'caution',
        params: { days: s.value / 24 },
      },
    ]
  },
})
