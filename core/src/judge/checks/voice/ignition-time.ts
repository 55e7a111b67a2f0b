import { known } from '../../../facts'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

interface Times {
  preset: string
  sound: number
  extend: number
}
/** How far sound and blade may part before it is seen, s. */
const APART = 0.5
const rest = (p: Times) => ({
  detail: `Ignite sound ${formatNumber(MAKER, p.sound)} s, extension ${formatNumber(MAKER, p.extend)} s.`,
  remedy: `Set the extension to about ${formatNumber(MAKER, p.sound, 1)} s.`,
})

export const ignitionTime = check<{ early: Times; late: Times }>({
  id: 'ignitionTime',
  station: 'voice',
  scope: 'saber',
  rule: 'The blade extends as long as its ignite sound carries, within half a second.',
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
  words: {
    early: (p) => ({ title: `${p.preset}: the blade is out before its sound`, ...rest(p) }),
    late: (p) => ({ title: `${p.preset}: the blade is slower than its sound`, ...rest(p) }),
  },
})
