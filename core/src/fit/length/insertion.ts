import { known } from '../../facts'
import { bodyOf, inWall, layOut, narrowest, needRadius, onAxis, spanOf } from '../../geometry'
import { comesApart, type FittedPart, type Saber } from '../../record'

/** A part that no end lets in: the way that lets most through, and what is missing there. */
export interface BlockedPart {
  part: FittedPart
  /** The section whose bore stops it, its diameter, and by how much it is too small, mm. */
  section: string
  bore: number
  short: number
}

/**
 * Parts that cannot be brought to their place: not through the mouth of the emitter, nor from any joint that comes apart,
 * since a bore before it is narrower than the part with its clearance. What hangs in the wall comes from outside; the rear of
 * the pommel counts as closed. Only parts whose sizes and place are known, in a hilt that is measured, are judged.
 */
export function blockedParts(saber: Saber): BlockedPart[] {
  const shape = layOut(saber.hilt)
  const clearance = known(saber.hilt.clearance)
  if (!shape.complete || clearance === undefined) return []
  const measured = shape.sections.every((s) => known(s.section.bore) !== undefined || s.section.boreProfile)
  if (!measured) return []
  const doors = [
    ...shape.sections
      .slice(0, -1)
      .filter((s) => comesApart(s.section.joint))
      .map((s) => s.parts),
    shape.length,
  ]
  return saber.parts.flatMap((part): BlockedPart[] => {
    const span = spanOf(part)
    const body = bodyOf({ ...part, beside: undefined as never }, saber)
    if (!span || !body || !onAxis(part) || inWall(part) || span.x0 < -0.05 || span.x1 > shape.length + 0.05) return []
    const need = 2 * (needRadius(body) + clearance)
    const ways = doors.flatMap((door) => {
      // Over a door that lies within its length it is put together round the part.
      if (door > span.x0 && door < span.x1) return []
      const [from, to] = door <= span.x0 ? [door, span.x0] : [span.x1, door]
      const tight = narrowest(shape, from, to)
      return [{ open: tight?.d ?? Infinity, section: tight?.section.name ?? '' }]
    })
    if (ways.length < doors.length) return []
    const best = ways.toSorted((a, b) => b.open - a.open)[0]!
    return best.open < need - 1e-6 ? [{ part, section: best.section, bore: best.open, short: need - best.open }] : []
  })
}
