import { type AnyFact, isFact, type NumberFact, type TextFact } from '../../facts/fact'
import { type Kind, type Ref, refTo } from '../schema/ref'
import type { Saber } from '../schema/saber'
import { nameOfThing } from './references'
import { SABER_PLAN, walk } from './schema-plan'

/** Where a fact stands in the saber: its path by identity, the thing that owns it, and words for both. */
export interface FactPlace<F extends AnyFact<unknown> = NumberFact | TextFact> {
  path: string
  ref?: Ref
  owner: string
  field: string
  fact: F
}
export type NumberPlace = FactPlace<NumberFact>
/** Whether it is a number that stands there, and not words, a choice or a colour. */
export const isNumberPlace = (p: FactPlace): p is NumberPlace => 'unit' in p.fact

/** What a thing is called; how a light looks in a preset is called as the light. */
const ownerOf = (saber: Saber, kind: Kind, thing: Record<string, unknown>): string =>
  (kind === 'lightLook' ? saber.zones.find((z) => z.id === thing.zone)?.name : undefined) ?? nameOfThing(kind, thing)

/** Calls back for every fact of a saber, with its owner. Order is that of the schema. */
export function forEachFact(saber: Saber, visit: (place: FactPlace) => void): void {
  walk(SABER_PLAN, saber, (plan, value, at) => {
    if (!plan.fact || !isFact(value)) return
    const thing = at.within.at(-1)
    visit({
      path: at.path,
      field: at.path.slice(at.path.lastIndexOf('/') + 1),
      owner: thing ? ownerOf(saber, thing.kind as Kind, thing.value) : saber.name,
      fact: value as NumberFact | TextFact,
      ...(thing ? { ref: refTo(thing.kind as Kind, String(thing.value.id)) } : {}),
    })
  })
}

/** All facts of a saber as a list. */
export function factPaths(saber: Saber): FactPlace[] {
  const out: FactPlace[] = []
  forEachFact(saber, (p) => out.push(p))
  return out
}
