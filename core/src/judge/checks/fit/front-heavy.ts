import { known } from '../../../facts'
import { balance } from '../../../fit'
import { layOut } from '../../../room'
import { formatNumber, MAKER } from '../../../units'
import { check } from '../../check'

interface Lies {
  centre: number
  share: number
}
/** The middle third of the hilt, as shares of its length. */
const MIDDLE = { from: 0.33, to: 0.67 }

const words = (title: string) => (p: Lies) => ({
  title,
  detail: `The balance is ${formatNumber(MAKER, p.centre, 0)} mm from the pommel, ${formatNumber(MAKER, p.share * 100, 0)} % of the hilt.`,
  remedy: 'Move the cell, or say so to the client.',
})

export const frontHeavy = check<{ front: Lies; tail: Lies }>({
  id: 'frontHeavy',
  station: 'fit',
  scope: 'saber',
  rule: 'Without a blade the balance lies within the middle third of the hilt.',
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
  words: { front: words('Front-heavy'), tail: words('Tail-heavy') },
})
