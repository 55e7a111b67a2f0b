import type { Act, Procedure, Saber, Step } from '../record'
import { keyOfStep } from './keys'
import { type Possible, rowsOf, saidOf, type Told } from './procedures'

/** What is said of a procedure in a record that is being changed, in one row; begun where nothing is said yet. */
export function procedureIn(s: Saber, { goal }: Pick<Told, 'goal'>, newId: () => string): Procedure {
  const [had, ...others] = rowsOf(s, goal)
  if (had) {
    Object.assign(had, saidOf(s, goal))
    s.access = s.access.filter((p) => !others.includes(p))
    return had
  }
  const begun: Procedure = { id: newId(), goal: goal.kind, ...(goal.at ? { at: goal.at } : {}), steps: [] }
  s.access.push(begun)
  return begun
}

const find = (p: Procedure, t: Possible, key: string): Step | undefined => {
  const id = t.acts.find((x) => x.key === key)?.step
  return p.steps.find((x) => (id ? x.id === id : keyOfStep(x) === key))
}

/** What is said of an act, begun where nothing is: it stands among the others as the acts do. */
export function stepFor(p: Procedure, t: Possible, key: string, newId: () => string): Step {
  const had = find(p, t, key)
  if (had) return had
  const [verb, at] = key.split(' ') as [Act['do'], Act['at']]
  const begun: Step = { id: newId(), act: { do: verb, at } }
  const before = t.acts
    .slice(
      0,
      t.acts.findIndex((x) => x.key === key),
    )
    .map((x) => x.key)
  const place = p.steps.findLastIndex((x) => before.includes(keyOfStep(x))) + 1
  p.steps.splice(place, 0, begun)
  return begun
}

/** An act of the maker's own after another one; at the beginning where none is named. */
export function ownAfter(p: Procedure, t: Possible, key: string | undefined, text: string, newId: () => string): Step {
  const act = t.acts.find((x) => x.key === key)
  const own: Step = { id: newId(), text, ...(act?.back ? { back: true } : {}) }
  if (!act || key === undefined || key === 'dark') p.steps.unshift(own)
  else p.steps.splice(p.steps.indexOf(stepFor(p, t, key, newId)) + 1, 0, own)
  return own
}

/** An act said to come before the one that is before it, or after the one after it, within its half; whether it can is another matter. */
export function moved(p: Procedure, t: Possible, key: string, by: -1 | 1, newId: () => string): void {
  const i = t.acts.findIndex((x) => x.key === key)
  const [act, other] = [t.acts[i], t.acts[i + by]]
  if (!act || !other || act.back !== other.back || other.key === 'dark') return
  const [own, next] = [stepFor(p, t, key, newId), stepFor(p, t, other.key, newId)]
  p.steps.splice(p.steps.indexOf(own), 1)
  p.steps.splice(p.steps.indexOf(next) + (by > 0 ? 1 : 0), 0, own)
}

/** Whether somebody has said anything of an act but where it stands. */
export const saysNothing = (x: Step): boolean => Object.keys(x).every((k) => k === 'id' || k === 'act')
