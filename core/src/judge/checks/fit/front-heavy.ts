import { known } from '../../../facts'
import { balance } from '../../../fit'
import { layOut } from '../../../geometry'
import { check } from '../../check'

export interface Lies {
  centre: number
  share: number
}
/** The middle third of the hilt, as shares of its length. */
const MIDDLE = { from: 0.33, to: 0.67 }

export const frontHeavy = check<{ front: Lies; tail: Lies }>({
  id: 'frontHeavy',
  station: 'fit',
  scope: 'saber',
  source: 'trade practice, editable',
  reads: ['hilt', 'parts'],
  run: ({ saber }) => {
    const b = balance(saber)
    if (!b.centre.ok || !saber.parts.some((p) => known(p.specs.mass))) return []
    const share = b.centre.value / layOut(saber.hilt).length
    if (share <= MIDDLE.to && share >= MIDDLE.from) return []
    return [
      {
        code: share > 0.5 ? 'front' : 'tail',
        subject: 'balance',
        level: 'note',
        params: { centre: b.centre.value, share },
      },
    ]
  },
})
