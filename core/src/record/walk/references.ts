import type { Commission } from '../schema/commission'
import { type Kind, partsOfRef, type Ref, refTo, THINGS } from '../schema/ref'
import { isObject, RECORD_PLAN, type SchemaPlan, walk } from './schema-plan'

/** A thing of a record with where it stands. */
export interface Thing {
  ref: Ref
  kind: Kind
  id: string
  value: Record<string, unknown>
  /** Identity path, and position path. */
  path: string
  pointer: string
  /** The saber it belongs to; absent for what belongs to the order. */
  saber?: string
}

/** A reference as it stands in a record: what it names, from where, out of which thing and field. */
export interface Reference {
  kinds: readonly Kind[]
  /** What it names; undefined when a bare id may name only one kind and none has it. */
  to: Ref
  from: Ref | undefined
  field: string
  path: string
  pointer: string
  saber?: string
}

/** Every thing with an identity, in the order of the record. The same id twice is listed twice. `by`: the plan of an older version. */
export function thingsOf(record: Commission, by: SchemaPlan = RECORD_PLAN): Thing[] {
  const out: Thing[] = []
  walk(by, record, (plan, value, at) => {
    if (!plan.kind || typeof value !== 'string') return
    const own = at.within.at(-1)
    if (!own) return
    const saber = own.kind === 'saber' ? undefined : at.within.find((w) => w.kind === 'saber')
    out.push({
      ref: refTo(plan.kind, value),
      kind: plan.kind,
      id: value,
      value: own.value,
      path: at.path.slice(0, -'/id'.length),
      pointer: at.pointer.slice(0, -'/id'.length),
      ...(saber ? { saber: String(saber.value.id) } : {}),
    })
  })
  return out
}

/** Every reference of a record, leading somewhere or not. */
export function referencesOf(record: Commission, by: SchemaPlan = RECORD_PLAN): Reference[] {
  const out: Reference[] = []
  walk(by, record, (plan, value, at) => {
    if (!plan.names || typeof value !== 'string') return
    const thing = at.within.at(-1)
    const saber = at.within.find((w) => w.kind === 'saber')
    const own = /\/([a-zA-Z]+)(?:\/\d+)?$/.exec(at.pointer)
    out.push({
      kinds: plan.names.kinds,
      to: plan.names.bare ? refTo(plan.names.kinds[0]!, value) : (value as Ref),
      from: thing && refTo(thing.kind, String(thing.value.id)),
      field: own?.[1] ?? '',
      path: at.path,
      pointer: at.pointer,
      ...(saber ? { saber: String(saber.value.id) } : {}),
    })
  })
  return out
}

/**
 * References that lead nowhere: to nothing, to a thing of a kind they may not name, or from inside one saber into another.
 * What belongs to the order may be named from anywhere, and the order may name things of any saber.
 */
export function danglingOf(record: Commission, by: SchemaPlan = RECORD_PLAN): Reference[] {
  const homes = new Map<string, Set<string | undefined>>()
  for (const t of thingsOf(record, by)) {
    const at = homes.get(t.ref) ?? new Set()
    homes.set(t.ref, at.add(t.saber))
  }
  return referencesOf(record, by).filter((r) => {
    const at = homes.get(r.to)
    if (!at) return true
    return r.saber !== undefined && !at.has(r.saber) && !at.has(undefined)
  })
}

/** What leans on a thing or on anything inside it: references from elsewhere. Empty when it can go without a trace. */
export function leaningOn(record: Commission, target: Ref): Reference[] {
  const root = thingsOf(record).find((t) => t.ref === target)
  if (!root) return []
  const inside = (path: string) => path === root.path || path.startsWith(`${root.path}/`)
  const gone = new Set(thingsOf(record).flatMap((t) => (inside(t.path) ? [t.ref] : [])))
  return referencesOf(record).filter((r) => gone.has(r.to) && !inside(r.path))
}

