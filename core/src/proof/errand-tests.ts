import { errand, type Goal, goalsOf, goalText, machineOf } from '../machine'
import type { Ref, Saber } from '../record'
import { say } from '../words'
import type { Planned } from './planned'

/** What a client will open the saber for; blades, plugs and charging have tests of their own. */
const OPENED: ReadonlySet<Goal['kind']> = new Set(['cell', 'card', 'port', 'show'])

/** What it was worked out from last, by the parts of a saber: an edit of anything else asks for the same again. */
const WORKED = new WeakMap<Saber['parts'], { from: readonly unknown[]; tests: Planned[] }>()

/** Every way in that the client has, gone there and back once on the saber itself, by the acts that the machine finds. */
export function errandTests(s: Saber): Planned[] {
  const from = [s.hilt, s.blades, s.joints, s.cutPower, s.parts.length]
  const had = WORKED.get(s.parts)
  if (had?.from.every((x, i) => x === from[i])) return had.tests
  const tests = workOut(s)
  WORKED.set(s.parts, { from, tests })
  return tests
}

function workOut(s: Saber): Planned[] {
  const { assembly, rest } = machineOf(s)
  const goals = goalsOf(s, assembly).filter((g) => OPENED.has(g.kind) && g.hands === 'client')
  return goals.flatMap((g): Planned[] => {
    const e = errand(assembly, rest, g)
    if (!e.ok || !g.at) return []
    return [
      {
        test: {
          key: `errand-${g.kind}-${g.at.slice(g.at.indexOf(':') + 1)}`.slice(0, 240),
          what: say('test.errand', { goal: goalText(g, goals) }).slice(0, 240),
          ...{ place: g.at, expect: say('test.errand.expect', { n: e.acts.length }) },
        },
        rests: [...new Set<Ref>(e.acts.map((a) => a.at))],
      },
    ]
  })
}
