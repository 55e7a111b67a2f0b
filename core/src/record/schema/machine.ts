import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf } from '../../facts/fact'
import { CLIENT_MAY } from './hilt'
import { POLES } from './part'
import { idOf, ownId, ref } from './ref'
import { list, noted, obj, oneOf, opt, Words } from './schema-kit'

/** How a body leaves its place; the way back is the same the other way round. What is only turned stays on, and shows or frees what it covered. */
export const HOWS = ['unscrew', 'pull', 'pressPull', 'turnPull', 'slide', 'lift', 'turn'] as const
/** Where it goes: along the hilt, or out of its side. */
export const TOWARDS = ['pommel', 'emitter', 'aside'] as const
/** Who may open a joint. */
export const MAY_OPEN = ['client', 'maker', 'nobody'] as const
/** What opening does by itself: *nothing* is an answer, blank is not. */
export const BY_ITSELF = ['nothing', 'wakes', 'cutsPower', 'showsDisplay'] as const
/** The verbs of hands on a saber. */
export const VERBS = [
  ...(['loosen', 'remove', 'tighten', 'takeOff', 'putOn', 'cut', 'restore'] as const),
  ...(['plugIn', 'unplug', 'pullCheck'] as const),
] as const

const screws = CLIENT_MAY.filter((m) => m !== 'never')

/** What the maker says of a joint that the drawing alone does not tell: it stands before what is drafted. */
export const Joint = obj({
  id: ownId('correction'),
  /** What comes off. */
  body: ref('section', 'part', 'blade', 'socket'),
  how: opt(oneOf(HOWS)),
  towards: opt(oneOf(TOWARDS)),
  hand: opt(oneOf(['right', 'left'] as const)),
  turns: opt(factOf('×')),
  /** The screws that hold it, instead of those that stand nearest; none at all is an answer. */
  held: opt(list(obj({ screw: idOf('fastener'), by: oneOf(screws) }), 8)),
  /** What must be off before. */
  after: opt(list(ref('section', 'part', 'blade', 'socket'), 12)),
  who: opt(oneOf(MAY_OPEN)),
  /** It is touched only while the board is dead. */
  dark: opt(T.Boolean()),
  /** It hangs on wires. */
  tethered: opt(T.Boolean()),
  byItself: opt(oneOf(BY_ITSELF)),
  /** The one clock angle at which it goes in. */
  angle: opt(factOf('deg')),
  landmark: opt(Words),
  /** What is hurt when it is done wrong, and what is felt when it is right. */
  hurts: opt(Words),
  feels: opt(Words),
  ...noted,
})

/** One act of a hand: the verb, and the thing it is done to; a socket stands for the blade that nobody has recorded. */
export const Act = obj({
  do: oneOf(VERBS),
  at: ref('section', 'part', 'blade', 'socket', 'fastener'),
  how: opt(oneOf(HOWS)),
  towards: opt(oneOf(TOWARDS)),
  /** Of a cell that goes in: the pole that goes first. */
  leads: opt(oneOf(POLES)),
})

export type Joint = Static<typeof Joint>
export type Act = Static<typeof Act>
export type How = (typeof HOWS)[number]
export type Towards = (typeof TOWARDS)[number]
