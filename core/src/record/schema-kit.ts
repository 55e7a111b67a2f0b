import type { TSchema } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'

export const closed = { additionalProperties: false }
/** An object with exactly these fields. */
export const obj = <P extends Record<string, TSchema>>(p: P) => T.Object(p, closed)
export const oneOf = <const V extends readonly string[]>(values: V) =>
  T.Union(values.map((v) => T.Literal(v as V[number])))
export const list = <S extends TSchema>(item: S, maxItems = 200) => T.Array(item, { maxItems })
export const opt = T.Optional

export const Line = T.String({ maxLength: 240 })
export const Text = T.String({ maxLength: 8000 })
export const Day = T.String({ format: 'date' })
export const Moment = T.String({ format: 'date-time' })
export const Hex = T.String({ pattern: '^#[0-9a-f]{6}$' })
/** The content of a stored file, by its SHA-256. */
export const Hash = T.String({ pattern: '^[0-9a-f]{64}$' })
