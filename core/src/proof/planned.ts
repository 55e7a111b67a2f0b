import type { Calculated, NumberFact } from '../facts'
import { type FittedPart, type PartKind, type Ref, refTo, type Saber, type Test } from '../record'
import { type Expected, expected } from './expected'

/** A test that this build calls for. `key` stays the same for the same thing, so that a proposal is made once. */
export type Proposal = Omit<Test, 'id' | 'readings'>

/** A test with what stands behind it. */
export interface Planned {
  test: Proposal
  /** What it would show a fault of: a fix of one of these asks for it again. */
  rests: readonly Ref[]
  /** Where those are counts, too: a way in is another one when something on it has moved. */
  placed?: true
  /** What Power, Fit or Voice computes for it, and how far that may be off. */
  predicts?: () => Expected | undefined
  /** Limits that follow from the prediction. */
  limits?: (e: Expected) => Limits
  /** The recorded fact that it reads, and how many of its unit one of the test's is: a reading beyond its tolerance is a rival of it. */
  reads?: { of: (s: Saber) => NumberFact | undefined; put: (s: Saber, f: NumberFact) => void; per: number }
  /** What a rating or a promise allows, whatever anybody computed or wrote down as wanted. */
  allowed?: () => Limits | undefined
}
export interface Limits {
  min?: number
  max?: number
}

/** How far the meter itself may be off, as a share of what it shows. */
const METER = 0.02
/** Three figures are what a bench meter is read to. */
const read = (v: number) => Number(v.toPrecision(3))

/** From what is expected, less and more its tolerance and the meter's. */
export const between = (e: Expected) => {
  const off = e.plusMinus + METER * Math.abs(e.value)
  return { min: read(Math.max(0, e.value - off)), max: read(e.value + off) }
}
/**
 * Limits of a test: what is expected, and never more than a rating or a promise allows, whatever was computed. Where all that is expected lies beyond that,
 * what is allowed is wanted.
 */
export const notBeyond = (most: () => number | undefined): Pick<Planned, 'allowed' | 'limits'> => ({
  allowed: () => {
    const max = most()
    return max === undefined ? undefined : { max }
  },
  limits: (e) => {
    const [limits, max] = [between(e), most()]
    if (max === undefined || limits.max <= max) return limits
    return { min: limits.min <= max ? limits.min : 0, max }
  },
})
/** At most what is expected, with its tolerance and the meter's. */
export const atMost = (e: Expected) => ({ min: 0, max: between(e).max })

/** A test with a prediction that is only computed when it is asked for. */
export const predicted = (
  saber: Saber,
  compute: (s: Saber) => Calculated,
  limits: NonNullable<Planned['limits']> | undefined,
  model = 0,
): Pick<Planned, 'predicts' | 'limits'> => ({
  predicts: () => expected(saber, compute, model),
  ...(limits ? { limits } : {}),
})

export const partRef = (p: FittedPart) => refTo('part', p.id)
/** The parts of some kinds. */
export const partsOf = (s: Saber, ...kinds: PartKind[]): Ref[] =>
  s.parts.filter((p) => kinds.includes(p.kind)).map(partRef)
/** Every lead of a use; one that nobody said a use of carries both. */
export const wiresOf = (s: Saber, carries?: 'power' | 'signal'): Ref[] =>
  s.parts.filter((p) => p.kind === 'wire' && (!carries || !p.carries || p.carries === carries)).map(partRef)
/** What carries the current from the cell to the board. */
export const supplyOf = (s: Saber): Ref[] => [
  ...partsOf(s, 'cell', 'board', 'auxBoard', 'killSwitch', 'killKey', 'chargePort'),
  ...wiresOf(s, 'power'),
]
