import { known, type NumberFact, printable, sized } from '../facts'
import type { FittedPart, Hilt, Opening, Saber, Section } from '../record'
import { possible } from '../units'

/** How well a length on the drawing is known. Unknown ones are drawn with a stand-in and never used in a figure. */
export type Certainty = 'known' | 'assumed' | 'unknown'

export const certainty = (f: NumberFact | undefined): Certainty => {
  if (!f) return 'unknown'
  const p = printable(f)
  return p === 'plain' ? 'known' : p === 'about' ? 'assumed' : 'unknown'
}

/** A straight or tapering piece of a profile, x from the pommel's rear face. */
export interface Piece {
  x0: number
  x1: number
  d0: number
  d1: number
}

export interface PlacedSection {
  section: Section
  x0: number
  x1: number
  outer: Piece[]
  bore: Piece[]
  /** Where its cavity and the next one's part when the joint between them is opened. */
  parts: number
  certainty: Certainty
}

export interface HiltShape {
  sections: PlacedSection[]
  /** Arms of a crossguard; they lie outside the chain. */
  quillons: Section[]
  length: number
  /** The tolerance of the whole length, worst case. */
  lengthTol: number
  /** False when any length in the chain is a stand-in. */
  complete: boolean
}

/** Stand-ins for drawing what nobody has measured yet, mm. */
const STAND_IN = { length: 30, outside: 34, bore: 27 }

/** How a joint is closed: how far the two stand in each other, and whose end goes into the other's. */
interface Closed {
  engagement: number
  spigot: 'this' | 'next'
}
const OPEN_END: Closed = { engagement: 0, spigot: 'this' }

/** Most of the shorter section that a joint takes, so that something is seen of one held at both ends; what is entered deeper is asked back, and drawn as this. */
const DEEPEST_JOINT = 0.49
/** How long the narrow place of a joint is taken to be where no length of its thread is known, mm. */
const NECK = 1

/** The deepest a joint of two sections is taken to be, mm. */
export const deepestJoint = (a: Section, b: Section): number =>
  DEEPEST_JOINT * Math.min(...[a, b].map((q) => sized(q.length) ?? STAND_IN.length))

const closedJoint = (s: Section, next: Section | undefined): Closed =>
  next
    ? {
        engagement: Math.min(sized(s.joint.engagement) ?? 0, deepestJoint(s, next)),
        spigot: s.joint.spigot ?? 'this',
      }
    : OPEN_END

/**
 * Narrows the bores about each joint that lets less through than they do, over its engagement or the length of its thread,
 * and says where the two cavities part when the joint is opened: at the inner end of the one that goes in.
 */
function withNecks(sections: readonly PlacedSection[]): PlacedSection[] {
  const necks: { x0: number; x1: number; d: number }[] = []
  const parted = sections.map((s, i) => {
    const next = sections[i + 1]
    if (!next) return s
    const { passes, length, spigot } = s.section.joint
    const d = sized(passes)
    const { engagement } = closedJoint(s.section, next.section)
    const thread = d === undefined ? 0 : Math.min(sized(length) ?? NECK, deepestJoint(s.section, next.section))
    const over = Math.max(engagement, thread)
    const neck = spigot === 'next' ? { x0: s.x1 - over, x1: s.x1 } : { x0: s.x1, x1: s.x1 + over }
    if (d !== undefined) necks.push({ ...neck, d })
    return { ...s, parts: spigot === 'next' ? neck.x0 : neck.x1 }
  })
  return parted.map((s) => ({
    ...s,
    bore: necks.reduce(
      (bore, n) => [
        ...clipped(bore, -Infinity, n.x0),
        ...narrowed(clipped(bore, n.x0, n.x1), n.d),
        ...clipped(bore, n.x1, Infinity),
      ],
      s.bore,
    ),
  }))
}

/** Pieces from a to b only; what a cut goes through is shortened. */
export const clipped = (list: readonly Piece[], a: number, b: number): Piece[] =>
  list.flatMap((p) => {
    const [x0, x1] = [Math.max(p.x0, a), Math.min(p.x1, b)]
    const d = (x: number) => p.d0 + ((p.d1 - p.d0) * (x - p.x0)) / (p.x1 - p.x0)
    return x1 - x0 > 1e-9 ? [{ x0, x1, d0: d(x0), d1: d(x1) }] : []
  })

/** Pieces no wider than d anywhere; what is partly wider is cut where it passes d. */
const narrowed = (list: readonly Piece[], d: number): Piece[] =>
  list.flatMap((p) => {
    const [wide0, wide1] = [p.d0 > d, p.d1 > d]
    if (wide0 === wide1) return [wide0 ? { ...p, d0: d, d1: d } : p]
    const x = p.x0 + ((p.x1 - p.x0) * (d - p.d0)) / (p.d1 - p.d0)
    return [
      { x0: p.x0, x1: x, d0: Math.min(p.d0, d), d1: d },
      { x0: x, x1: p.x1, d0: d, d1: Math.min(p.d1, d) },
    ].filter((q) => q.x1 - q.x0 > 1e-9)
  })

