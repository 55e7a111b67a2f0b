import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { colourFactOf, factOf, known } from '../../facts/fact'
import { idOf, ownId } from './ref'
import { Hash, Line, list, noted, obj, oneOf, opt, Who, Words } from './schema-kit'

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
] as const
/** Whether something is set up, has been shown, is in doubt. */
export const STATUSES = ['configured', 'shown', 'unsure'] as const
/** Looks that are no blade colour to be told from others: a battery gauge, a show of colours, one that varies between colours. */
export const LOOKS = ['battery', 'party', 'varies'] as const

export const Sound = obj({
  id: ownId('sound'),
  event: oneOf(EVENTS),
  name: Line,
  media: opt(Hash),
  seconds: opt(T.Number({ minimum: 0 })),
  rate: opt(T.Integer({ minimum: 1000 })),
  channels: opt(T.Integer({ minimum: 1, maximum: 8 })),
  bits: opt(T.Integer({ minimum: 8, maximum: 64 })),
  peakDb: opt(T.Number()),
  rmsDb: opt(T.Number()),
})

export const Preset = obj({
  id: ownId('preset'),
  name: Line,
  font: Line,
  /** The licence of its sounds lets them be copied onto the client's page. */
  mayCopy: opt(T.Boolean()),
  style: opt(Words),
  /** Present only for a look that is not a blade colour. */
  look: opt(oneOf(LOOKS)),
  colour: colourFactOf(),
  /** Colours of single effects on top of the base. */
  effects: opt(
    obj({
      clash: opt(colourFactOf()),
      lock: opt(colourFactOf()),
      deflect: opt(colourFactOf()),
      drag: opt(colourFactOf()),
      melt: opt(colourFactOf()),
      surge: opt(colourFactOf()),
    }),
  ),
  flickerHz: opt(factOf('Hz')),
  extendMs: opt(factOf('ms')),
  retractMs: opt(factOf('ms')),
  tracks: list(Line, 60),
  sounds: list(Sound, 200),
  askedBy: opt(Who),
  why: opt(Words),
  /** The blade that it takes to be seen as it is. */
  needs: opt(idOf('blade')),
  status: oneOf(STATUSES),
  ...noted,
})

export type Sound = Static<typeof Sound>
export type Preset = Static<typeof Preset>

export const WHITE = '#ffffff'
/** A preset's colour; white, which draws the most, while nobody has said one. */
export const colourOf = (p: Preset): string => known(p.colour) ?? WHITE
/** The effects that have a colour of their own, with it. */
export const effectColours = (p: Preset): [keyof NonNullable<Preset['effects']>, string][] =>
  Object.entries(p.effects ?? {}).flatMap(([k, f]) => {
    const hex = known(f)
    return hex ? [[k as keyof NonNullable<Preset['effects']>, hex]] : []
  })
