import type { FactPlace } from '../record/facts'
import type { Commission, Saber } from '../record/schema'

export const STATIONS = [
  'brief',
  'hilt',
  'fit',
  'power',
  'voice',
  'controls',
  'access',
  'proof',
  'walkthrough',
  'handoff',
] as const
export type Station = (typeof STATIONS)[number]
export type Level = 'stop' | 'caution' | 'note'

/** One judgement: the rule that made it, its numbers, the places it concerns and what would resolve it. */
export interface Finding {
  /** Stable for the same matter, so that it can be set aside by name. */
  key: string
  check: string
  level: Level
  station: Station
  saber?: string
  title: string
  detail: string
  remedy: string
  refs: string[]
  /** True when it stands against shipping even though it is no stop. */
  gate: boolean
}

export interface Context {
  commission: Commission
  saber: Saber
  /** Today, ISO date; brought by the caller since the core has no clock. */
  today: string
  /** Every fact of the saber, in the order of the record. */
  facts: FactPlace[]
}

/** What a check says about one matter. `subject` tells matters of one check apart. */
export interface Raised {
  subject: string
  level: Level
  title: string
  detail: string
  remedy: string
  refs?: string[]
  gate?: boolean
}

/** A pure judgement over the record. `scope: 'order'` runs once for a commission, with its first saber. */
export interface Check {
  id: string
  station: Station
  scope: 'saber' | 'order'
  /** The rule in words, and where it comes from. */
  rule: string
  source: string
  run: (ctx: Context) => Raised[]
}
