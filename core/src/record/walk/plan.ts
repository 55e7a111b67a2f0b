import type { TSchema } from '@sinclair/typebox'
import type { Unit } from '../../units/unit'
import { Commission } from '../schema/commission'
import type { Kind } from '../schema/ref'
import { Saber } from '../schema/saber'

/**
 * The schema boiled down to what has a meaning beyond its type: facts, identities and references. Every walk over a record
 * (facts, look-ups, integrity, copies, lifts) follows this plan, so a new field needs no second list.
 */
export interface Plan {
  /** A fact: its unit, or what it holds beside numbers. */
  fact?: Unit | 'text' | 'choice' | 'colour'
  /** The identity of a thing. */
  kind?: Kind
  /** A reference: kinds it may name; `bare` when it is the id alone. */
  names?: { kinds: readonly Kind[]; bare: boolean }
  fields?: readonly { key: string; plan: Plan; required: boolean }[]
  items?: Plan
}

/** The plan of a schema, of this version or an older one; undefined where nothing in it has such a meaning. */
export function planOf(schema: TSchema, pieces: Record<string, TSchema> = schema.$defs ?? {}): Plan | undefined {
  if (schema.$ref) return planOf(pieces[schema.$ref.slice('#/$defs/'.length)]!, pieces)
  if (schema['x-fact']) return { fact: schema['x-fact'] }
  if (schema['x-kind']) return { kind: schema['x-kind'] }
  if (schema['x-names']) return { names: { kinds: schema['x-names'], bare: !String(schema.pattern).includes(':') } }
  if (schema.type === 'array') {
    const items = planOf(schema.items, pieces)
    return items && { items }
  }
  const properties = schema.properties as Record<string, TSchema> | undefined
  if (!properties) return undefined
  const fields = Object.entries(properties).flatMap(([key, s]) => {
    const plan = planOf(s, pieces)
    return plan ? [{ key, plan, required: ((schema.required ?? []) as string[]).includes(key) }] : []
  })
  return fields.length ? { fields } : undefined
}

export const RECORD_PLAN: Plan = planOf(Commission)!
export const SABER_PLAN: Plan = planOf(Saber)!

const holdsFacts = (p: Plan | undefined): boolean =>
  p !== undefined && (p.fact !== undefined || holdsFacts(p.items) || (p.fields ?? []).some((f) => holdsFacts(f.plan)))
/** Every field of a saber, and whether there are facts in it. */
export const SABER_FIELDS: readonly { key: keyof Saber; facts: boolean }[] = Object.keys(Saber.properties).map(
  (key) => ({
    key: key as keyof Saber,
    facts: holdsFacts(SABER_PLAN.fields?.find((f) => f.key === key)?.plan),
  }),
)

/** Where a value stands: the pointer by identity (`/sabers/@rw/hilt/…`), by position, and the things it lies in, outermost first. */
export interface Standing {
  path: string
  pointer: string
  within: readonly { kind: Kind; value: Record<string, unknown> }[]
}

/** Walks a value along its plan and calls back for each fact, identity and reference. What does not have the planned shape is passed over. */
export function walk(plan: Plan, value: unknown, visit: (plan: Plan, value: unknown, at: Standing) => void): void {
  const step = (p: Plan, v: unknown, at: Standing): void => {
    if (v === undefined || v === null) return
    if (p.fact || p.names || p.kind) {
      visit(p, v, at)
      return
    }
    if (p.items) {
      if (!Array.isArray(v)) return
      v.forEach((item, i) => {
        const kind = p.items!.fields?.find((f) => f.key === 'id')?.plan.kind
        const id = kind && isObject(item) && typeof item.id === 'string' ? item.id : undefined
        step(p.items!, item, {
          path: `${at.path}/${id === undefined ? i : `@${id}`}`,
          pointer: `${at.pointer}/${i}`,
          within:
            kind && id !== undefined ? [...at.within, { kind, value: item as Record<string, unknown> }] : at.within,
        })
      })
      return
    }
    if (!isObject(v)) return
    for (const f of p.fields ?? [])
      step(f.plan, v[f.key], { path: `${at.path}/${f.key}`, pointer: `${at.pointer}/${f.key}`, within: at.within })
  }
  step(plan, value, { path: '', pointer: '', within: [] })
}

export const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v)
