import type { TSchema } from '@sinclair/typebox'
import { fact, isUnit } from '../../facts/fact'
import type { Unit } from '../../units/unit'
import type { Commission } from '../schema/commission'
import { danglingOf, drop, thingsOf } from '../walk/references'
import { isObject, planOf, walk } from '../walk/schema-plan'
import v3 from './v3.schema.json' with { type: 'json' }

/** What names what in the version that is lifted to: today's fields may mean by the same word something that was not there then. */
const PLAN = planOf(v3 as unknown as TSchema)!

/**
 * What files of version 2 may hold and version 3 refuses is taken out and kept: a reference that leads nowhere, a fact in a
 * unit its field does not have. Each is named with its place, what it said and why. The record comes back as a new one.
 */
export function setAside(record: Commission): Commission {
  const next = structuredClone(record)
  const kept: { path: string; was: string; why: string }[] = []
  const put = (path: string, was: unknown, why: string) =>
    kept.push({ path: path.slice(0, 600), was: JSON.stringify(was).slice(0, 4000), why: why.slice(0, 240) })

  const wrong: { pointer: string; path: string; unit: Unit; was: unknown }[] = []
  walk(PLAN, next, (plan, value, at) => {
    if (isUnit(plan.fact) && isObject(value) && value.unit !== plan.fact)
      wrong.push({ pointer: at.pointer, path: at.path, unit: plan.fact, was: value })
  })
  for (const w of wrong) {
    put(w.path, w.was, `is kept in ${w.unit}, not in ${String((w.was as { unit?: unknown }).unit)}`)
    replace(next, w.pointer, fact(null, w.unit))
  }
  // A list is emptied from its end, so that positions before it stay true; a mark without its beat goes whole.
  for (const r of danglingOf(next, PLAN).reverse()) {
    const mark = /^(.*\/marks\/\d+)\/beat$/.exec(r.pointer)
    const pointer = mark ? mark[1]! : r.pointer
    put(r.path, read(next, pointer), `names ${r.to}, which is not there`)
    drop(next, pointer)
  }
  if (!kept.length) return next
  const taken = new Set(thingsOf(next, PLAN).map((t) => t.id))
  let n = 0
  const id = () => {
    do n++
    while (taken.has(`aside-${n}`))
    return `aside-${n}`
  }
  return { ...next, aside: [...(next.aside ?? []), ...kept.map((k) => ({ id: id(), ...k }))] }
}

function read(root: unknown, pointer: string): unknown {
  let at = root
  for (const s of pointer.split('/').slice(1)) at = (at as Record<string, unknown>)[s]
  return at
}
function replace(root: unknown, pointer: string, value: unknown) {
  const at = pointer.lastIndexOf('/')
  ;(read(root, pointer.slice(0, at)) as Record<string, unknown>)[pointer.slice(at + 1)] = value
}
