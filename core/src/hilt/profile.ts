import { known } from '../record/fact'
import type { Section } from '../record/schema'
import { layOut } from './geometry'

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
  text: string
}

const NAME = { outer: 'outside', bore: 'bore' } as const

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
  const name = NAME[which]
  const fault = (code: ProfileFault['code'], text: string, point?: number) =>
    out.push({ code, which, text, ...(point === undefined ? {} : { point }) })
  if (points.length < 2) fault('tooFew', `the ${name} profile needs at least two points`)
  points.forEach((p, i) => {
    if (!(p.d > 0)) fault('notPositive', `${name} point ${i + 1}: a diameter of ${p.d} mm is no size`, i + 1)
    if (p.x < 0 || p.x > length + 1e-9)
      fault('outside', `${name} point ${i + 1}: ${p.x} mm lies outside the section (0 to ${length})`, i + 1)
    if (i > 0 && p.x < points[i - 1]!.x - 1e-9)
      fault('order', `${name} point ${i + 1}: ${p.x} mm lies behind the point before it (${points[i - 1]!.x})`, i + 1)
  })
  if (points.length >= 2) {
    if (points[0]!.x > 1e-9) fault('gap', `the ${name} profile leaves 0 to ${points[0]!.x} mm open`)
    if (points.at(-1)!.x < length - 1e-9)
      fault('gap', `the ${name} profile leaves ${points.at(-1)!.x} to ${length} mm open`)
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
        text: `at ${x} mm the bore (${Number(b.toFixed(2))}) is not narrower than the outside (${Number(o.toFixed(2))})`,
      })
      break
    }
  }
  return out
}
