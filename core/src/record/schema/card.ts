import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf } from '../../facts/fact'
import { idOf, ownId } from './ref'
import { Day, Hash, Hex, Line, list, noted, obj, oneOf, opt, Words } from './schema-kit'

/** Which card it is: the one in the saber, one beside it, the one that the client had. */
export const CARD_IS = ['shipped', 'spare', 'clients'] as const
/** How its files came to be known. */
const CARD_WAS = ['written', 'read'] as const

/** One file on a card: where it lies, how long it is, and its SHA-256. */
export const CardFile = obj({
  path: Line,
  bytes: T.Integer({ minimum: 0 }),
  sum: Hash,
})

const Count = T.Integer({ minimum: 0, maximum: 100_000 })
const Ms = T.Number({ minimum: 0, maximum: 600_000 })
/** What a board is set to, as a file of our own that stands on the card: no sources, no history, only what is set. */
export const Configuration = obj({
  saber: Line,
  board: opt(Line),
  firmware: opt(Line),
  /** Percent. */
  volume: opt(T.Number({ minimum: 0, maximum: 1000 })),
  brightness: opt(T.Number({ minimum: 0, maximum: 1000 })),
  /** Seconds. */
  sleepAfter: opt(T.Number({ minimum: 0 })),
  displayTimeout: opt(T.Number({ minimum: 0 })),
  thresholds: list(obj({ sense: Line, value: Line }), 24),
  pixels: list(obj({ light: Line, count: Count }), 48),
  presets: list(
    obj({
      name: Line,
      font: opt(Line),
      colour: opt(Hex),
      style: opt(Line),
      effects: T.Record(T.String({ pattern: '^[a-zA-Z]{1,24}$' }), Hex),
      extendMs: opt(Ms),
      retractMs: opt(Ms),
      tracks: list(Line, 60),
    }),
    60,
  ),
  map: list(obj({ mode: Line, when: Line, does: Line }), 1200),
})

/** What was on a card at a time. */
export const CardReading = obj({
  id: ownId('cardReading'),
  was: oneOf(CARD_WAS),
  on: Day,
  by: opt(Line),
  files: list(CardFile, 3000),
  /** Files that could not be read. */
  unreadable: list(Line, 300),
  configuration: opt(Configuration),
})

/** A memory card of a saber. */
export const Card = obj({
  id: ownId('card'),
  name: Words,
  is: oneOf(CARD_IS),
  /** The card as a part, where it is one of the saber’s own. */
  part: opt(idOf('part')),
  /** The least that a file takes on it, bytes. */
  cluster: opt(factOf('×')),
  /** When its files were last copied to a safe place. */
  copiedOn: opt(Day),
  /** What was changed on it after the build. */
  edits: list(obj({ id: ownId('cardEdit'), on: Day, by: opt(Line), what: Words }), 60),
  readings: list(CardReading, 12),
  ...noted,
})

export type CardFile = Static<typeof CardFile>
export type Configuration = Static<typeof Configuration>
export type CardReading = Static<typeof CardReading>
export type Card = Static<typeof Card>
