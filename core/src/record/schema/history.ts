import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { wordsFactOf } from '../../facts/fact'
import { ownId, ref } from './ref'
import { Day, Money, noted, obj, oneOf, opt, Who, Words } from './schema-kit'

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
  who: Who,
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
  maker: opt(Who),
  cost: opt(Money),
  toldOn: opt(Day),
  ...noted,
})

export type Owner = Static<typeof Owner>
export type Loss = Static<typeof Loss>
export type Was = Static<typeof Was>
