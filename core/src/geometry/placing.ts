import { known } from '../facts'
import { type FittedPart, kindRule, type Saber } from '../record'
import { bodyOf, faceOf, inWall, keepsOf, reachOf } from './cavity'
import { boreAt, type HiltShape, layOut, spanOf } from './hilt'
import { BESIDE_GAP, type Laid, lay, ON_AXIS, pairHeight } from './radial'

/** Where a part lies across the hilt. */
export type Lie = Laid

/** Which half of a cut along the axis something at a clock angle belongs to: 1 above the axis, −1 below. */
export const sideOf = (clock: number | undefined): 1 | -1 => (Math.cos(((clock ?? 0) * Math.PI) / 180) >= 0 ? 1 : -1)

/** Wall of the chassis round x, mm on one side; 0 where none is fitted. */
export function chassisWall(saber: Saber, x: number): number {
  const chassis = saber.parts.find((p) => {
    const s = p.kind === 'chassis' ? spanOf(p) : undefined
    return s && s.x0 < x + 0.01 && s.x1 > x
  })
  return known(chassis?.specs.wall) ?? 0
}

/** Radius free at x for what lies inside: bore less chassis wall and clearance, mm. 0 off the hilt. */
export const freeAt = (saber: Saber, x: number, shape: HiltShape = layOut(saber.hilt)): number =>
  (boreAt(shape, x) ?? 0) / 2 - chassisWall(saber, x) - (known(saber.hilt.clearance) ?? 0)

/**
 * The one rule by which a part lies, for the section, the cut and the drawing for CAD alike. It is rigid: one place over its
 * whole length, by the room at its middle and by all that reaches in over it (`lay`). What hangs in the wall does so at its
 * clock angle. What does not go in is drawn where it would lie without what keeps it out.
 */
export function lieOf(saber: Saber, p: FittedPart, shape: HiltShape = layOut(saber.hilt)): Lie {
  const { height, aside, turn } = placed(saber, p, shape)
  const plain = (v: number) => (Math.abs(v) < 1e-9 ? 0 : v)
  return { height: plain(height), aside: plain(aside), turn: plain(turn) }
}

/** `from`: what is being placed by this one; things that lie beside each other in a circle lie on nothing. */
function placed(saber: Saber, p: FittedPart, shape: HiltShape, from: readonly FittedPart[] = []): Lie {
  const span = spanOf(p)
  if (!span) return ON_AXIS
  if (inWall(p)) {
    const face = faceOf(p, shape) ?? 0
    return { height: face - (known(p.specs.height) ?? 0) / 2, aside: 0, turn: known(p.clock) ?? 0 }
  }
  const free = freeAt(saber, (span.x0 + span.x1) / 2, shape)
  const clearance = known(saber.hilt.clearance) ?? 0
  const reaches = keepsOf(saber, shape)
    .filter((k) => k.x0 < span.x1 && k.x1 > span.x0)
    .map((k) => reachOf(k, clearance))
  const body = bodyOf(p, saber)
  if (body?.kind === 'pair') {
    const under = saber.parts.find((q) => q.id === p.beside && q !== p && !from.includes(q))
    const cell =
      under && kindRule(under.kind).glyph === 'cell' && spanOf(under)
        ? placed(saber, under, shape, [...from, p])
        : undefined
    const height = cell?.height ?? pairHeight(body.d, [body], free, reaches)
    return { height: height + body.d / 2 + BESIDE_GAP + body.t / 2, aside: 0, turn: 0 }
  }
  const d = known(p.specs.diameter)
  const boards = saber.parts.flatMap((q) => {
    const [w, t] = [known(q.specs.width), known(q.specs.height)]
    return q.beside === p.id && w !== undefined && t !== undefined ? [{ w, t }] : []
  })
  if (d !== undefined && kindRule(p.kind).glyph === 'cell' && saber.parts.some((q) => q.beside === p.id))
    return { height: d / 2 > free ? 0 : pairHeight(d, boards, free, reaches), aside: 0, turn: 0 }
  // What lies in a chamber leaves it where it is.
  if (saber.parts.some((q) => q.beside === p.id)) return ON_AXIS
  return (body && (lay(body, free, reaches) ?? lay(body, Infinity, reaches))) || ON_AXIS
}
