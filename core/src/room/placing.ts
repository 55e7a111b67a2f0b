import { known } from '../facts'
import { type FittedPart, kindRule, type Saber } from '../record'
import { DISPLAY_AIR, inWall, keepsOf } from './cavity'
import { boreAt, type HiltShape, layOut, outerAt, spanOf } from './hilt'
import { BESIDE_GAP } from './radial'

/** Where a part lies across the hilt. */
export interface Lie {
  /** Its middle above the axis, mm, towards 0° of the clock before it is turned. */
  height: number
  /** Turned about the axis, degrees clockwise; only what hangs in the wall is. */
  turn: number
}

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
 * The one rule by which a part lies, for the section, the cut and the drawing for CAD alike. It is rigid: one height over
 * its whole length, by the room at its middle. A cell that carries a board lies on the wall away from the switch line, the
 * board on the cell; a lone cell or chamber gives way to what reaches in, and no further; a flat thing lies under what
 * reaches in; all else is on the axis. What hangs in the wall does so at its clock angle.
 */
export function lieOf(saber: Saber, p: FittedPart, shape: HiltShape = layOut(saber.hilt)): Lie {
  const lie = placed(saber, p, shape)
  return Math.abs(lie.height) < 1e-9 ? { ...lie, height: 0 } : lie
}

function placed(saber: Saber, p: FittedPart, shape: HiltShape): Lie {
  const span = spanOf(p)
  const [d, h] = [known(p.specs.diameter), known(p.specs.height)]
  if (!span) return { height: 0, turn: 0 }
  const mid = (span.x0 + span.x1) / 2
  if (inWall(p)) {
    const top = p.kind === 'display' ? (boreAt(shape, mid) ?? 0) / 2 - DISPLAY_AIR : (outerAt(shape, mid) ?? 0) / 2
    return { height: top - (h ?? 0) / 2, turn: known(p.clock) ?? 0 }
  }
  const free = freeAt(saber, mid, shape)
  const over = keepsOf(saber, shape).filter((k) => k.x0 < span.x1 && k.x1 > span.x0)
  const reach = (side: 1 | -1) => over.reduce((m, k) => (sideOf(k.clock) === side ? Math.max(m, k.depth) : m), 0)
  if (d !== undefined) {
    const r = d / 2
    const room = Math.max(0, free - r)
    const glyph = kindRule(p.kind).glyph
    if (glyph !== 'cell' && glyph !== 'chamber') return { height: 0, turn: 0 }
    if (saber.parts.some((q) => q.beside === p.id)) return { height: glyph === 'cell' ? -room : 0, turn: 0 }
    const gives = (from: number) => (r + from - free > 1e-9 ? Math.min(room, r + from - free) : 0)
    return { height: gives(reach(-1)) - gives(reach(1)), turn: 0 }
  }
  if (h === undefined) return { height: 0, turn: 0 }
  const cell = known(saber.parts.find((q) => q.id === p.beside)?.specs.diameter)
  return {
    height: cell !== undefined ? -free + cell + BESIDE_GAP + h / 2 : Math.min(0, free - reach(1) - h / 2),
    turn: 0,
  }
}
