import * as T from '@sinclair/typebox'

/**
 * Changes as values. A path names things by identity, `/sabers/@rw/hilt/sections/@rw-grip/length`, so that a change lands on
 * its thing wherever that stands by then. Each operation carries what it replaces and can therefore be turned round.
 */
export type Op =
  | { op: 'set'; at: string; value: unknown; was?: unknown }
  | { op: 'unset'; at: string; was: unknown }
  /** `after` names the item before it; null puts it first. `at` is the list. */
  | { op: 'insert'; at: string; item: Item; after: string | null }
  /** `at` is the item. */
  | { op: 'remove'; at: string; item: Item; after: string | null }
  | { op: 'move'; at: string; after: string | null; was: string | null }

export interface Item {
  id: string
  [key: string]: unknown
}

const Path = T.String({ pattern: '^(/[^/]{1,120}){1,16}$', maxLength: 800 })
const Anchor = T.Union([T.String({ maxLength: 48 }), T.Null()])
const Thing = T.Object({ id: T.String({ maxLength: 48 }) }, { additionalProperties: true })
const closed = { additionalProperties: false }
/** The shape of an operation as it travels. What it does to the record is judged by the record's own schema. */
export const OpSchema = T.Unsafe<Op>(
  T.Union([
    T.Object({ op: T.Literal('set'), at: Path, value: T.Unknown(), was: T.Optional(T.Unknown()) }, closed),
    T.Object({ op: T.Literal('unset'), at: Path, was: T.Unknown() }, closed),
    T.Object({ op: T.Literal('insert'), at: Path, item: Thing, after: Anchor }, closed),
    T.Object({ op: T.Literal('remove'), at: Path, item: Thing, after: Anchor }, closed),
    T.Object({ op: T.Literal('move'), at: Path, after: Anchor, was: Anchor }, closed),
  ]),
)

/** A list whose items have identities; an empty one counts when its counterpart does. */
export const isKeyed = (v: unknown): v is Item[] =>
  Array.isArray(v) && v.every((x) => typeof x === 'object' && x !== null && typeof (x as Item).id === 'string')