/**
 * Lays the sections from the pommel, each where the one before ends, or in it by as much as the joint engages. Where two
 * stand in each other the outside is of the outer and the bore of the one that goes in; where a joint lets less through, the
 * bore is no wider over the length of its thread. Every section gets a place even when its length is unknown, so the
 * drawing is never empty; `complete` tells whether the x positions may be used for figures.
 */
export function layOut(hilt: Hilt): HiltShape {
  const sections: PlacedSection[] = []
  let x = 0
  let complete = true
  let lengthTol = 0
  const line = hilt.sections.filter((s) => s.role !== 'quillon')
  let before = OPEN_END
  for (const [i, section] of line.entries()) {
    const length = sized(section.length) ?? STAND_IN.length
    if (sized(section.length) === undefined) complete = false
    lengthTol += (section.length.tol ?? 0) + (line[i + 1] ? (section.joint.engagement?.tol ?? 0) : 0)
    const outside = sized(section.outside) ?? STAND_IN.outside
    const bore = sized(section.bore) ?? STAND_IN.bore
    const worst = [section.length, section.outside, section.bore].map(certainty)
    const joint = closedJoint(section, line[i + 1])
    const end = x + length
    // The outside ends where it goes into the other; the bore where the other's goes on in its place.
    const seen = {
      x0: before.spigot === 'next' ? x + before.engagement : x,
      x1: joint.spigot === 'this' ? end - joint.engagement : end,
    }
    const own = {
      x0: before.spigot === 'this' ? x + before.engagement : x,
      x1: joint.spigot === 'next' ? end - joint.engagement : end,
    }
    sections.push({
      section,
      ...seen,
      parts: seen.x1,
      outer: clipped(pieces(section.outerProfile, x, length, outside), seen.x0, seen.x1),
      bore: clipped(pieces(section.boreProfile, x, length, bore), own.x0, own.x1),
      certainty: worst.includes('unknown') ? 'unknown' : worst.includes('assumed') ? 'assumed' : 'known',
    })
    x = end - joint.engagement
    before = joint
  }
  return {
    sections: withNecks(sections),
    quillons: hilt.sections.filter((s) => s.role === 'quillon'),
    length: x,
    lengthTol,
    complete: complete && sections.length > 0,
  }
}

/** Profile points → pieces covering exactly 0…length; the ends are held level. Zero-length pieces (steps) vanish. */
function pieces(profile: { x: number; d: number }[] | undefined, x0: number, length: number, uniform: number): Piece[] {
  if (!profile || profile.length < 2 || profile.some((p) => !(p.d > 0) || !possible(p.d, 'mm')))
    return [{ x0, x1: x0 + length, d0: uniform, d1: uniform }]
  const pts = profile.map((p) => ({ x: Math.min(Math.max(p.x, 0), length), d: p.d }))
  const all = [{ x: 0, d: pts[0]!.d }, ...pts, { x: length, d: pts.at(-1)!.d }]
  const out: Piece[] = []
  for (let i = 1; i < all.length; i++) {
    const [a, b] = [all[i - 1]!, all[i]!]
    if (b.x - a.x > 1e-9) out.push({ x0: x0 + a.x, x1: x0 + b.x, d0: a.d, d1: b.d })
  }
  return out
}

const valueAt = (list: Piece[], x: number): number | undefined => {
  const p = list.find((q) => x >= q.x0 - 1e-9 && x <= q.x1 + 1e-9)
  return p && p.d0 + ((p.d1 - p.d0) * (x - p.x0)) / (p.x1 - p.x0)
}

/** Bore at x in mm; the smaller one where two pieces meet. Undefined outside the hilt. */
export function boreAt(shape: HiltShape, x: number): number | undefined {
  let least: number | undefined
  for (const s of shape.sections)
    for (const p of s.bore) {
      if (x < p.x0 - 1e-9 || x > p.x1 + 1e-9) continue
      const d = p.d0 + ((p.d1 - p.d0) * (x - p.x0)) / (p.x1 - p.x0)
      if (least === undefined || d < least) least = d
    }
  return least
}

/** Below this a wall is worth a second look before it is cut, mm: usual for turned aluminium and brass. */
export const LEAST_WALL = 0.8

/** Outside diameter at x in mm; the larger one where two pieces meet. Undefined outside the hilt. */
export function outerAt(shape: HiltShape, x: number): number | undefined {
  const all = shape.sections.map((s) => valueAt(s.outer, x)).filter((d) => d !== undefined)
  return all.length ? Math.max(...all) : undefined
}

