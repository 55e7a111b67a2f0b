import { known } from '../../../facts'
import { fontOf, refTo } from '../../../record'
import { timesBySound } from '../../../voice'
import { check } from '../../check'

export interface Times {
  preset: string
  way: 'extend' | 'retract'
  /** When the sound has arrived, and when the blade has, s. */
  sound: number
  blade: number
}
/** How far sound and blade may part before it is seen, s. */
const APART = 0.5

export const ignitionTime = check<{ early: Times; late: Times }>({
  id: 'ignitionTime',
  station: 'voice',
  scope: 'saber',
  source: 'where nine tenths of the energy of ignite and retract sounds have come, against the times of the blade',
  reads: ['presets', 'fonts'],
  run: ({ saber }) =>
    saber.presets.flatMap((p) => {
      // Somebody wanted it so.
      if (p.timesWhy) return []
      const by = timesBySound(saber, p)
      return (['extend', 'retract'] as const).flatMap((way) => {
        const [sound, ms] = [by[`${way}Ms`], known(p[`${way}Ms`])]
        if (sound === undefined || ms === undefined || Math.abs(sound - ms) <= APART * 1000) return []
        const font = fontOf(saber, p)
        return [
          {
            code: ms < sound ? ('early' as const) : ('late' as const),
            subject: `${p.id}-${way}`,
            level: 'note' as const,
            params: { preset: p.name, way, sound: sound / 1000, blade: ms / 1000 },
            refs: [refTo('preset', p.id), ...(font ? [refTo('font', font.id)] : [])],
          },
        ]
      })
    }),
})
