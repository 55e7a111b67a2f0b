import type { Static } from '@sinclair/typebox'
import { factOf, textFactOf, wordsFactOf } from '../../facts/fact'
import { ownId } from './ref'
import { Line, list, noted, obj, oneOf, opt, Words } from './schema-kit'

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

export type Settings = Static<typeof Settings>
