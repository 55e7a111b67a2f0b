import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { idOf, ownId, ref } from './ref'
import { Day, Line, list, Moment, obj, opt } from './schema-kit'

export const Reading = obj({
  id: ownId('reading'),
  at: Moment,
  by: Line,
  value: opt(T.Number()),
  text: opt(Line),
  pass: T.Boolean(),
  with: opt(Line),
})
export const Test = obj({
  id: ownId('test'),
  key: Line,
  what: Line,
  place: opt(ref()),
  unit: opt(Line),
  min: opt(T.Number()),
  max: opt(T.Number()),
  expect: opt(Line),
  readings: list(Reading, 400),
})
export const Fix = obj({
  id: ownId('fix'),
  on: Day,
  cause: Line,
  fix: Line,
  place: opt(ref()),
  retest: list(idOf('test'), 40),
})

export type Reading = Static<typeof Reading>
export type Test = Static<typeof Test>
export type Fix = Static<typeof Fix>
