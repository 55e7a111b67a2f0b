import { known } from '../facts'
import { difference, drive, hexOf, lightOf, through } from '../light'
import { byId, type LightEvent, lightIn, type Preset, partsOfRef, type Saber } from '../record'
import type { Lamp } from './lamps'

/** A colour that a light shows: as it is set, and as it is seen through what is before it. */
export interface Shown {
  set: string
  seen: string
  /** How much of its light gets through, 0…1. */
  share: number
}

/** What a light is set to in a preset, while it only shines or in an event; undefined where nobody has said. */
export function setTo(saber: Saber, p: Preset, lamp: Lamp, event?: LightEvent): string | undefined {
  const at = partsOfRef(lamp.ref)!
  if (at.kind === 'blade') return event ? known(p.effects?.[event]?.colour) : (known(p.colour) ?? undefined)
  const z = byId(saber.zones, at.id)
  if (!z) return undefined
  const { colour, blade } = lightIn(saber, p, z)
  return event ? (blade ? known(p.effects?.[event]?.colour) : undefined) : colour
}

/** A colour on a light, as it is seen of it. */
export function shownOn(lamp: Lamp, hex: string): Shown {
  if (!lamp.tint) return { set: hex, seen: hex, share: 1 }
  const { hex: seen, share } = through(hex, lamp.tint.colour, lamp.dies)
  return { set: hex, seen, share }
}

/** How an event stands against the colour that it comes over. */
export interface Against {
  event: LightEvent
  set: string
  base: string
  /** What is seen of the two. */
  seen: string
  baseSeen: string
  /** Between those two, ΔE00. */
  apart: number
  /** The event is added to its base: the dies of one lamp light one tube. */
  mixed: boolean
}

/**
 * How every event of a preset that has a colour stands against its base on a light. Pixels show the event in place of the base; the
 * dies of a lamp under a hollow tube shine together, and what is seen is their sum.
 */
export function eventsOn(saber: Saber, p: Preset, lamp: Lamp, events: readonly LightEvent[]): Against[] {
  const base = setTo(saber, p, lamp)
  if (base === undefined) return []
  const at = partsOfRef(lamp.ref)!
  const mixed = at.kind === 'blade' && byId(saber.blades, at.id)?.kind === 'inHilt'
  return events.flatMap((event) => {
    const set = setTo(saber, p, lamp, event)
    if (set === undefined) return []
    const both = mixed ? sumOf(base, set, lamp) : set
    const [seen, baseSeen] = [shownOn(lamp, both).seen, shownOn(lamp, base).seen]
    return [{ event, set, base, seen, baseSeen, apart: difference(seen, baseSeen), mixed }]
  })
}
function sumOf(a: string, b: string, { dies }: Lamp): string {
  const [x, y] = [drive(a, dies), drive(b, dies)]
  const both = x.map((v, i) => Math.min(1, v + y[i]!))
  return hexOf(lightOf(both, dies))
}

/** How bright a colour is beside full white, by what the eye makes of it, 0…1 (relative luminance). */
export const brightnessOf = (hex: string): number => lightOf(drive(hex), ['red', 'green', 'blue'])[1]
