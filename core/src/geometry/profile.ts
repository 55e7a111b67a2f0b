import { known } from '../facts'
import type { Section } from '../record'
import { layOut } from './hilt'

/** A point of a profile: x from the section's own rear, diameter, mm. */
export interface ProfilePoint {
  x: number
  d: number
}

export interface ProfileFault {
  code: 'tooFew' | 'order' | 'outside' | 'notPositive' | 'gap' | 'boreWider'
  /** Which profile, and which of its points, counted from 1. */
  which: 'outer' | 'bore'
  point?: number
  /** The value at fault and what it is held against, mm. */
  got?: number
  than?: number
  /** Where along the section, mm from its rear. */
  at?: number
}

/**
 * Faults of one profile held against its section's length: fewer than two points, points that go back, lie outside the
 * section or have no size, and ends that leave a gap. An empty list is a sound profile.
 */
export function profileFaults(
  points: readonly ProfilePoint[],
  length: number,
  which: 'outer' | 'bore',
): ProfileFault[] {
  const out: ProfileFault[] = []
  const fault = (code: ProfileFault['code'], more: Omit<ProfileFault, 'code' | 'which'> = {}) =>
    out.push({ code, which, ...more })
  if (points.length < 2) fault('tooFew')
  points.forEach((p, i) => {
    const point = i + 1
    if (!(p.d > 0)) fault('notPositive', { point, got: p.d })
    if (p.x < 0 || p.x > length + 1e-9) fault('outside', { point, got: p.x, than: length })
    if (i > 0 && p.x < points[i - 1]!.x - 1e-9) fault('order', { point, got: p.x, than: points[i - 1]!.x })
  })
  if (points.length >= 2) {
    if (points[0]!.x > 1e-9) fault('gap', { got: 0, than: points[0]!.x })
    if (points.at(-1)!.x < length - 1e-9) fault('gap', { got: points.at(-1)!.x, than: length })
  }
  return out
}

/** All faults of a section's profiles, and places where the bore is not narrower than the outside. */
export function sectionFaults(s: Section): ProfileFault[] {
  const length = known(s.length)
  if (length === undefined) return []
  const out = [
    ...(s.outerProfile ? profileFaults(s.outerProfile, length, 'outer') : []),
    ...(s.boreProfile ? profileFaults(s.boreProfile, length, 'bore') : []),
  ]
  if (out.length || (!s.outerProfile && !s.boreProfile)) return out
  const placed = layOut({
    ...{ origin: 'bought', fasteners: [], openings: [], sockets: [], clearance: s.length },
    sections: [{ ...s, role: 'grip' }],
  }).sections[0]!
  const marks = new Set([...placed.outer, ...placed.bore].flatMap((p) => [p.x0, p.x1]))
  const at = (list: typeof placed.outer, x: number) =>
    list
      .filter((p) => x >= p.x0 - 1e-9 && x <= p.x1 + 1e-9)
      .map((p) => p.d0 + ((p.d1 - p.d0) * (x - p.x0)) / (p.x1 - p.x0))
  for (const x of [...marks].sort((a, b) => a - b)) {
    const [o, b] = [Math.min(...at(placed.outer, x)), Math.max(...at(placed.bore, x))]
    if (b >= o - 1e-9) {
      out.push({
        code: 'boreWider',
        which: 'bore',
        at: x,
        got: Number(b.toFixed(2)),
        than: Number(o.toFixed(2)),
      })
      break
    }
  }
  return out
}
