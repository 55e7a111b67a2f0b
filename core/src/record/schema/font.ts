import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf } from '../../facts/fact'
import { idOf, ownId } from './ref'
import { Hash, Line, list, Money, noted, obj, oneOf, opt, Who, Words } from './schema-kit'

/** What of a saber is heard, in the order in which a font is listened through. */
export const EVENTS = [
  'boot',
  'ignite',
  'hum',
  'swing',
  'clash',
  'lock',
  'drag',
  'melt',
  'deflect',
  'surge',
  'quote',
  'track',
  'retract',
  'lowBattery',
  'preIgnition',
  /** A line that a menu speaks, a chime of the board, and the beep that is counted while one holds. */
  'menuLine',
  'chime',
  'beep',
] as const
export type SoundEvent = (typeof EVENTS)[number]
/** The sounds of a character of saber; those of the board itself, whatever preset it plays; and music. */
export const FONT_KINDS = ['font', 'voicePack', 'musicBank'] as const

/** One sound: the event it is for, what it is called, and what was measured of its file as the board plays it. */
export const Sound = obj({
  id: ownId('sound'),
  event: oneOf(EVENTS),
  name: Line,
  media: opt(Hash),
  seconds: opt(T.Number({ minimum: 0 })),
  rate: opt(T.Integer({ minimum: 1000 })),
  channels: opt(T.Integer({ minimum: 1, maximum: 64 })),
  bits: opt(T.Integer({ minimum: 8, maximum: 64 })),
  /** Highest sample, dBFS; highest between samples, dBTP; mean of the squares, dBFS. */
  peakDb: opt(T.Number()),
  truePeakDb: opt(T.Number()),
  rmsDb: opt(T.Number()),
  /** Gated loudness and its range, of what is long enough to have them. */
  loudnessLufs: opt(T.Number()),
  loudnessRangeLu: opt(T.Number({ minimum: 0 })),
  /** Runs of samples at full scale. */
  clips: opt(T.Integer({ minimum: 0 })),
  /** Mean of the samples, full scale = 1. */
  dc: opt(T.Number({ minimum: -1, maximum: 1 })),
  /** Silence at its beginning and its end, s. */
  leadSilence: opt(T.Number({ minimum: 0 })),
  tailSilence: opt(T.Number({ minimum: 0 })),
  /** Where its end meets its beginning there is a click. */
  seamClicks: opt(T.Boolean()),
  /** When its energy begins to come, and when nine tenths of it have, s. */
  begins: opt(T.Number({ minimum: 0 })),
  arrives: opt(T.Number({ minimum: 0 })),
})

/** A set of sounds as it is on the card of a saber. */
export const Font = obj({
  id: ownId('font'),
  name: Line,
  is: oneOf(FONT_KINDS),
  author: opt(Who),
  /** Where the shop has it from. */
  from: opt(Line),
  /** On what terms it may be used; whether they let its sounds be copied onto the client’s page. */
  licence: opt(Words),
  mayCopy: opt(T.Boolean()),
  /** What it costs, where it is an extra, and the wish by which it is offered. */
  price: opt(Money),
  wish: opt(idOf('request')),
  /** What its sounds are made louder by on the card, so that it is as loud as the others. */
  gain: opt(factOf('dB')),
  /** Which font of the shop’s own library it was taken from. */
  library: opt(Line),
  sounds: list(Sound, 600),
  ...noted,
})

export type Sound = Static<typeof Sound>
export type Font = Static<typeof Font>
