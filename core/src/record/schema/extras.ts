import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { PartKindSchema, SUPPLIED } from './part'
import { ownId, ref } from './ref'
import { Day, Line, noted, obj, oneOf, opt, Prose, Words } from './schema-kit'
import { Cures, Hours, WaitsFor, WORK_KINDS } from './work'

export const ITEM_ROLES = ['accessory', 'alternative', 'spare'] as const
/** Something that belongs to a saber and is not built in: a charger, a second pommel, a spare screw. */
export const Item = obj({
  id: ownId('item'),
  what: Words,
  role: oneOf(ITEM_ROLES),
  kind: opt(PartKindSchema),
  /** What it goes with, or what it stands in for. */
  of: opt(ref()),
  quantity: T.Integer({ minimum: 1, maximum: 999 }),
  supplied: oneOf(SUPPLIED),
  /** What has to be asked for where the client buys it. */
  type: opt(Words),
  size: opt(Words),
  protected: opt(T.Boolean()),
  /** Where it is to be had. */
  from: opt(Words),
  /** An alternative that is seen in the film. */
  shown: opt(T.Boolean()),
  ...noted,
})

export const TODO_WHO = ['shop', 'client'] as const
export const TODO_BLOCKS = ['filming', 'shipping'] as const
/** Work that is left, on anything. */
export const ToDo = obj({
  id: ownId('toDo'),
  text: Words,
  about: opt(ref()),
  who: oneOf(TODO_WHO),
  person: opt(Line),
  due: opt(Day),
  blocks: opt(oneOf(TODO_BLOCKS)),
  /** Promised to the client, who is told that it is still owed. */
  promised: opt(T.Boolean()),
  /** How long it takes, and whose kind of work it is. */
  hours: opt(Hours),
  kind: opt(oneOf(WORK_KINDS)),
  /** What it waits for. */
  after: opt(WaitsFor),
  cures: opt(Cures),
  done: T.Boolean(),
  doneOn: opt(Day),
  doneBy: opt(Line),
  ...noted,
})

/** The shop's words on how long it stands behind the work, and what ends that. */
export const Warranty = obj({ words: Prose, ends: opt(Prose) })

export type Item = Static<typeof Item>
export type ToDo = Static<typeof ToDo>
