import { assemblyOf, OPENED } from '../../../machine'
import { nameOf, type Saber } from '../../../record'
import type { Reader } from '../../../units'
import { say } from '../../../words'
import type { Block, SaberChapter } from '../../block'
import { farthestOf } from '../../figures'
import { type FrozenProcedure, frozenOf } from '../../procedures'
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
const drawn = (s: Saber, all: readonly FrozenProcedure[]): Block[] =>
  farthestOf(all, s.id) ? [{ kind: 'apart', saber: s.id, out: [], back: [] }] : []

/** What is not for the client's hands, of what he might want. */
const forShop = (all: readonly FrozenProcedure[]): Block[] =>
  all.flatMap((p) =>
    p.cannot && OPENED.includes(p.goal) ? [{ kind: 'para' as const, text: `${p.title}: ${p.cannot}` }] : [],
  )

export const opening: SaberChapter = (reader, s) => {
  const all = frozenOf(reader, s)
  return {
    id: 'opening',
    title: say(reader, 'chapter.opening'),
    blocks: [...drawn(s, all), ...stepsOf(reader, s, [...OPENED, 'reset']), ...forShop(all), ...closed(reader, s)],
  }
}
