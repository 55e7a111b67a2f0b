import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { wordsFactOf } from '../../facts/fact'
import { idOf, ownId, ref } from './ref'
import { Day, Line, list, Mark, Moment, Money, noted, obj, oneOf, opt, Words } from './schema-kit'

/** How the saber is put together for a test. */
export const SETUPS = ['any', 'plug', 'blade', 'opened'] as const

export const Reading = obj({
  id: ownId('reading'),
  at: Moment,
  by: Line,
  value: opt(T.Number()),
  text: opt(Words),
  pass: T.Boolean(),
  with: opt(Line),
  /** What it rested on when it was taken: each thing with a mark of what it was then. */
  rested: opt(list(obj({ of: ref(), was: Mark }), 60)),
})
export const Test = obj({
  id: ownId('test'),
  key: Line,
  what: Words,
  place: opt(ref()),
  unit: opt(Line),
  min: opt(T.Number()),
  max: opt(T.Number()),
  expect: opt(Words),
  setup: opt(oneOf(SETUPS)),
  /** Why it cannot be tried here. */
  notPossible: opt(Words),
  /** Who let it be, and why; it is printed. */
  waived: opt(obj({ who: Line, on: Day, why: Words })),
  readings: list(Reading, 400),
  ...noted,
})
export const Repair = obj({
  id: ownId('repair'),
  on: Day,
  /** The moment from which it is mended, where it is known: what was measured later that day counts. */
  at: opt(Moment),
  /** As it was reported, before anybody looked. */
  fault: opt(wordsFactOf()),
  reportedOn: opt(Day),
  cause: Words,
  fix: Words,
  /** How often it was opened and closed, or put to use, to prove it. */
  cycles: opt(T.Integer({ minimum: 0, maximum: 100_000 })),
  charge: opt(Money),
  place: opt(ref()),
  retest: list(idOf('test'), 40),
  ...noted,
})

export type Reading = Static<typeof Reading>
export type Test = Static<typeof Test>
export type Repair = Static<typeof Repair>
