import type { TSchema } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { possible, type Unit } from '../units/unit'

/** Where a value comes from. The order is the order of trust, best first. */
export const SOURCES = [
  'measured',
  'read',
  'datasheet',
  'configured',
  'computed',
  'client',
  'recalled',
  'believed',
  'assumed',
  'unknown',
] as const
export type Source = (typeof SOURCES)[number]

/** What each source is called on a screen or on paper. */
export const SOURCE_WORDS: Record<Source, string> = {
  measured: 'measured',
  read: 'read off it',
  datasheet: 'datasheet',
  configured: 'set on the board',
  computed: 'computed',
  client: 'client said',
  recalled: 'from memory',
  believed: 'believed',
  assumed: 'assumed',
  unknown: 'not recorded',
}

/** One statement of a value: what, how sure, and who or what says so. */
export interface Claim<V = number> {
  value: V | null
  tol?: number
  source: Source
  /** The instrument, document or person behind the value. */
  with?: string
  on?: string
  by?: string
}

/** Why a statement gave way, as the writer of facts knows it. */
const GAVE_WAY = ['agrees', 'mistyped', 'assumed', 'setAnew', 'corrected', 'takenBack', 'settled'] as const
export type GaveWay = (typeof GAVE_WAY)[number]

/**
 * A value with its provenance. `rivals` are other statements not yet settled; `trail` keeps what gave way: why the program let it,
 * and what a maker said of it.
 */
export interface AnyFact<V = number> extends Claim<V> {
  rivals?: Claim<V>[]
  trail?: (Claim<V> & { gaveWay?: GaveWay; why?: string })[]
}
/** A number with its unit; `Fact<'mm'>` is a length in millimetres and nothing else. */
export interface Fact<U extends Unit = Unit> extends AnyFact<number> {
  unit: U
}
export type NumberFact = Fact
/** Words that are stated by somebody. */
export type TextFact = AnyFact<string>
/** One of some choices, stated by somebody. */
export type ChoiceFact<C extends string> = AnyFact<C>

const closed = { additionalProperties: false }
const claimOf = <S extends TSchema>(value: S) => ({
  value: T.Union([value, T.Null()]),
  tol: T.Optional(T.Number({ minimum: 0 })),
  source: T.Union(SOURCES.map((s) => T.Literal(s))),
  with: T.Optional(T.String({ maxLength: 200 })),
  on: T.Optional(T.String({ format: 'date' })),
  by: T.Optional(T.String({ maxLength: 120 })),
})

/** Most rivals and past statements that a fact holds; a shop that needs more has another trouble. */
export const MOST_RIVALS = 12
const MOST_TRAIL = 400

const withHistory = <S extends TSchema>(value: S) => {
  const claim = claimOf(value)
  return {
    ...claim,
    rivals: T.Optional(T.Array(T.Object(claim, closed), { maxItems: MOST_RIVALS })),
    trail: T.Optional(
      T.Array(
        T.Object(
          {
            ...claim,
            gaveWay: T.Optional(T.Union(GAVE_WAY.map((w) => T.Literal(w)))),
            why: T.Optional(T.String({ maxLength: 300 })),
          },
          closed,
        ),
        { maxItems: MOST_TRAIL },
      ),
    ),
  }
}

/** The schema of a number in one unit: a length in volts is refused. */
export const factOf = <U extends Unit>(unit: U) =>
  T.Unsafe<Fact<U>>(T.Object({ ...withHistory(T.Number()), unit: T.Literal(unit) }, { ...closed, 'x-fact': unit }))
/** The schema of words that are a fact. */
export const textFactOf = (maxLength = 240) =>
  T.Unsafe<TextFact>(T.Object(withHistory(T.String({ maxLength })), { ...closed, 'x-fact': 'text' }))
/** The schema of words that are a fact and may reach a client, in the language of the record. */
export const wordsFactOf = (maxLength = 240) =>
  T.Unsafe<TextFact>(T.Object(withHistory(T.String({ maxLength })), { ...closed, 'x-fact': 'text', 'x-words': true }))
/** The schema of a choice that is a fact. */
export const choiceFactOf = <const C extends readonly string[]>(choices: C) =>
  T.Unsafe<ChoiceFact<C[number]>>(
    T.Object(withHistory(T.Union(choices.map((c) => T.Literal(c)))), { ...closed, 'x-fact': 'choice' }),
  )

/** The schema of a colour that is a fact: `#rrggbb`, in sRGB. */
export const colourFactOf = () =>
  T.Unsafe<TextFact>(T.Object(withHistory(T.String({ pattern: '^#[0-9a-f]{6}$' })), { ...closed, 'x-fact': 'colour' }))

/** What a fact may hold beside numbers. */
const WORDED = ['text', 'choice', 'colour'] as const
/** Whether what a schema says of a fact is the unit of a number. */
export const isUnit = (said: unknown): said is Unit =>
  typeof said === 'string' && !(WORDED as readonly string[]).includes(said)

/** The unit that a fact's schema asks for; undefined for words, choices and everything that is no fact. */
export function unitOf(schema: TSchema): Unit | undefined {
  const said: unknown = schema['x-fact']
  return isUnit(said) ? said : undefined
}

/** Sources nobody has made sure of: such a value prints as "about". */
export const UNSURE: ReadonlySet<Source> = new Set(['client', 'recalled', 'believed', 'assumed'])

/** Whether a fact may be printed plainly, only as "about", or not at all. A standing contradiction is never plain. */
export function printable(fact: AnyFact<unknown>): 'plain' | 'about' | 'none' {
  if (fact.value === null || fact.source === 'unknown' || impossible(fact)) return 'none'
  if (fact.rivals?.length) return 'about'
  return UNSURE.has(fact.source) ? 'about' : 'plain'
}

/** Words, a choice or a colour made in code. */
export const stated = <V extends string>(
  value: V,
  source: Source = 'recalled',
  extra: Partial<Omit<AnyFact<V>, 'value' | 'source'>> = {},
): AnyFact<V> => ({ value, source, ...extra })

/** A number made in code. A null value is always "unknown". */
export function fact<U extends Unit>(
  value: number | null,
  unit: U,
  source: Source = 'measured',
  extra: Partial<Omit<Fact<U>, 'value' | 'unit' | 'source'>> = {},
): Fact<U> {
  return { value, unit, source: value === null ? 'unknown' : source, ...extra }
}

const impossible = (f: AnyFact<unknown>) =>
  typeof f.value === 'number' && 'unit' in f && !possible(f.value, f.unit as Unit)

/**
 * The value when there is one that can be; undefined when the fact is absent, unknown, or beyond what a saber can have: no
 * figure is made of such a number, and a finding names it. Contradicted facts still have their first value.
 */
export const known = <V>(f: AnyFact<V> | undefined): V | undefined =>
  f && f.value !== null && !impossible(f) ? f.value : undefined

/** A size that is more than nothing (a thousandth of a thousandth of its unit); undefined otherwise. */
export const sized = (f: NumberFact | undefined): number | undefined => {
  const v = known(f)
  return v !== undefined && v > 1e-6 ? v : undefined
}

/** Whether a value of a record is a fact (a number, words or a choice), by its shape. */
export const isFact = (v: unknown): v is AnyFact<unknown> =>
  typeof v === 'object' && v !== null && 'value' in v && 'source' in v
