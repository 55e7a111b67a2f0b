import type { Static } from '@sinclair/typebox'
import { colourFactOf, factOf, known } from '../../facts/fact'
import { idOf, ownId } from './ref'
import { Line, list, noted, obj, oneOf, opt, Who, Words } from './schema-kit'

/** Whether something is set up, has been shown, is in doubt. */
export const STATUSES = ['configured', 'shown', 'unsure'] as const
/** Looks that are no blade colour to be told from others: a battery gauge, a show of colours, one that varies between colours. */
export const LOOKS = ['battery', 'party', 'varies'] as const

export const Preset = obj({
  id: ownId('preset'),
  name: Line,
  /** The font that it plays. */
  font: opt(idOf('font')),
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
  /** Why the blade comes and goes at other times than its sounds. */
  timesWhy: opt(Words),
  /** The tracks that it plays beside those of its own font, in their order. */
  tracks: list(idOf('sound'), 60),
  askedBy: opt(Who),
  why: opt(Words),
  /** The blade that it takes to be seen as it is. */
  needs: opt(idOf('blade')),
  status: oneOf(STATUSES),
  ...noted,
})

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
