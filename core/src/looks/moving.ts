import { known } from '../facts'
import {
  duties,
  flashesOf,
  isSaturatedRed,
  type Look,
  rgbOf,
  type Style,
  slowedBy,
  tintMatrix,
  USUAL_STYLE,
} from '../light'
import {
  byId,
  colourOf,
  LIGHT_EVENTS,
  type LightEvent,
  type Moves,
  type Preset,
  partsOfRef,
  refTo,
  type Saber,
} from '../record'
import type { Lamp } from './lamps'
import { setTo } from './seen'

/** How a light moves, with the usual figures where none are recorded. */
export function styleOf(m: Moves): Style {
  const usual = USUAL_STYLE[m.is]
  const share = (f: Moves['depth']) => {
    const v = known(f)
    return v === undefined ? undefined : Math.min(1, Math.max(0, v / 100))
  }
  const second = known(m.second)
  return {
    kind: m.is,
    ...(second === undefined ? {} : { second: rgbOf(second) }),
    ...{ hz: Math.max(0, known(m.rate) ?? usual.hz), depth: share(m.depth) ?? usual.depth },
    width: share(m.width) ?? usual.width,
  }
}

/** How a lamp looks in a preset while it only shines, as a picture of its LEDs takes it. */
export function lookOf(saber: Saber, p: Preset, lamp: Lamp | undefined): Omit<Look, 'extended' | 'effects'> {
  const at = lamp && partsOfRef(lamp.ref)
  const own = at?.kind === 'zone' ? p.lights.find((l) => l.zone === at.id) : undefined
  const moves = own ? own.moves : p.moves
  const style = moves && styleOf(moves)
  const slowed = slowedBy(Math.max(0, ...flashingOf(saber, p).map((f) => f.hz)))
  return {
    colour: rgbOf((lamp && setTo(saber, p, lamp)) ?? colourOf(p)),
    ...(style ? { moves: style } : {}),
    // Nothing of it is shown faster than is safe, whichever part of it flashes.
    ...(slowed < 1 ? { slowed } : {}),
    ...(lamp ? aroundOf(saber, lamp) : {}),
  }
}
/** What is around the LEDs of a lamp, as a picture of them takes it: its tint, and over how many of them the light of one spreads. */
export function aroundOf(saber: Saber, lamp: Lamp): Pick<Look, 'through' | 'spread'> {
  const pitch = pitchOf(saber, lamp)
  return {
    ...(lamp.tint ? { through: tintMatrix(lamp.tint.colour) } : {}),
    ...(lamp.spreads && pitch ? { spread: lamp.spreads / pitch } : {}),
  }
}
/** How far apart the LEDs of a blade lie, mm. */
function pitchOf(saber: Saber, lamp: Lamp): number | undefined {
  const density = known(saber.blades.find((b) => refTo('blade', b.id) === lamp.ref)?.density)
  return density ? 1000 / density : undefined
}

/** Something of a preset that flashes: how often, and whether red takes part. */
export interface Flashing {
  /** Undefined while it only shines. */
  event: LightEvent | undefined
  /** The light of the hilt, where it is not the blade. */
  light: string | undefined
  hz: number
  red: boolean
  /** Recorded as so many flashes; else by how it moves. */
  counted: boolean
}

/** All that flashes in a preset, by rate alone: what is counted for it, and what follows from how its lights move. */
export function flashingOf(saber: Saber, p: Preset): Flashing[] {
  const red = (...hexes: (string | undefined)[]) => hexes.some((h) => h !== undefined && isSaturatedRed(duties(h)))
  const base = known(p.colour)
  const moving = (event: LightEvent | undefined, light: string | undefined, m: Moves, colour: string | undefined) => {
    const hz = flashesOf(styleOf(m))
    return hz > 0 ? [{ event, light, hz, red: red(colour, known(m.second)), counted: false }] : []
  }
  const counted = known(p.flickerHz)
  return [
    ...(counted === undefined || counted <= 0
      ? []
      : [{ event: undefined, light: undefined, hz: counted, red: red(base), counted: true }]),
    ...(p.moves ? moving(undefined, undefined, p.moves, base) : []),
    ...LIGHT_EVENTS.flatMap((e) => {
      const look = p.effects?.[e]
      return look?.moves && !look.is ? moving(e, undefined, look.moves, known(look.colour) ?? base) : []
    }),
    ...p.lights.flatMap((l) =>
      l.moves ? moving(undefined, byId(saber.zones, l.zone)?.name, l.moves, known(l.colour) ?? base) : [],
    ),
  ]
}
