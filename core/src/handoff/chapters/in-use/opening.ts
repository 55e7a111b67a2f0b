import { proceduresOf } from '../../../access'
import { assemblyOf, goalText } from '../../../machine'
import { nameOf, type Saber } from '../../../record'
import type { Reader } from '../../../units'
import { say } from '../../../words'
import type { Block, SaberChapter } from '../../block'
import { farthestOf } from '../../figures'
import { cannotText, frozenOf } from '../../procedures'
import { orNotRecorded, stepsOf } from '../../values'

/** Joints that stay closed for life by the maker's word: nothing else tells of them. */
function closed(reader: Reader, s: Saber): Block[] {
  const nobody = s.joints.filter((c) => assemblyOf(s).joints[c.body]?.who === 'nobody')
  return nobody.map((c) => ({
    kind: 'para',
    text: say(reader, 'joint.closed', { joint: orNotRecorded(reader, nameOf(s, c.body)) }),
  }))
}

/** How far the client takes it apart, drawn; the acts stand below. */
const drawn = (reader: Reader, s: Saber): Block[] =>
  farthestOf(frozenOf(reader, s), s.id) ? [{ kind: 'apart', saber: s.id, out: [], back: [] }] : []

/** What is not for the client's hands, of what he might want. */
function forShop(reader: Reader, s: Saber): Block[] {
  const all = proceduresOf(reader, s).filter((p) => p.goal.hands === 'client')
  const goals = all.map((p) => p.goal)
  return all.flatMap((p): Block[] =>
    p.ok || !['cell', 'card', 'port', 'show'].includes(p.goal.kind)
      ? []
      : [{ kind: 'para', text: `${goalText(reader, p.goal, goals)}: ${cannotText(reader, p)}` }],
  )
}

export const opening: SaberChapter = (reader, s) => ({
  id: 'opening',
  title: say(reader, 'chapter.opening'),
  blocks: [
    ...drawn(reader, s),
    ...stepsOf(reader, s, ['cell', 'card', 'port', 'show', 'reset']),
    ...forShop(reader, s),
    ...closed(reader, s),
  ],
})
