import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { idOf, ownId, ref } from './ref'
import { Day, Line, list, Moment, obj, oneOf, opt, Text } from './schema-kit'

/** Schools of telling. */
export const ORDERS = ['pommelUp', 'outsideIn', 'operateFirst', 'build'] as const

export const Beat = obj({
  id: ownId('beat'),
  say: Text,
  show: opt(ref()),
  /** A control or a task carried out on camera. */
  perform: opt(ref('row', 'task')),
  /** How often it is done one after the other; once where nothing is said. */
  times: opt(T.Integer({ minimum: 1, maximum: 60 })),
  doText: opt(Line),
  expect: opt(Line),
  seconds: T.Number({ minimum: 1, maximum: 600 }),
  /** Keys of the topics it tells. */
  covers: list(Line, 80),
  by: oneOf(['composed', 'edited', 'own'] as const),
})
export const Take = obj({
  id: ownId('take'),
  at: Moment,
  by: opt(Line),
  marks: list(obj({ beat: idOf('beat'), atMs: T.Integer({ minimum: 0 }) }), 400),
})
/** A gap knowingly left open: who, why, when. */
export const Waiver = obj({ key: Line, who: Line, reason: T.String({ minLength: 3, maxLength: 400 }), on: Day })

export type Beat = Static<typeof Beat>
export type Take = Static<typeof Take>
export type Waiver = Static<typeof Waiver>
