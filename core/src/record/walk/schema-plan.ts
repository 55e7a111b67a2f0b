import type { TSchema } from '@sinclair/typebox'
import type { Unit } from '../../units/unit'
import { Commission } from '../schema/commission'
import type { Kind } from '../schema/ref'
import { Saber } from '../schema/saber'

/**
 * The schema boiled down to what has a meaning beyond its type: facts, identities and references. Every walk over a record
 * (facts, look-ups, integrity, copies, lifts) follows this plan, so a new field needs no second list.
 */
export interface SchemaPlan {
  /** A fact: its unit, or what it holds beside numbers. */
  fact?: Unit | 'text' | 'choice' | 'colour'
  /** The identity of a thing. */
  kind?: Kind
  /** A reference: kinds it may name; `bare` when it is the id alone. */
  names?: { kinds: readonly Kind[]; bare: boolean }
  /** The shop's own words that may reach a client; in the plan of words alone. */
  words?: true | 'name'
  fields?: readonly { key: string; plan: SchemaPlan; required: boolean }[]
  items?: SchemaPlan
}

/** The plan of a schema, of this version or an older one; undefined where nothing in it has such a meaning. */
export const planOf = (schema: TSchema): SchemaPlan | undefined => planBy(schema, meaningOf, schema.$defs ?? {})

function meaningOf(schema: TSchema): SchemaPlan | undefined {
  if (schema['x-fact']) return { fact: schema['x-fact'] }
  if (schema['x-kind']) return { kind: schema['x-kind'] }
  if (schema['x-names']) return { names: { kinds: schema['x-names'], bare: !String(schema.pattern).includes(':') } }
  return undefined
}
/** What is words, alone or as a fact. */
const wordsIn = (schema: TSchema): SchemaPlan | undefined =>
  schema['x-words'] ? { words: schema['x-words'], ...(schema['x-fact'] ? { fact: schema['x-fact'] } : {}) } : undefined

function planBy(
  schema: TSchema,
  meaning: (schema: TSchema) => SchemaPlan | undefined,
  pieces: Record<string, TSchema> = {},
): SchemaPlan | undefined {
  if (schema.$ref) return planBy(pieces[schema.$ref.slice('#/$defs/'.length)]!, meaning, pieces)
  const own = meaning(schema)
  if (own) return own
  if (schema.type === 'array') {
    const items = planBy(schema.items, meaning, pieces)
    return items && { items }
  }
  const properties = schema.properties as Record<string, TSchema> | undefined
  if (!properties) return undefined
  const fields = Object.entries(properties).flatMap(([key, s]) => {
    const plan = planBy(s, meaning, pieces)
    return plan ? [{ key, plan, required: ((schema.required ?? []) as string[]).includes(key) }] : []
  })
  return fields.length ? { fields } : undefined
}

export const RECORD_PLAN: SchemaPlan = planOf(Commission)!
export const SABER_PLAN: SchemaPlan = planOf(Saber)!
/** Where the shop's own words stand in a record and in a saber. */
export const RECORD_WORDS: SchemaPlan = planBy(Commission, wordsIn)!
export const SABER_WORDS: SchemaPlan = planBy(Saber, wordsIn)!

const holdsFacts = (p: SchemaPlan | undefined): boolean =>
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
export function walk(
  plan: SchemaPlan,
  value: unknown,
  visit: (plan: SchemaPlan, value: unknown, at: Standing) => void,
): void {
  const step = (p: SchemaPlan, v: unknown, at: Standing): void => {
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

/**
 * A value with other words, made by `put` from each of its own and where they stand; what has no words, or keeps them, is the same
 * value as before.
 */
export function withWords<T>(
  plan: SchemaPlan,
  value: T,
  put: (text: string, path: string, name: boolean) => string,
): T {
  const step = (p: SchemaPlan, v: unknown, path: string): unknown => {
    if (p.words) {
      if (typeof v === 'string') return put(v, path, p.words === 'name')
      if (!isObject(v) || typeof v.value !== 'string') return v
      const said = put(v.value, path, p.words === 'name')
      return said === v.value ? v : { ...v, value: said }
    }
    if (p.items) {
      if (!Array.isArray(v)) return v
      const made = v.map((x, i) =>
        step(p.items!, x, `${path}/${isObject(x) && typeof x.id === 'string' ? `@${x.id}` : i}`),
      )
      return made.some((x, i) => x !== v[i]) ? made : v
    }
    if (!isObject(v)) return v
    const changed = (p.fields ?? []).flatMap((f) => {
      const said = step(f.plan, v[f.key], `${path}/${f.key}`)
      return said === v[f.key] ? [] : [[f.key, said] as const]
    })
    return changed.length ? { ...v, ...Object.fromEntries(changed) } : v
  }
  return step(plan, value, '') as T
}

export const isObject = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v)
