import { errand, goalsOf, machineOf, wordsOf } from '../../machine'
import { type Act, nounText, type Ref, type Saber, type Step } from '../../record'
import { MAKER, type Reader } from '../../units'
import { say, whether } from '../../words'
import { asItStands, inOneBreath } from '../spoken'
import { type Told, type Topic, topic } from './topic'

/** Acts of one body and the screws that hold it, in the order in which hands make them. */
function groups(acts: readonly Act[]): Act[][] {
  const out: Act[][] = []
  for (const act of acts) {
    const last = out.at(-1)
    if (act.do !== 'putOn' && last) last.push(act)
    else out.push([act])
  }
  return out
}

/** Acts as steps that are spoken. */
const stepsOf = (
  reader: Reader,
  s: Saber,
  assembly: ReturnType<typeof machineOf>['assembly'],
  acts: readonly Act[],
): Step[] =>
  acts.flatMap((act, i): Step[] => {
    const words = wordsOf(reader, s, assembly, act)
    return words ? [{ id: `act-${i}`, act, ...words }] : []
  })

/**
 * For a film in which the saber is built on camera: everything that comes off it put on again, act by act, as the machine plans it
 * from where all of it lies apart. Nothing where somebody has not said how a piece comes off.
 */
export function assemblingTopics({ reader, s }: Told): Topic[] {
  if (s.order !== 'build') return []
  const { assembly, rest } = machineOf(s)
  const goal = goalsOf(s, assembly).find((g) => g.kind === 'strip')
  const e = goal && errand(assembly, rest, goal)
  if (!e?.ok) return []
  return groups(e.acts.slice(e.turn)).flatMap((acts, i): Topic[] => {
    const steps = inOneBreath(reader, s, stepsOf(reader, s, assembly, acts).map(asItStands))
    const at = acts[0]!.at as Ref
    if (!steps) return []
    return [
      topic({
        ...{ key: `assemble:${at}`, chapter: 'inside', must: false, weight: 2, show: at },
        what: say(MAKER, 'topic.assemble.what', { what: nounText(MAKER, s, at) ?? at }),
        say: say(reader, 'topic.assemble', { steps, first: whether(i === 0) }),
      }),
    ]
  })
}
