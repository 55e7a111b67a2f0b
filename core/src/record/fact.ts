import { type Static, Type as T } from '@sinclair/typebox'
import { UNITS, type Unit } from '../units/unit'

/** Where a value comes from. The order is the order of trust, best first. */
export const SOURCES = [
  'measured',
  'datasheet',
  'configured',
  'computed',
  'client',
  'recalled',
  'assumed',
  'unknown',
] as const
export type Source = (typeof SOURCES)[number]

/** What each source is called on a screen or on paper. */
export const SOURCE_WORDS: Record<Source, string> = {
  measured: 'measured',
  datasheet: 'datasheet',
  configured: 'set on the board',
  computed: 'computed',
  client: 'client said',
  recalled: 'from memory',
  assumed: 'assumed',
  unknown: 'not recorded',
}

const SourceSchema = T.Union(SOURCES.map((s) => T.Literal(s)))
const UnitSchema = T.Union(UNITS.map((u) => T.Literal(u)))
const claim = {
  value: T.Union([T.Number(), T.Null()]),
  tol: T.Optional(T.Number({ minimum: 0 })),
  source: SourceSchema,
  /** The instrument, document or person behind the value. */
  with: T.Optional(T.String({ maxLength: 200 })),
  on: T.Optional(T.String({ format: 'date' })),
  by: T.Optional(T.String({ maxLength: 120 })),
}

/** One statement of a value. */
export const Claim = T.Object(claim, { additionalProperties: false })
export type Claim = Static<typeof Claim>

/** A value with its provenance. `rivals` are other statements not yet settled; `trail` keeps the losers. */
export const NumberFact = T.Object(
  {
    ...claim,
    unit: UnitSchema,
    rivals: T.Optional(T.Array(Claim, { maxItems: 12 })),
    trail: T.Optional(
      T.Array(T.Object({ ...claim, why: T.Optional(T.String({ maxLength: 300 })) }, { additionalProperties: false }), {
        maxItems: 60,
      }),
    ),
  },
  { additionalProperties: false },
)
export type NumberFact = Static<typeof NumberFact>

/** Whether a fact may be printed plainly, only as "about", or not at all. A standing contradiction is never plain. */
export function printable(fact: NumberFact): 'plain' | 'about' | 'none' {
  if (fact.value === null || fact.source === 'unknown') return 'none'
  if (fact.rivals?.length) return 'about'
  return fact.source === 'recalled' || fact.source === 'assumed' || fact.source === 'client' ? 'about' : 'plain'
}

/** A fact made in code. A null value is always "unknown". */
export function fact(
  value: number | null,
  unit: Unit,
  source: Source = 'measured',
  extra: Partial<Omit<NumberFact, 'value' | 'unit' | 'source'>> = {},
): NumberFact {
  return { value, unit, source: value === null ? 'unknown' : source, ...extra }
}

/** The value when there is one; undefined when the fact is absent or unknown. Contradicted facts still have their first value. */
export const known = (f: NumberFact | undefined): number | undefined => (f && f.value !== null ? f.value : undefined)

/**
 * States a value for a fact that may already have one. Equal values (within both tolerances) keep the better source; a
 * different one becomes a rival to settle, unless the old one was unknown. Nothing is dropped: what gives way goes to the trail.
 */
export function state(old: NumberFact | undefined, next: NumberFact): NumberFact {
  if (!old || old.value === null) return old?.trail ? { ...next, trail: old.trail } : next
  if (next.value === null) return old
  const same = Math.abs(old.value - next.value) <= Math.max(old.tol ?? 0, next.tol ?? 0, 1e-9)
  const { unit: _u, rivals: _r, trail: _t, ...claimOfNext } = next
  if (same) {
    const better = SOURCES.indexOf(next.source) <= SOURCES.indexOf(old.source)
    return better
      ? { ...next, ...(old.rivals ? { rivals: old.rivals } : {}), trail: [...(old.trail ?? []), asClaim(old)] }
      : old
  }
  return { ...old, rivals: [...(old.rivals ?? []), claimOfNext] }
}

/** Settles a contradiction: `choice` 0 keeps the standing value, n takes the n-th rival. The others go to the trail with the reason. */
export function settle(f: NumberFact, choice: number, why: string): NumberFact {
  const all = [asClaim(f), ...(f.rivals ?? [])]
  const winner = all[choice]
  if (!winner) throw new RangeError(`settle: no claim number ${choice} among ${all.length}`)
  const losers = all.filter((_, i) => i !== choice).map((c) => ({ ...c, why }))
  return { ...winner, unit: f.unit, trail: [...(f.trail ?? []), ...losers] }
}

function asClaim(f: NumberFact): Claim {
  const { unit: _u, rivals: _r, trail: _t, ...rest } = f
  return rest
}
