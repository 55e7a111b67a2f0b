import { known } from '../../../facts'
import { check } from '../../check'

export interface Times {
  preset: string
  sound: number
  extend: number
}
/** How far sound and blade may part before it is seen, s. */
const APART = 0.5

export const ignitionTime = check<{ early: Times; late: Times }>({
  id: 'ignitionTime',
  station: 'voice',
  scope: 'saber',
  source: 'ignite sound length against extension time',
  reads: ['presets'],
  run: ({ saber }) =>
    saber.presets.flatMap((p) => {
      const sound = p.sounds.find((q) => q.event === 'ignite' && q.seconds !== undefined)?.seconds
      const ms = known(p.extendMs)
      if (sound === undefined || ms === undefined || Math.abs(sound - ms / 1000) <= APART) return []
      return [
        {
          code: ms / 1000 < sound ? ('early' as const) : ('late' as const),
          subject: p.id,
          level: 'note' as const,
          params: { preset: p.name, sound, extend: ms / 1000 },
          refs: [`preset:${p.id}` as const],
        },
      ]
    }),
})