/** The least outside diameter over a length, mm, where the outside is known there. Undefined where the length leaves the hilt. */
export function leastOuter(shape: HiltShape, from: number, to: number): number | undefined {
  if (from < -1e-9 || to > shape.length + 1e-9) return undefined
  const all = shape.sections.flatMap((s) =>
    s.outer.flatMap((p) => {
      const [a, b] = [Math.max(p.x0, from), Math.min(p.x1, to)]
      return b - a > 1e-9 ? [valueAt([p], a)!, valueAt([p], b)!] : []
    }),
  )
  return all.length ? Math.min(...all) : undefined
}

/** The narrowest bore over a length, and where it begins. Undefined when the length leaves the hilt. */
export function narrowest(
  shape: HiltShape,
  from: number,
  to: number,
): { d: number; x: number; section: Section } | undefined {
  if (from < -1e-9 || to > shape.length + 1e-9) return undefined
  let best: { d: number; x: number; section: Section } | undefined
  for (const s of shape.sections)
    for (const p of s.bore) {
      const [a, b] = [Math.max(p.x0, from), Math.min(p.x1, to)]
      if (b - a <= 1e-9) continue
      for (const x of [a, b]) {
        const d = valueAt([p], x)!
        if (!best || d < best.d - 1e-9) best = { d, x, section: s.section }
      }
    }
  return best
}

/** How wide a sleeve is within, mm; undefined where its diameter or its wall is not known. */
export function sleeveInner(p: FittedPart): number | undefined {
  const [d, wall] = [known(p.specs.diameter), known(p.specs.wall)]
  return d === undefined || wall === undefined ? undefined : d - 2 * wall
}

/** The widest outside over a length, mm, with its section; undefined where nothing of the hilt lies there. */
export function widest(shape: HiltShape, from: number, to: number): { d: number; section: Section } | undefined {
  let best: { d: number; section: Section } | undefined
  for (const s of shape.sections)
    for (const p of s.outer) {
      const [a, b] = [Math.max(p.x0, from), Math.min(p.x1, to)]
      if (b - a <= 1e-9) continue
      const d = Math.max(valueAt([p], a)!, valueAt([p], b)!)
      if (!best || d > best.d) best = { d, section: s.section }
    }
  return best
}

/** The section that holds x; the later one at a joint. */
export const sectionAt = (shape: HiltShape, x: number): PlacedSection | undefined =>
  shape.sections.findLast((s) => x >= s.x0 - 1e-9 && x <= s.x1 + 1e-9)

/** Front face of the blade plug or tube inside: socket's inner end, from the pommel. */
export function socketSpan(
  saber: Saber,
  socketId: string,
  shape = layOut(saber.hilt),
): { x0: number; x1: number } | undefined {
  const socket = saber.hilt.sockets.find((k) => k.id === socketId)
  const placed = shape.sections.find((s) => s.section.id === socket?.section)
  const depth = known(socket?.depth)
  if (!socket || !placed || depth === undefined) return undefined
  return { x0: placed.x1 - depth, x1: placed.x1 }
}

/** Where the arms of a crossguard stand along the hilt, mm from the pommel: across the middle of the foremost section. */
export function crossAt(shape: HiltShape): number | undefined {
  const last = shape.sections.at(-1)
  return last && (last.x0 + last.x1) / 2
}

/** Whether a socket is in an arm of a crossguard. */
export const inArm = (shape: HiltShape, socket: Saber['hilt']['sockets'][number] | undefined): boolean =>
  shape.quillons.some((q) => q.id === socket?.section)

/** Openings in the side of the hilt; those in the pommel's rear face have no place along it. */
export const sideOpenings = (hilt: Hilt): Opening[] => hilt.openings.filter((o) => o.face !== 'rear')

/** From where to where an opening reaches along the hilt: one in the rear face through the end wall. Undefined without a place. */
export function openingSpan(hilt: Hilt, o: Opening): { x0: number; x1: number } | undefined {
  if (o.face === 'rear') return { x0: 0, x1: known(hilt.endWall) ?? 0 }
  const [at, half] = [known(o.at), (known(o.length) ?? 0) / 2]
  return at === undefined ? undefined : { x0: at - half, x1: at + half }
}

/** Axial span of a fitted part; undefined until it is placed and has a length. */
export function spanOf(part: FittedPart): { x0: number; x1: number } | undefined {
  const at = known(part.at)
  const length = known(part.specs.length) ?? known(part.specs.diameter)
  return at === undefined || length === undefined ? undefined : { x0: at, x1: at + length }
}

/** How far two places are from each other round the hilt, mm, on the outside halfway between them. */
export function roundApart(
  shape: HiltShape,
  a: { at: number; clock: number },
  b: { at: number; clock: number },
): number {
  const r = (outerAt(shape, (a.at + b.at) / 2) ?? 34) / 2
  return (Math.abs(((a.clock - b.clock + 540) % 360) - 180) * Math.PI * r) / 180
}
