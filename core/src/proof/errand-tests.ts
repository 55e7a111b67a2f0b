import { proceduresOf } from '../access'
import { goalText, OPENED } from '../machine'
import type { Ref, Saber } from '../record'
import type { Reader } from '../units'
import { say } from '../words'
import type { Planned } from './planned'

/** Every way in that the client has, gone there and back once on the saber itself, by the acts that the machine finds. */
export function errandTests(reader: Reader, s: Saber): Planned[] {
  const all = proceduresOf(reader, s).filter((p) => OPENED.includes(p.goal.kind) && p.goal.hands === 'client')
  const goals = all.map((p) => p.goal)
  return all.flatMap((p) => {
    const { at, kind } = p.goal
    if (!p.ok || !at) return []
    const acts = p.acts.flatMap((x) => x.does)
    return [
      {
        test: {
          key: `errand-${kind}-${at.slice(at.indexOf(':') + 1)}`.slice(0, 240),
          what: say(reader, 'test.errand', { goal: goalText(reader, p.goal, goals) }).slice(0, 240),
          ...{ place: at, expect: say(reader, 'test.errand.expect', { n: acts.length }) },
        },
        rests: [...new Set<Ref>(acts.map((x) => x.at))],
        placed: true,
      },
    ]
  })
}
