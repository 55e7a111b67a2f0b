import { type Calculated, factsBehind, type NumberFact, type Source } from '../facts'
import { factPaths, isNumberPlace, type Saber } from '../record'
import type { Unit } from '../units'

/** A figure with how far it may be off, both in its unit. */
export interface Expected {
  value: number
  plusMinus: number
  unit: string
}

/** How far a value may be off where nobody said, as a share of it, by how it is known: usual for calipers, meters and datasheets. */
const OFF: Record<Source, number> = {
  measured: 0.01,
  read: 0,
  configured: 0,
  datasheet: 0.05,
  computed: 0.05,
  client: 0.1,
  recalled: 0.1,
  believed: 0.15,
  assumed: 0.25,
  unknown: 0,
}
/** What calipers are off by at any length, and a scale at any mass. */
const INSTRUMENT: Partial<Record<Unit, number>> = { mm: 0.05, g: 0.5 }
/** Half of what a fact may be off by: its own tolerance, else that of its instrument, else that of its kind. */
const offOf = (f: NumberFact) =>
  f.tol ?? (f.source === 'measured' ? INSTRUMENT[f.unit] : undefined) ?? Math.abs(f.value ?? 0) * OFF[f.source]

/**
 * A computed value with its tolerance: every fact behind it is moved by its own, up and down, the formula is run again, and
 * what that moves is added in squares, since the facts are independent. `model`: how far the formula itself may be off, as a
 * share. Undefined where it cannot be computed. A fact whose moved value makes the formula fail counts by the other side.
 */
export function expected(saber: Saber, compute: (s: Saber) => Calculated, model = 0): Expected | undefined {
  const c = compute(saber)
  if (!c.ok) return undefined
  const behind = new Set<unknown>(factsBehind(c))
  const copy = structuredClone(saber)
  const own = factPaths(saber)
  // The same facts in the copy: its places stand in the same order.
  const theirs = factPaths(copy)
    .filter((_, i) => behind.has(own[i]!.fact))
    .filter(isNumberPlace)
  const squares = theirs.reduce((sum, { fact: f }) => {
    const [was, by] = [f.value!, offOf(f)]
    if (!by) return sum
    const moved = [was + by, was - by].map((v) => {
      f.value = v
      const now = compute(copy)
      return now.ok ? Math.abs(now.value - c.value) : 0
    })
    f.value = was
    return sum + Math.max(...moved) ** 2
  }, 0)
  return { value: c.value, plusMinus: Math.sqrt(squares + (model * c.value) ** 2), unit: c.unit }
}
