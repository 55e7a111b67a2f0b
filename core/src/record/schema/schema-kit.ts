import type { TSchema } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'

export const closed = { additionalProperties: false }
/** An object with exactly these fields. */
export const obj = <P extends Record<string, TSchema>>(p: P) => T.Object(p, closed)
export const oneOf = <const V extends readonly string[]>(values: V) =>
  T.Union(values.map((v) => T.Literal(v as V[number])))
export const list = <S extends TSchema>(item: S, maxItems = 200) => T.Array(item, { maxItems })
export const opt = T.Optional

/** Words for the client: they are printed and shared. */
const ClientNote = T.String({ maxLength: 400, 'x-note': 'client', 'x-words': true })
/** Words for the shop: they are never printed, shared or spoken. */
const ShopNote = T.String({ maxLength: 400, 'x-note': 'shop' })
/** Two notes for two readers, on anything. */
export const noted = { note: opt(ClientNote), shopNote: opt(ShopNote) }

/** One line and a text that are no language: names, numbers, keys, addresses, or what stays in the shop. */
export const Line = T.String({ maxLength: 240 })
export const Text = T.String({ maxLength: 8000 })
/** The shop's own words that may reach a client: they are in the language of the record, and are translated where he reads another. */
export const Words = T.String({ maxLength: 240, 'x-words': true })
/** Somebody’s name, or words for him: “the Guild”, “an unknown hand”. A name is the same in every language. */
export const Who = T.String({ maxLength: 240, 'x-words': 'name' })
export const Prose = T.String({ maxLength: 8000, 'x-words': true })
export const Money = obj({
  amount: T.Number({ minimum: 0, maximum: 1e7 }),
  currency: T.String({ pattern: '^[A-Z]{3}$' }),
})
export const Day = T.String({ format: 'date' })
export const Moment = T.String({ format: 'date-time' })
export const Hex = T.String({ pattern: '^#[0-9a-f]{6}$' })
/** The content of a stored file, by its SHA-256. */
export const Hash = T.String({ pattern: '^[0-9a-f]{64}$' })
/** What a thing was once, as a mark to know it again by; `markOf` makes it. */
export const Mark = T.String({ pattern: '^[0-9a-z]{1,16}$' })
/** Who agreed to what cannot be undone, and when. */
export const Consent = obj({ who: Line, on: Day })
