import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { LANGUAGES } from '../../units'
import { GENDERS } from '../../words'
import { TASKS } from './access'
import { idOf, ownId, ref } from './ref'
import { Day, Line, list, Mark, Moment, obj, oneOf, opt, Text, Words } from './schema-kit'

/** Schools of telling. */
export const ORDERS = ['pommelUp', 'outsideIn', 'operateFirst', 'build'] as const

/** What a listener brings that changes what is told: how well the saber is known, and what it is for. */
export const READERS = ['beginner', 'returning', 'neverHeld', 'reprograms', 'duels', 'collects'] as const
export const LENGTHS = ['full', 'short'] as const
export const Telling = obj({
  length: oneOf(LENGTHS),
  /** How long it may take at the most. */
  target: opt(T.Integer({ minimum: 30, maximum: 7200 })),
  readers: list(oneOf(READERS), 6),
  /** For one who has had another: what is different from that. */
  differs: list(Words, 12),
})
/** A name for speaking, in one language, with what its grammar asks for. */
export const SpokenName = obj({
  id: ownId('spokenName'),
  of: ref('section', 'fastener', 'opening', 'socket', 'part', 'blade', 'input'),
  language: oneOf(LANGUAGES),
  name: Line,
  gender: opt(oneOf(GENDERS)),
  several: opt(T.Boolean()),
})

/** What is not spoken: it is read on paper, or seen on a picture. */
export const LEFT_TO = ['paper', 'picture'] as const
export const Beat = obj({
  id: ownId('beat'),
  say: Text,
  show: opt(ref()),
  /** A control carried out on camera, or a piece of a procedure. */
  perform: opt(ref('row')),
  task: opt(oneOf(TASKS)),
  /** How often it is done one after the other; once where nothing is said. */
  times: opt(T.Integer({ minimum: 1, maximum: 60 })),
  doText: opt(Line),
  expect: opt(Line),
  seconds: T.Number({ minimum: 1, maximum: 600 }),
  /** It is not spoken, but left to what the client reads or sees. */
  leftTo: opt(oneOf(LEFT_TO)),
  /** Keys of the topics it tells. */
  covers: list(Line, 80),
  by: oneOf(['composed', 'edited', 'own'] as const),
})
/** What was noticed while it was filmed: to be cut, told again, or a new thing that was said and has to be settled. */
export const SLIP_KINDS = ['slip', 'retake', 'saidNew'] as const
export const Take = obj({
  id: ownId('take'),
  at: Moment,
  by: opt(Line),
  /** When each beat began, and what was told in it. */
  marks: list(obj({ beat: idOf('beat'), atMs: T.Integer({ minimum: 0 }), was: opt(Mark) }), 400),
  slips: opt(
    list(
      obj({
        id: ownId('slip'),
        kind: oneOf(SLIP_KINDS),
        beat: idOf('beat'),
        atMs: T.Integer({ minimum: 0 }),
        text: opt(Line),
        /** Cut out, told again, or settled in the record. */
        done: opt(T.Boolean()),
      }),
      200,
    ),
  ),
  /** When it ended. */
  endMs: opt(T.Integer({ minimum: 0 })),
})
/** A gap knowingly left open: who, why, when. */
export const Waiver = obj({
  key: Line,
  who: Line,
  reason: T.String({ minLength: 3, maxLength: 400, 'x-words': true }),
  on: Day,
})

export type Beat = Static<typeof Beat>
export type Telling = Static<typeof Telling>
export type SpokenName = Static<typeof SpokenName>
export type Take = Static<typeof Take>
export type Waiver = Static<typeof Waiver>
