import { errand, type Goal, goalsOf, goalText, machineOf } from '../machine'
import type { Ref, Saber } from '../record'
import type { Reader } from '../units'
import { say } from '../words'
import type { Planned } from './planned'

/** What a client will open the saber for; blades, plugs and charging have tests of their own. */
const OPENED: ReadonlySet<Goal['kind']> = new Set(['cell', 'card', 'port', 'show'])

/** A way in, how many acts there and back are, and the things they are done at. */
interface WayIn {
  goal: Goal
  at: Ref
  acts: number
  places: Ref[]
}
/** All that may be reached, and the ways that were found to it. */
interface Worked {
  goals: readonly Goal[]
  ways: readonly WayIn[]
}

/** What it was worked out from last, by the parts of a saber: an edit of anything else asks for the same again. */
const WORKED = new WeakMap<Saber['parts'], { from: readonly unknown[]; worked: Worked }>()

function waysIn(s: Saber): Worked {
  const from = [s.hilt, s.blades, s.joints, s.cutPower, s.parts.length]
  const had = WORKED.get(s.parts)
  if (had?.from.every((x, i) => x === from[i])) return had.worked
  const { assembly, rest } = machineOf(s)
  const goals = goalsOf(s, assembly).filter((g) => OPENED.has(g.kind) && g.hands === 'client')
  const ways = goals.flatMap((goal): WayIn[] => {
    const e = errand(assembly, rest, goal)
    if (!e.ok || !goal.at) return []
    return [{ goal, at: goal.at, acts: e.acts.length, places: [...new Set<Ref>(e.acts.map((a) => a.at))] }]
  })
  const worked = { goals, ways }
  WORKED.set(s.parts, { from, worked })
  return worked
}

/** Every way in that the client has, gone there and back once on the saber itself, by the acts that the machine finds. */
export function errandTests(reader: Reader, s: Saber): Planned[] {
  const { goals, ways } = waysIn(s)
  return ways.map(({ goal, at, acts, places }) => ({
    test: {
      key: `errand-${goal.kind}-${at.slice(at.indexOf(':') + 1)}`.slice(0, 240),
      what: say(reader, 'test.errand', { goal: goalText(reader, goal, goals) }).slice(0, 240),
      ...{ place: at, expect: say(reader, 'test.errand.expect', { n: acts }) },
    },
    rests: places,
    placed: true,
  }))
}
