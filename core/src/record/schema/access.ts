import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { Act } from './machine'
import { ownId, ref } from './ref'
import { Consent, Day, Line, list, obj, oneOf, opt, Words } from './schema-kit'

/** What somebody wants of a saber in hand: a way there, and back to closed where it was opened. */
export const GOALS = [
  ...(['powerOn', 'powerOff', 'bladeIn', 'bladeOut', 'plugIn', 'plugOut', 'cell', 'charge'] as const),
  ...(['card', 'port', 'show', 'reset', 'open', 'close', 'strip'] as const),
] as const
export type GoalKind = (typeof GOALS)[number]
/** The pieces in which procedures are told and filmed, each in one breath. */
export const TASKS = [
  ...(['powerOn', 'powerOff', 'bladeIn', 'bladeOut', 'open', 'cellOut', 'card', 'cellIn', 'close', 'charge'] as const),
  ...(['port', 'show'] as const),
] as const
export type Task = (typeof TASKS)[number]
export const DIRECTIONS = ['clockwise', 'anticlockwise', 'pull', 'push', 'lift', 'slide', 'none'] as const

/**
 * What the maker says of an act of a procedure: it hangs on what is done to which thing. Without an act it is one of his own,
 * and stands where it stands among the others.
 */
export const Step = obj({
  id: ownId('step'),
  /** What it is said of; a way or a pole in it is his, instead of the plan's. */
  act: opt(Act),
  /** In his own words; without any they are made from the act. */
  text: opt(Words),
  place: opt(ref()),
  tool: opt(Words),
  direction: opt(oneOf(DIRECTIONS)),
  turns: opt(T.Number({ minimum: 0 })),
  caution: opt(Words),
  /** How the right place or way round is recognised, and how one knows that it worked. */
  landmark: opt(Words),
  cue: opt(Words),
  /** Of an act of his own: it is on the way back, and what it changes. */
  back: opt(T.Boolean()),
  does: opt(list(Act, 8)),
  irreversible: opt(T.Boolean()),
  /** Who agreed to what cannot be undone, and when. */
  consent: opt(Consent),
})
/** Who looked through a procedure with the saber in hand, when, and which acts it had then. */
export const Looked = obj({ who: Line, on: Day, acts: list(T.String({ minLength: 1, maxLength: 160 }), 120) })
/** What is said of the way to one goal and back; the way itself is planned. */
export const Procedure = obj({
  id: ownId('task'),
  goal: oneOf(GOALS),
  /** The blade, cell, port or window it is about, where there can be several. */
  at: opt(ref('part', 'blade', 'socket', 'section')),
  steps: list(Step, 120),
  looked: opt(Looked),
})

export type Step = Static<typeof Step>
export type Looked = Static<typeof Looked>
export type Procedure = Static<typeof Procedure>
