import type { Machine } from '../machine'
import type { LightLoad } from '../power'
import { type Commission, type FactPlace, type Ref, SABER_FIELDS, type Saber } from '../record'
import type { Topic } from '../script'
import type { Level, Station } from './finding'

/** What a check is given. The facts are those of the saber, in the order of the record. */
export interface Context {
  commission: Commission
  saber: Saber
  /** Today, ISO date; brought by the caller since the core has no clock. */
  today: string
  readonly facts: readonly FactPlace[]
  /** What its film must tell, what it draws in every look, and the saber as a machine: several checks ask, each is worked out once. */
  readonly topics: readonly Topic[]
  readonly loads: readonly LightLoad[]
  readonly machine: Machine
}

/** What a check reads: fields of the saber, fields of the order, and the day. Nothing else may change its answer. */
/** `order.first`: what is said of the saber that is told first, where there are others; `order.told`: in what order they are told. */
export type Reads = keyof Saber | `order.${keyof Commission}` | 'order.first' | 'order.told' | 'today'
/** Every field of a saber that holds facts, by the plan of its schema: what reads all facts reads these, and the name that owns them. */
export const ALL_FACTS: readonly Reads[] = ['name', ...SABER_FIELDS.filter((f) => f.facts).map((f) => f.key)]

/** What no film speaks of: how it was proved, filmed and drawn, and what is only the shop's. */
const UNTOLD: ReadonlySet<keyof Saber> = new Set(['tests', 'takes', 'leftOut', 'mapFrom', 'firmware', 'timing'])
/** What the topics of a film are derived from, and the beats that tell them: all of a saber but that, and what its order says of it. */
export const TOPICS_READ: readonly Reads[] = [
  ...SABER_FIELDS.map((f) => f.key).filter((key) => !UNTOLD.has(key)),
  ...(['order.client', 'order.requests', 'order.arrivals', 'order.purpose', 'order.toDos', 'order.credits'] as const),
  ...(['order.giver', 'order.writtenIn', 'order.translations', 'order.first', 'order.told'] as const),
]

export interface Worded {
  title: string
  detail: string
  remedy: string
}

/** What a check says about one matter, without words. `subject` names the matter by identity and tells those of one check apart. */
export interface Raised<Code extends string = string, Params extends object = object> {
  code: Code
  subject: string
  level: Level
  params: Params
  refs?: Ref[]
  /** The single matters it gathers, by identity: it is set aside for these and no others. */
  names?: readonly string[]
  /** Stands against shipping; a stop does unless it says otherwise. */
  gate?: boolean
}
type RaisedOf<Codes> = { [C in keyof Codes & string]: Raised<C, Codes[C] & object> }[keyof Codes & string]

/** Raises any number of matters for each item of a list. */
type Each<R> = <T>(list: readonly T[], raise: (item: T) => readonly R[]) => R[]
const each: Each<Raised> = (list, raise) => list.flatMap(raise)

interface Definition<Codes> {
  id: string
  station: Station
  /** `order`: runs once for a commission, with its first saber. */
  scope: 'saber' | 'order'
  /** Where the rule comes from. */
  source: string
  reads: readonly Reads[]
  /** `each` gathers what is raised over a list. */
  run: (ctx: Context, each: Each<RaisedOf<Codes>>) => RaisedOf<Codes>[]
}

export interface Check<Codes = unknown> {
  id: string
  station: Station
  scope: 'saber' | 'order'
  source: string
  reads: readonly Reads[]
  run: (ctx: Context) => Raised[]
  /** Only a type: what it raises, for whoever words it. */
  readonly raises?: Codes
}

/** A pure judgement over the record: each code with the type of its parameters, and what raises it. Its words are in the catalogue. */
export function check<Codes extends { [C in keyof Codes]: object }>(d: Definition<Codes>): Check<Codes> {
  const raise = d.run as unknown as (ctx: Context, each: Each<Raised>) => Raised[]
  return { ...d, run: (ctx) => raise(ctx, each) }
}

/** The words of a check: its rule, and how each of its codes is said. */
interface CheckWords<Codes> {
  rule: string
  says: { [C in keyof Codes]: (params: Codes[C]) => Worded }
}
/** The words of the checks of a folder, each under its name. */
export type WordsOf<Rules> = { [K in keyof Rules]: Rules[K] extends Check<infer Codes> ? CheckWords<Codes> : never }
/** The words of any checks, by their ids. */
export type Catalogue = Readonly<Record<string, CheckWords<Record<string, object>>>>
