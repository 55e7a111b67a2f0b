import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { idOf, ownId, ref } from './ref'
import { Day, Line, list, Moment, noted, obj, oneOf, opt, Text } from './schema-kit'

/** The kinds of work on a saber, in the order in which they are usual; those from `film` on are done once a commission. */
export const WORK_KINDS = [
  ...(['measure', 'bore', 'print', 'finish', 'wire', 'setUp', 'prove'] as const),
  ...(['film', 'write', 'pack'] as const),
] as const
/** Of the work that is done once for all of a commission. */
export const WORK_OF_ALL = ['film', 'write', 'pack'] as const satisfies readonly (typeof WORK_KINDS)[number][]

/** Hours of one person's work, guessed. */
export const Hours = T.Number({ minimum: 0, maximum: 200 })
/** Hours that pass by themselves afterwards: a varnish that cures. */
export const Cures = T.Number({ minimum: 0, maximum: 720 })
/** What something waits for beside what it waits for as usual. */
export const WaitsFor = list(ref('work', 'toDo', 'question', 'part'), 12)

/** What is said of a piece of work that follows from the record: how long, by whom, when, or that it is done or not needed. */
export const WorkItem = obj({
  id: ownId('work'),
  kind: oneOf(WORK_KINDS),
  saber: opt(idOf('saber')),
  hours: opt(Hours),
  /** The one who does it; whoever can where nobody is named. */
  person: opt(Line),
  after: opt(WaitsFor),
  cures: opt(Cures),
  /** The day for which it is set: it is not begun before. */
  on: opt(Day),
  /** Why it is not needed here. */
  leftOut: opt(Line),
  doneOn: opt(Day),
  doneBy: opt(Line),
  shopNote: noted.shopNote,
})

export const LOG_KINDS = ['work', 'delay', 'decision', 'order', 'arrived', 'told'] as const
export const DELAY_REASONS = ['part', 'answer', 'longer', 'spoilt', 'unwell', 'machine', 'power', 'other'] as const
/** A line of the shop's log: what happened, how long it took, and what was corrected. */
export const LogEntry = obj({
  id: ownId('entry'),
  on: Day,
  text: Text,
  kind: oneOf(LOG_KINDS),
  hours: opt(Hours),
  by: opt(Line),
  /** What the hours went into. */
  work: opt(oneOf(WORK_KINDS)),
  saber: opt(idOf('saber')),
  toDo: opt(idOf('toDo')),
  /** When it was begun, where the clock was running. */
  began: opt(Moment),
  /** Hours as they stood before somebody corrected them. */
  was: opt(list(obj({ hours: Hours, on: Day, by: Line }), 20)),
  /** Of a delay: why, and which promise gave way to which. */
  reason: opt(oneOf(DELAY_REASONS)),
  promised: opt(Day),
  newly: opt(Day),
})

export type WorkKind = (typeof WORK_KINDS)[number]
export type WorkItem = Static<typeof WorkItem>
export type LogEntry = Static<typeof LogEntry>
