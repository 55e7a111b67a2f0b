import { assemblyOf } from '../../machine'
import { nameOf, type Saber } from '../../record'
import { formatNumber } from '../../units'
import { say, whether } from '../../words'
import { type Block, type SaberChapter, table } from '../block'
import { orNotRecorded, stepsOf } from '../values'

/** What the maker has said of a joint that its steps alone do not tell. */
function joints(s: Saber): Block[] {
  if (!s.joints.length) return []
  const { joints } = assemblyOf(s)
  const told = s.joints.filter((c) => c.who !== 'maker').map((c) => ({ c, j: joints[c.body] }))
  return table(
    [say('joint.what'), say('joint.how'), say('joint.mind')],
    told.map(({ c, j }) => [
      orNotRecorded(nameOf(s, c.body)),
      say('joint.says', {
        who: j?.who ?? 'client',
        how: c.how ?? 'none',
        turns: j?.turns === undefined ? '' : formatNumber(j.turns, 1),
        hand: j?.hand ?? 'right',
        angle: j?.angle === undefined ? '' : formatNumber(j.angle, 0),
        landmark: c.landmark ?? '',
        itself: c.byItself ?? 'none',
        tethered: whether(c.tethered),
        hasTurns: whether(j?.turns !== undefined),
        hasAngle: whether(j?.angle !== undefined),
        told: whether(c.landmark),
      }).trim(),
      [c.feels && say('joint.feels', { what: c.feels }), c.hurts && say('joint.hurts', { what: c.hurts })]
        .filter(Boolean)
        .join(' '),
    ]),
  )
}

export const opening: SaberChapter = (s) => ({
  id: 'opening',
  title: say('chapter.opening'),
  blocks: [...stepsOf(s, ['open', 'cellIn', 'cellOut', 'close', 'card']), ...joints(s)],
})
