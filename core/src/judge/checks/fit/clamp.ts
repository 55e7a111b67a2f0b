import { clampOf } from '../../../fit'
import { check } from '../../check'

export interface Held {
  chassis: string
  clamp: number
  change: number
}

export const clamp = check<{ play: Held; off: Held }>({
  id: 'clamp',
  station: 'fit',
  scope: 'saber',
  source: 'trade practice, editable',
  reads: ['hilt', 'parts'],
  run: ({ saber }) => {
    const c = clampOf(saber)
    if (!c?.clamp.ok || c.changeMm === undefined || c.changeMm === 0) return []
    const play = c.clamp.value < 0
    return [
      {
        code: play ? 'play' : 'off',
        subject: c.chassis.id,
        level: play ? 'stop' : 'caution',
        params: { chassis: c.chassis.name, clamp: c.clamp.value, change: c.changeMm },
        refs: [`part:${c.chassis.id}`],
        gate: play,
      },
    ]
  },
})
