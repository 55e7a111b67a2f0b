import type { Ref } from '../record'

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
  /** What the check says of the matter; `failed` when it could not be judged at all. */
  code: string
  level: Level
  station: Station
  saber?: string
  /** The numbers and names behind the words. */
  params: object
  title: string
  detail: string
  remedy: string
  refs: Ref[]
  /** The field of the first of them in which it is put right, and the station or desk where that is, where it is not here. */
  field?: string
  at?: string
  /** True when it stands against shipping even though it is no stop. */
  gate: boolean
}
