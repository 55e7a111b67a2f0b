import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { choiceFactOf, colourFactOf, factOf } from '../../facts/fact'
import { DIES } from '../../light'
import { SUPPLIED } from './part'
import { idOf, ownId } from './ref'
import { list, noted, obj, oneOf, opt, Words } from './schema-kit'

export const BLADE_USES = ['ship', 'demo', 'toBuy'] as const
export const BLADE_KINDS = ['pixel', 'string', 'inHilt', 'plug'] as const
/** Whether a light shines by itself, or as another does. */
export const SHINES = ['byItself', 'withAnother'] as const
/** What its pixels are made of; red, green and blue where nothing is said. */
const PixelDies = list(oneOf(DIES), 6)
export const ZONE_KINDS = ['blade', 'quillon', 'crystal', 'chassis', 'accent', 'connector', 'button'] as const

export const Blade = obj({
  id: ownId('blade'),
  name: Words,
  socket: idOf('socket'),
  use: oneOf(BLADE_USES),
  kind: oneOf(BLADE_KINDS),
  outside: factOf('mm'),
  wall: factOf('mm'),
  length: factOf('mm'),
  strips: factOf('×'),
  density: factOf('1/m'),
  channelCurrent: factOf('mA'),
  idleCurrent: factOf('mA'),
  /** Of one metre of one strip, supply and return together. */
  stripResistance: opt(factOf('mΩ')),
  mass: opt(factOf('g')),
  /** A string blade: segments lit one after the other, the LEDs in each, what each draws, and the total as stated. */
  groups: opt(factOf('×')),
  ledsPerGroup: opt(factOf('×')),
  ledsTotal: opt(factOf('×')),
  groupCurrent: opt(factOf('mA')),
  forwardVolts: opt(factOf('V')),
  tip: opt(Words),
  /** The tip is lit, as the tube is. */
  litTip: opt(T.Boolean()),
  diffusion: opt(Words),
  /** How wide on the tube the light of one LED lies. */
  spreads: opt(factOf('mm')),
  /** What the tube lets through of white light, as a colour; absent where it is clear or white. */
  tint: opt(colourFactOf()),
  dies: opt(PixelDies),
  /** How many pixels the board is set to for it. */
  configured: opt(factOf('×')),
  supplied: opt(oneOf(SUPPLIED)),
  /** A sleeve between the tube and a wider socket. */
  adapter: opt(
    obj({
      name: Words,
      outside: factOf('mm'),
      bore: factOf('mm'),
      /** How far it reaches into the socket, where that is less than the socket is deep. */
      length: opt(factOf('mm')),
      supplied: opt(oneOf(SUPPLIED)),
    }),
  ),
  ...noted,
})

/** An independently addressed run of LEDs. */
export const Zone = obj({
  id: ownId('zone'),
  name: Words,
  kind: oneOf(ZONE_KINDS),
  leds: factOf('×'),
  channelCurrent: factOf('mA'),
  idleCurrent: factOf('mA'),
  /** Whether it has a light of its own; what it follows stands below. */
  shines: opt(choiceFactOf(SHINES)),
  follows: opt(idOf('zone')),
  blade: opt(idOf('blade')),
  part: opt(idOf('part')),
  dies: opt(PixelDies),
  /** What is seen of it, it is seen through: a jewel, a window, a sleeve. */
  through: opt(obj({ what: Words, colour: colourFactOf() })),
  /** The window of the hilt that it lies behind, whose tint counts where nothing else is before it. */
  behind: opt(idOf('opening')),
  ...noted,
})

export type Blade = Static<typeof Blade>
export type Zone = Static<typeof Zone>
