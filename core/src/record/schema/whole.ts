import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf, textFactOf, wordsFactOf } from '../../facts/fact'
import { PartKindSchema, SUPPLIED } from './part'
import { ownId, ref } from './ref'
import { Day, Line, list, Money, noted, obj, oneOf, opt, Prose, Words } from './schema-kit'

export const SENSES = ['swing', 'clash', 'twist', 'thrust', 'shake', 'tilt', 'tap'] as const
/** With what in the socket a value was tried: it is another one with a blade than with a plug. */
export const TRIED_WITH = ['plug', 'blade'] as const

/** What the board is set to, beside sounds and controls. */
export const Settings = obj({
  sensitivities: list(
    obj({
      id: ownId('setting'),
      sense: oneOf(SENSES),
      value: wordsFactOf(80),
      triedWith: list(oneOf(TRIED_WITH), 2),
      ...noted,
    }),
    24,
  ),
  sleepAfter: opt(factOf('s')),
  displayTimeout: opt(factOf('s')),
  /** How the picture stands to the switch line. */
  displayAngle: opt(factOf('deg')),
  volumeSteps: opt(factOf('×')),
  /** The words with which the display greets, and what picture it shows then. */
  greeting: opt(Line),
  picture: opt(Words),
  /** A wireless link: what it is called on a phone, and the code it asks for. */
  link: opt(obj({ name: opt(Line), code: opt(textFactOf(80)), program: opt(Line) })),
})

export const NotFor = obj({ id: ownId('limit'), what: Words, why: Words })

export const WAS_KINDS = ['port', 'feature'] as const
/** Something an older saber could do; where it goes, what takes its place. */
export const Was = obj({
  id: ownId('ability'),
  what: Words,
  kind: oneOf(WAS_KINDS),
  stays: T.Boolean(),
  insteadBy: opt(Words),
  ...noted,
})

/** Whose hands it went through before, and what they did to it as far as that is known. */
export const Owner = obj({
  id: ownId('owner'),
  who: Line,
  /** It was who gets it now. */
  client: opt(T.Boolean()),
  when: opt(Words),
  did: opt(wordsFactOf(400)),
  ...noted,
})

export const LOSS_KINDS = ['spoilt', 'remade', 'replaced'] as const
/** A part that was spoilt, made again or replaced. */
export const Loss = obj({
  id: ownId('loss'),
  on: Day,
  what: Words,
  about: opt(ref()),
  how: oneOf(LOSS_KINDS),
  cause: Words,
  maker: opt(Line),
  cost: opt(Money),
  toldOn: opt(Day),
  ...noted,
})

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
  done: T.Boolean(),
  doneOn: opt(Day),
  doneBy: opt(Line),
  ...noted,
})

/** The shop's words on how long it stands behind the work, and what ends that. */
export const Warranty = obj({ words: Prose, ends: opt(Prose) })

export type Settings = Static<typeof Settings>
export type Item = Static<typeof Item>
export type ToDo = Static<typeof ToDo>
export type Owner = Static<typeof Owner>
export type Loss = Static<typeof Loss>
export type Was = Static<typeof Was>
