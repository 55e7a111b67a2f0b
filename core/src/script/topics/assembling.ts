import { proceduresOf, type ToldAct } from '../../access'
import { nounText } from '../../record'
import { MAKER } from '../../units'
import { say, whether } from '../../words'
import { inOneBreath } from '../spoken'
import { type Told, type Topic, topic } from './topic'

/** Acts of one body and the screws that hold it, in the order in which hands make them. */
function groups(acts: readonly ToldAct[]): ToldAct[][] {
  const out: ToldAct[][] = []
  for (const act of acts) {
    const last = out.at(-1)
    if (act.does[0]?.do !== 'putOn' && last) last.push(act)
    else out.push([act])
  }
  return out
}

/**
 * For a film in which the saber is built on camera: everything that comes off it put on again, act by act, as the machine plans it
 * from where all of it lies apart. Nothing where somebody has not said how a piece comes off.
 */
export function assemblingTopics({ reader, s }: Told): Topic[] {
  if (s.order !== 'build') return []
  const p = proceduresOf(reader, s).find((x) => x.goal.kind === 'strip')
  if (!p?.ok) return []
  return groups(p.acts.filter((x) => x.back)).flatMap((acts, i): Topic[] => {
    const steps = inOneBreath(reader, s, acts)
    const at = acts.find((x) => x.place)?.place
    if (!steps || !at) return []
    return [
      topic({
        ...{ key: `assemble:${at}`, chapter: 'inside', must: false, weight: 2, show: at },
        what: say(MAKER, 'topic.assemble.what', { what: nounText(MAKER, s, at) ?? at }),
        say: say(reader, 'topic.assemble', { steps, first: whether(i === 0) }),
      }),
    ]
  })
}
