import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { Act } from './machine'
import { ownId, ref } from './ref'
import { Consent, Line, list, obj, oneOf, opt } from './schema-kit'

export const TASKS = [
  'powerOn',
  'powerOff',
  'bladeIn',
  'bladeOut',
  'open',
  'cellIn',
  'cellOut',
  'close',
  'charge',
  'card',
] as const
export type Task = (typeof TASKS)[number]
export const DIRECTIONS = ['clockwise', 'anticlockwise', 'pull', 'push', 'lift', 'slide', 'none'] as const

export const Step = obj({
  id: ownId('step'),
  text: Line,
  /** What is done, as the machine carries it out; a step without one is only words, and nothing checks it. */
  act: opt(Act),
  /** The words are the maker's own, not made from the act. */
  ownWords: opt(T.Boolean()),
  place: opt(ref()),
  tool: opt(Line),
  direction: oneOf(DIRECTIONS),
  turns: opt(T.Number({ minimum: 0 })),
  caution: opt(Line),
  irreversible: opt(T.Boolean()),
  /** Who agreed to what cannot be undone, and when. */
  consent: opt(Consent),
})
/** The steps of one task that the client will do alone. */
export const Procedure = obj({ id: ownId('task'), task: oneOf(TASKS), steps: list(Step, 60) })

export type Step = Static<typeof Step>
export type Procedure = Static<typeof Procedure>