/** The name by which a thing is called on a screen; its kind when it has none. */
export function nameOfThing(kind: Kind, value: Record<string, unknown>): string {
  for (const key of ['name', 'says', 'does', 'goal', 'what', 'text', 'say', 'chose', 'fix', 'did', 'who', 'sense'])
    if (typeof value[key] === 'string' && value[key]) return value[key]
  return THINGS[kind][0]
}

/** What taking a thing out of a record comes to. */
export interface Removal {
  record: Commission
  /** What goes with it because it cannot stand without it: the blade of a socket, the socket of a section. */
  goes: Thing[]
  /** References that are let go; their things stay. */
  letsGo: Reference[]
}

/**
 * The record without a thing, or several at once: what cannot stand without them goes with them, and every other reference to what
 * goes is let go. What is not in the record is passed over.
 */
export function withoutThing(record: Commission, ...targets: readonly Ref[]): Removal {
  const all = thingsOf(record)
  const wanted = new Set(targets)
  const roots = all.filter((t) => wanted.has(t.ref))
  if (!roots.length) return { record, goes: [], letsGo: [] }
  const going = new Map(roots.map((t) => [t.ref, t]))
  const letsGo: Reference[] = []
  for (const ref of going.keys())
    for (const r of leaningOn(record, ref)) {
      const owner = all.find((t) => t.ref === r.from)
      if (owner && required(r)) going.set(owner.ref, owner)
      else letsGo.push(r)
    }
  const gone = [...going.values()]
  const staying = letsGo.filter((r) => !gone.some((t) => r.pointer.startsWith(`${t.pointer}/`)))
  const next = structuredClone(record)
  const pointers = [...staying.map((r) => r.pointer), ...gone.map((t) => t.pointer)]
  for (const p of [...new Set(pointers)].sort((a, b) => comparePointers(b, a))) drop(next, p)
  return { record: next, goes: gone.filter((t) => !roots.includes(t)), letsGo: staying }
}

/** Later positions first, so that taking one out does not shift the next. */
const comparePointers = (a: string, b: string) => {
  const [x, y] = [a.split('/'), b.split('/')]
  for (let i = 0; i < Math.min(x.length, y.length); i++)
    if (x[i] !== y[i]) {
      const [p, q] = [Number(x[i]), Number(y[i])]
      return Number.isNaN(p) || Number.isNaN(q) ? (x[i]! < y[i]! ? -1 : 1) : p - q
    }
  return x.length - y.length
}

/** Takes out what stands at a position: a field of an object, or an item of a list. */
export function drop(root: unknown, pointer: string): void {
  const steps = pointer.split('/').slice(1)
  const last = steps.pop()!
  let at = root as Record<string, unknown> | unknown[]
  for (const s of steps) at = (at as Record<string, unknown>)[s] as typeof at
  if (Array.isArray(at)) at.splice(Number(last), 1)
  else if (isObject(at)) delete at[last]
}

/** Whether a reference stands in a field that its thing cannot do without. A list can do without one of its items. */
function required(r: Reference): boolean {
  const steps = r.pointer.split('/').slice(1)
  let plan = RECORD_PLAN
  let needed = false
  for (const s of steps) {
    if (plan.items) {
      plan = plan.items
      needed = false
    } else {
      const field = plan.fields!.find((f) => f.key === s)!
      plan = field.plan
      needed = field.required
    }
  }
  return needed
}

/** Looks a thing up in a record; undefined when it is gone. */
export function findThing(record: Commission, target: string | undefined): Thing | undefined {
  const p = target === undefined ? undefined : partsOfRef(target)
  return p && thingsOf(record).find((t) => t.ref === target)
}

/** The name of a thing anywhere in a record; undefined when it is gone. */
export function nameIn(record: Commission, target: string | undefined): string | undefined {
  const t = findThing(record, target)
  return t && nameOfThing(t.kind, t.value)
}
