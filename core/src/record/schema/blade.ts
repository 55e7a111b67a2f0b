import type { Static } from '@sinclair/typebox'
import { factOf } from '../../facts/fact'
import { SUPPLIED } from './part'
import { idOf, ownId } from './ref'
import { noted, obj, oneOf, opt, Words } from './schema-kit'

export const BLADE_USES = ['ship', 'demo', 'toBuy'] as const
export const BLADE_KINDS = ['pixel', 'string', 'inHilt', 'plug'] as const
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
  diffusion: opt(Words),
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
  follows: opt(idOf('zone')),
  blade: opt(idOf('blade')),
  part: opt(idOf('part')),
  ...noted,
})

export type Blade = Static<typeof Blade>
export type Zone = Static<typeof Zone>
