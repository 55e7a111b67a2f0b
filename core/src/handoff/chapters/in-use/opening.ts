import { assemblyOf } from '../../../machine'
import { nameOf, type Saber } from '../../../record'
import { formatNumber, type Reader } from '../../../units'
import { say, whether } from '../../../words'
import { type Block, type SaberChapter, table } from '../../block'
import { takenApart } from '../../figures'
import { orNotRecorded, stepsOf } from '../../values'

/** What the maker has said of a joint that its steps alone do not tell. */
function joints(reader: Reader, s: Saber): Block[] {
  if (!s.joints.length) return []
  const { joints } = assemblyOf(s)
  const told = s.joints.filter((c) => c.who !== 'maker').map((c) => ({ c, j: joints[c.body] }))
  return table(
    [say(reader, 'joint.what'), say(reader, 'joint.how'), say(reader, 'joint.mind')],
    told.map(({ c, j }) => [
      orNotRecorded(reader, nameOf(s, c.body)),
      say(reader, 'joint.says', {
        who: j?.who ?? 'client',
        how: c.how ?? 'none',
        turns: j?.turns === undefined ? '' : formatNumber(reader, j.turns, 1),
        hand: j?.hand ?? 'right',
        angle: j?.angle === undefined ? '' : formatNumber(reader, j.angle, 0),
        landmark: c.landmark ?? '',
        itself: c.byItself ?? 'none',
        tethered: whether(c.tethered),
        hasTurns: whether(j?.turns !== undefined),
        hasAngle: whether(j?.angle !== undefined),
        told: whether(c.landmark),
      }).trim(),
      [
        c.feels && say(reader, 'joint.feels', { what: c.feels }),
        c.hurts && say(reader, 'joint.hurts', { what: c.hurts }),
      ]
        .filter(Boolean)
        .join(' '),
    ]),
  )
}

/** How far the client takes it apart, drawn; with the steps that were solved where none are recorded. */
function drawn(reader: Reader, s: Saber): Block[] {
  const t = takenApart(reader, s)
  const step = ({ text, tool }: { text: string; tool?: string }) => ({ text, ...(tool ? { tool } : {}) })
  return t ? [{ kind: 'apart', saber: s.id, out: t.out.map(step), back: t.back.map(step) }] : []
}

export const opening: SaberChapter = (reader, s) => ({
  id: 'opening',
  title: say(reader, 'chapter.opening'),
  blocks: [
    ...drawn(reader, s),
    ...stepsOf(reader, s, ['open', 'cellOut', 'cellIn', 'close', 'card']),
    ...joints(reader, s),
  ],
})
