import { known, type NumberFact, printable, sized } from '../facts'
import type { FittedPart, Hilt, Saber, Section } from '../record'
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

/**
 * Lays the sections end to end from the pommel. Every section gets a place even when its length is unknown, so the
 * drawing is never empty; `complete` tells whether the x positions may be used for figures.
 */
export function layOut(hilt: Hilt): HiltShape {
  const sections: PlacedSection[] = []
  let x = 0
  let complete = true
  let lengthTol = 0
  for (const section of hilt.sections.filter((s) => s.role !== 'quillon')) {
    const length = sized(section.length) ?? STAND_IN.length
    if (sized(section.length) === undefined) complete = false
    lengthTol += section.length.tol ?? 0
    const outside = sized(section.outside) ?? STAND_IN.outside
    const bore = sized(section.bore) ?? STAND_IN.bore
    const worst = [section.length, section.outside, section.bore].map(certainty)
    sections.push({
      section,
      x0: x,
      x1: x + length,
      outer: pieces(section.outerProfile, x, length, outside),
      bore: pieces(section.boreProfile, x, length, bore),
      certainty: worst.includes('unknown') ? 'unknown' : worst.includes('assumed') ? 'assumed' : 'known',
    })
    x += length
  }
  return {
    sections,
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
  const all = shape.sections.flatMap((s) => s.bore).filter((p) => x >= p.x0 - 1e-9 && x <= p.x1 + 1e-9)
  if (!all.length) return undefined
  return Math.min(...all.map((p) => p.d0 + ((p.d1 - p.d0) * (x - p.x0)) / (p.x1 - p.x0)))
}

/** Outside diameter at x in mm; the larger one where two pieces meet. Undefined outside the hilt. */
export function outerAt(shape: HiltShape, x: number): number | undefined {
  const all = shape.sections.map((s) => valueAt(s.outer, x)).filter((d) => d !== undefined)
  return all.length ? Math.max(...all) : undefined
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

/** Axial span of a fitted part; undefined until it is placed and has a length. */
export function spanOf(part: FittedPart): { x0: number; x1: number } | undefined {
  const at = known(part.at)
  const length = known(part.specs.length) ?? known(part.specs.diameter)
  return at === undefined || length === undefined ? undefined : { x0: at, x1: at + length }
}
