import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { colourFactOf, factOf, known } from '../../facts/fact'
import { STYLE_KINDS } from '../../light'
import { idOf, ownId } from './ref'
import { Line, list, noted, obj, oneOf, opt, Who, Words } from './schema-kit'

/** Whether something is set up, has been shown, is in doubt. */
export const STATUSES = ['configured', 'shown', 'unsure'] as const
/** Looks that are no blade colour to be told from others: a battery gauge, a show of colours, one that varies between colours. */
export const LOOKS = ['battery', 'party', 'varies'] as const

/** What happens to a light, in the order in which it is gone through. */
export const LIGHT_EVENTS = [
  'preIgnition',
  'ignite',
  'clash',
  'lock',
  'drag',
  'melt',
  'deflect',
  'surge',
  'retract',
] as const
export type LightEvent = (typeof LIGHT_EVENTS)[number]
/** What an event looks like where it has no colour of its own: as the board does it, not at all, or another way each time. */
export const EVENT_IS = ['boardDefault', 'notThere', 'varies'] as const

/** How a light moves: one of our ways, with its figures where they differ from the usual ones. */
export const Moves = obj({
  is: oneOf(STYLE_KINDS),
  /** The colour that it goes over into. */
  second: opt(colourFactOf()),
  rate: opt(factOf('Hz')),
  depth: opt(factOf('%')),
  /** How much of the length one spot, wave or tongue takes. */
  width: opt(factOf('%')),
})
/** How an event looks: the colour that was asked for and the one that is set, how it moves, or what it is instead. */
export const EventLook = obj({
  colour: opt(colourFactOf()),
  asked: opt(colourFactOf()),
  is: opt(oneOf(EVENT_IS)),
  moves: opt(Moves),
})
/** How one light of the saber looks in a preset, where it is not as its leader. */
export const LightLook = obj({
  id: ownId('lightLook'),
  zone: idOf('zone'),
  colour: opt(colourFactOf()),
  moves: opt(Moves),
})

export const Preset = obj({
  id: ownId('preset'),
  name: Line,
  /** The font that it plays. */
  font: opt(idOf('font')),
  /** What the board calls its style. */
  style: opt(Words),
  /** How the blade moves while it only shines. */
  moves: opt(Moves),
  /** Present only for a look that is not a blade colour. */
  look: opt(oneOf(LOOKS)),
  colour: colourFactOf(),
  /** The colour that the client asked for. */
  asked: opt(colourFactOf()),
  /** Looks of single events on top of the base. */
  effects: opt(
    obj({
      preIgnition: opt(EventLook),
      ignite: opt(EventLook),
      clash: opt(EventLook),
      lock: opt(EventLook),
      drag: opt(EventLook),
      melt: opt(EventLook),
      deflect: opt(EventLook),
      surge: opt(EventLook),
      retract: opt(EventLook),
    }),
  ),
  /** The lights beside the blade. */
  lights: list(LightLook, 24),
  flickerHz: opt(factOf('Hz')),
  extendMs: opt(factOf('ms')),
  retractMs: opt(factOf('ms')),
  /** Why the blade comes and goes at other times than its sounds. */
  timesWhy: opt(Words),
  /** The tracks that it plays beside those of its own font, in their order. */
  tracks: list(idOf('sound'), 60),
  /** What its display shows. */
  picture: opt(Words),
  askedBy: opt(Who),
  /** Why it is there, in words for the client, and in words for the shop. */
  why: opt(Words),
  shopWhy: opt(Line),
  /** What is otherwise in it than in the others. */
  exceptions: opt(Words),
  /** One of those that the client likes best. */
  favourite: opt(T.Boolean()),
  /** The blade that it takes to be seen as it is; the least lit length, a lit tip, a plug. */
  needs: opt(idOf('blade')),
  needsLength: opt(factOf('mm')),
  needsTip: opt(T.Boolean()),
  needsPlug: opt(T.Boolean()),
  status: oneOf(STATUSES),
  ...noted,
})

export type Moves = Static<typeof Moves>
export type EventLook = Static<typeof EventLook>
export type LightLook = Static<typeof LightLook>
export type Preset = Static<typeof Preset>

export const WHITE = '#ffffff'
/** A preset's colour; white, which draws the most, while nobody has said one. */
export const colourOf = (p: Preset): string => known(p.colour) ?? WHITE
/** The events that have a colour of their own, with it, in their order. */
export const effectColours = (p: Preset): [LightEvent, string][] =>
  LIGHT_EVENTS.flatMap((e) => {
    const hex = known(p.effects?.[e]?.colour)
    return hex ? [[e, hex] as [LightEvent, string]] : []
  })
