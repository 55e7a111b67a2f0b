import { type Calculated, known } from '../facts'
import { type DieColour, USUAL_DIES } from '../light'
import { ledsOf, pixels } from '../power'
import { type Blade, byId, leadersOf, type Ref, refTo, type Saber, type Zone } from '../record'

/** One light of a saber: a blade, or a run of LEDs of its own. */
export interface Lamp {
  ref: Ref<'blade' | 'zone'>
  name: string
  kind: Zone['kind']
  leds: Calculated
  /** What its pixels are made of, and whether that is recorded. */
  dies: readonly DieColour[]
  diesKnown: boolean
  /** What it is seen through: a tinted tube, a jewel. */
  tint: { what: string; colour: string } | undefined
  /** As which other one it shines; undefined where it has a light of its own, or nobody has said. */
  leader: Ref<'blade' | 'zone'> | undefined
  /** Whether it has a light of its own; undefined where nobody has said. */
  own: boolean | undefined
  /** How wide the light of one LED lies, mm; undefined where nobody has said. */
  spreads: number | undefined
}

/** Whether a light would follow itself, if it followed that one. */
export const wouldRing = (saber: Saber, z: Zone, leader: Zone): boolean => leadersOf(saber, leader).includes(z)

/** What a light follows: a blade or another light; undefined where it follows none. One that says it shines by itself follows none. */
export function leaderOf(z: Zone): Ref<'blade' | 'zone'> | undefined {
  if (known(z.shines) === 'byItself') return undefined
  return z.follows ? refTo('zone', z.follows) : z.blade ? refTo('blade', z.blade) : undefined
}

const bladeLamp = (saber: Saber, b: Blade): Lamp => {
  const tint = known(b.tint)
  return {
    ...{ ref: refTo('blade', b.id), name: b.name, kind: 'blade', leds: pixels(saber, b) },
    ...{ dies: b.dies?.length ? b.dies : USUAL_DIES, diesKnown: (b.dies?.length ?? 0) > 0 },
    tint: tint === undefined ? undefined : { what: b.name, colour: tint },
    ...{ leader: undefined, own: true, spreads: known(b.spreads) },
  }
}
/** What a light of the hilt is seen through: what is said to be before it, else the window that it lies behind; its colour where that is known. */
export function beforeLight(saber: Saber, z: Zone): { what: string; colour: string | undefined } | undefined {
  const own = known(z.through?.colour)
  const opening = byId(saber.hilt.openings, z.behind)
  if (z.through && (own !== undefined || opening?.tint === undefined)) return { what: z.through.what, colour: own }
  return opening && { what: opening.name, colour: opening.tint }
}

const zoneLamp = (saber: Saber, z: Zone): Lamp => {
  const before = beforeLight(saber, z)
  const leader = leaderOf(z)
  return {
    ...{ ref: refTo('zone', z.id), name: z.name, kind: z.kind, leds: ledsOf(saber, z) },
    ...{ dies: z.dies?.length ? z.dies : USUAL_DIES, diesKnown: (z.dies?.length ?? 0) > 0 },
    tint: before?.colour === undefined ? undefined : { what: before.what, colour: before.colour },
    ...{ leader, own: leader ? false : known(z.shines) === 'byItself' ? true : undefined, spreads: undefined },
  }
}

/** Every light of a saber: the blades that shine, then the lights of the hilt; a light that is a blade's own run is that blade. */
export const lampsOf = (saber: Saber): Lamp[] => [
  ...saber.blades.filter((b) => b.kind !== 'plug').map((b) => bladeLamp(saber, b)),
  ...saber.zones.filter((z) => !z.blade).map((z) => zoneLamp(saber, z)),
]
