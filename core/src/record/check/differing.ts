import type { TSchema } from '@sinclair/typebox'
import { isObject } from '../walk/schema-plan'

/** A piece of a record that is not what it was, with its own piece of the schema and where it stands (by position). */
interface Piece {
  path: string
  schema: TSchema
  value: unknown
}

/** Whether identities or references may lie in what a schema describes. */
const holding = new WeakMap<TSchema, boolean>()
function holdsIdentity(schema: TSchema): boolean {
  const known = holding.get(schema)
  if (known !== undefined) return known
  const within = [schema.items, ...Object.values((schema.properties ?? {}) as Record<string, TSchema>)]
  const found =
    'x-kind' in schema || 'x-names' in schema || within.some((s) => s !== undefined && holdsIdentity(s as TSchema))
  holding.set(schema, found)
  return found
}

const idOf = (v: unknown) => (isObject(v) && typeof v.id === 'string' ? v.id : undefined)

/**
 * The smallest pieces in which two values of a schema differ, and whether identities or references may have changed with
 * them. `before` must be valid. An object or a list whose own shape is in question (a field too many or too few, more items
 * than may be) is a piece as a whole; so is a fact.
 */
export function differing(schema: TSchema, before: unknown, after: unknown): { parts: Piece[]; identities: boolean } {
  const parts: Piece[] = []
  let identities = false
  const step = (s: TSchema, was: unknown, is: unknown, path: string): void => {
    if (was === is) return
    const fields = s.type === 'object' && !('x-fact' in s) ? (s.properties as Record<string, TSchema>) : undefined
    if (fields && isObject(was) && isObject(is)) {
      const whole =
        Object.keys(is).every((k) => Object.hasOwn(fields, k)) &&
        ((s.required ?? []) as string[]).every((k) => is[k] !== undefined)
      if (whole) {
        for (const k of Object.keys(was)) if (!(k in is) && holdsIdentity(fields[k]!)) identities = true
        for (const k of Object.keys(is)) step(fields[k]!, was[k], is[k], `${path}/${k}`)
        return
      }
    }
    if (s.type === 'array' && Array.isArray(was) && Array.isArray(is) && fits(s, is)) {
      const by = new Map(was.map((x) => [idOf(x), x]))
      const kept = new Set(is.map(idOf))
      const gone = was.some((x) => !kept.has(idOf(x)))
      if (holdsIdentity(s) && (gone || kept.size !== is.length)) identities = true
      for (const [i, x] of is.entries()) {
        const id = idOf(x)
        step(s.items as TSchema, id === undefined ? undefined : by.get(id), x, `${path}/${i}`)
      }
      return
    }
    if (holdsIdentity(s)) identities = true
    parts.push({ path, schema: s, value: is })
  }
  step(schema, before, after, '')
  return { parts, identities }
}

const fits = (s: TSchema, list: unknown[]) =>
  list.length >= ((s.minItems as number | undefined) ?? 0) &&
  list.length <= ((s.maxItems as number | undefined) ?? Number.POSITIVE_INFINITY) &&
  s.uniqueItems !== true
