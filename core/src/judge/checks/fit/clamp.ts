import { CLAMP, clampOf } from '../../../fit'
import { check } from '../../check'
import { mm } from '../../text'

interface Held {
  chassis: string
  clamp: number
  change: number
}
const rest = (p: Held) => ({
  detail: `Held by length it wants ${CLAMP.least} to ${CLAMP.most} mm.`,
  remedy: p.change > 0 ? `Add a spacer of ${mm(p.change)}.` : `Take ${mm(-p.change)} off.`,
})

export const clamp = check<{ play: Held; off: Held }>({
  id: 'clamp',
  station: 'fit',
  scope: 'saber',
  rule: `A chassis held by length is ${CLAMP.least} to ${CLAMP.most} mm longer than its room.`,
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
  words: {
    play: (p) => ({ title: `${p.chassis} is not held: ${mm(-p.clamp)} of play`, ...rest(p) }),
    off: (p) => ({ title: `${p.chassis} is clamped by ${mm(p.clamp)}`, ...rest(p) }),
  },
})
