import { known } from '../facts'
import { type FittedPart, kindRule, type PartKind, type Ref, refTo, type Saber } from '../record'
import { type HiltShape, layOut, outerAt, socketSpan, spanOf } from './hilt'
import { type Body, needRadius } from './radial'

/** What reaches inwards from the wall over a stretch: a button's body, a display, a port. */
export interface KeepOut {
  ref: Ref
  name: string
  x0: number
  x1: number
  depth: number
  /** Where on the circumference it hangs, degrees; 0 is the switch line, and taken where none is known. */
  clock: number
}

/** A stretch of the cavity with straight sides and one set of keep-outs. */
export interface CavityPiece {
  x0: number
  x1: number
  /** Free radius at both ends: bore less chassis wall and clearance. */
  r0: number
  r1: number
  keeps: KeepOut[]
  section: string
}

export interface Cavity {
  pieces: CavityPiece[]
  /** From the pommel's rear to the back of the main socket. */
  x0: number
  x1: number
  keeps: KeepOut[]
  /** What must be known first. */
  needs: { name: string; ref?: Ref }[]
}

export interface Interval {
  lo: number
  hi: number
}

const EPS = 1e-9
/** Air between a display and the window over it, mm. */
export const DISPLAY_AIR = 0.4
const WALL_MOUNTED: readonly PartKind[] = ['switch', 'display', 'chargePort', 'killSwitch']

/** Whether a part is carried by the wall rather than lying in line: buttons, displays, and ports and kill switches with a clock angle. */
export const inWall = (p: FittedPart): boolean =>
  WALL_MOUNTED.includes(p.kind) && (known(p.clock) !== undefined || p.kind === 'switch' || p.kind === 'display')

/** Whether a part takes length on the axis, by its kind: not in the wall, not a strip, not a dot. What lies beside another does too. */
export const onAxis = (p: FittedPart): boolean =>
  kindRule(p.kind).inside &&
  !inWall(p) &&
  p.kind !== 'strip' &&
  !['knob', 'dot', 'window'].includes(kindRule(p.kind).glyph)

/**
 * How far a wall-mounted part reaches into the free room, mm. Buttons, ports and kill switches hang from the outside, so
 * the wall's thickness is taken off their depth; a display lies inside under its window. Without a clock angle a port or
 * kill switch is not in the wall and keeps nothing out.
 */
function keepOutOf(p: FittedPart, shape: HiltShape): KeepOut | undefined {
  if (!inWall(p)) return undefined
  const span = spanOf(p)
  const depth = known(p.specs.height)
  if (!span || depth === undefined) return undefined
  const mid = (span.x0 + span.x1) / 2
  const outer = outerAt(shape, mid)
  if (outer === undefined) return undefined
  const bore = Math.max(
    ...shape.sections
      .flatMap((s) => s.bore)
      .filter((b) => mid >= b.x0 && mid <= b.x1)
      .map((b) => b.d0 + ((b.d1 - b.d0) * (mid - b.x0)) / (b.x1 - b.x0)),
    0,
  )
  const inwards = p.kind === 'display' ? depth + DISPLAY_AIR : depth - (outer - bore) / 2
  return inwards > 0
    ? { ref: refTo('part', p.id), name: p.name, x0: span.x0, x1: span.x1, depth: inwards, clock: known(p.clock) ?? 0 }
    : undefined
}

/** Everything that reaches in from the wall. */
export const keepsOf = (saber: Saber, shape: HiltShape = layOut(saber.hilt)): KeepOut[] =>
  saber.parts.map((p) => keepOutOf(p, shape)).filter((k) => k !== undefined)

/** The main socket: the first one on a section of the chain. */
export const mainSocket = (saber: Saber, shape = layOut(saber.hilt)) =>
  saber.hilt.sockets.find((k) => shape.sections.some((p) => p.section.id === k.section))

/**
 * The room inside the hilt: free radius along the axis, cut where the bore steps or tapers, where a chassis begins or
 * ends and where something reaches in from the wall. Parts whose id is in `gone` are taken as not there.
 */
export function cavityOf(saber: Saber, gone: ReadonlySet<string> = new Set()): Cavity {
  const shape = layOut(saber.hilt)
  const needs: Cavity['needs'] = []
  for (const s of shape.sections) {
    if (known(s.section.length) === undefined)
      needs.push({ name: `the length of ${s.section.name}`, ref: refTo('section', s.section.id) })
    if (known(s.section.bore) === undefined && !s.section.boreProfile)
      needs.push({ name: `the bore of ${s.section.name}`, ref: refTo('section', s.section.id) })
  }
  if (!shape.sections.length) needs.push({ name: 'the hilt sections' })
  const clearance = known(saber.hilt.clearance)
  if (clearance === undefined) needs.push({ name: 'the clearance' })
  const main = mainSocket(saber, shape)
  if (main && known(main.depth) === undefined)
    needs.push({ name: `the depth of the ${main.name} socket`, ref: refTo('socket', main.id) })
  const end = (main && socketSpan(saber, main.id, shape)?.x0) ?? shape.length
  const parts = saber.parts.filter((p) => !gone.has(p.id))
  const keeps = parts.map((p) => keepOutOf(p, shape)).filter((k) => k !== undefined)
  const walls = parts
    .filter((p) => p.kind === 'chassis')
    .map((p) => ({ span: spanOf(p), wall: known(p.specs.wall) ?? 0 }))
    .filter((w) => w.span !== undefined)
  const marks = [...keeps.flatMap((k) => [k.x0, k.x1]), ...walls.flatMap((w) => [w.span!.x0, w.span!.x1])]
  const pieces: CavityPiece[] = []
  for (const s of shape.sections)
    for (const b of s.bore) {
      const cuts = [b.x0, ...marks.filter((m) => m > b.x0 + EPS && m < b.x1 - EPS), b.x1].sort((p, q) => p - q)
      for (let i = 1; i < cuts.length; i++) {
        const [x0, x1] = [cuts[i - 1]!, cuts[i]!]
        if (x1 - x0 <= EPS) continue
        const mid = (x0 + x1) / 2
        const wall = walls.find((w) => w.span!.x0 <= mid && w.span!.x1 >= mid)?.wall ?? 0
        const r = (x: number) => (b.d0 + ((b.d1 - b.d0) * (x - b.x0)) / (b.x1 - b.x0)) / 2 - wall - (clearance ?? 0)
        pieces.push({
          x0,
          x1,
          r0: r(x0),
          r1: r(x1),
          keeps: keeps.filter((k) => k.x0 < mid && k.x1 > mid),
          section: s.section.name,
        })
      }
    }
  return { pieces, x0: 0, x1: end, keeps, needs }
}

/** How far the deepest thing reaches in from the wall over a piece, mm; `self` does not keep itself out. */
export const keepDepth = (p: CavityPiece, self?: string) =>
  p.keeps.reduce((m, k) => (k.ref === self ? m : Math.max(m, k.depth)), 0)

/** Stretches of the cavity through which a body passes, touching ones joined. `extra` widens the radius everywhere. */
export function passable(cavity: Cavity, body: Body, extra = 0): Interval[] {
  const out: Interval[] = []
  for (const p of cavity.pieces) {
    const need = needRadius(body, keepDepth(p)) - extra
    const [ok0, ok1] = [p.r0 >= need - EPS, p.r1 >= need - EPS]
    if (!ok0 && !ok1) continue
    const turn = ok0 && ok1 ? 0 : p.x0 + ((p.x1 - p.x0) * (need - p.r0)) / (p.r1 - p.r0)
    const lo = ok0 ? p.x0 : turn
    const hi = ok1 ? p.x1 : turn
    const last = out.at(-1)
    if (last && lo - last.hi <= EPS) last.hi = hi
    else out.push({ lo, hi })
  }
  return out
}

/** Where a body of a length may begin: every x with the whole of it inside a passable stretch. */
export function startsOf(cavity: Cavity, body: Body, length: number, extra = 0): Interval[] {
  return passable(cavity, body, extra)
    .map((p) => ({ lo: p.lo, hi: p.hi - length }))
    .filter((p) => p.hi >= p.lo - EPS)
}

/** What two conditions on one start allow, the second `offset` further on: both lists sorted, result sorted. */
export function meet(a: readonly Interval[], b: readonly Interval[], offset = 0): Interval[] {
  const out: Interval[] = []
  for (const p of a)
    for (const q of b) {
      const lo = Math.max(p.lo, q.lo - offset)
      const hi = Math.min(p.hi, q.hi - offset)
      if (hi >= lo - EPS) out.push({ lo, hi: Math.max(lo, hi) })
    }
  return out.sort((p, q) => p.lo - q.lo)
}

/** The first allowed start not before x; Infinity when there is none. */
export function earliest(starts: readonly Interval[], x: number): number {
  for (const s of starts) if (s.hi >= x - EPS) return Math.max(x, s.lo)
  return Infinity
}

export interface Tightest {
  /** Free diameter left over, mm; negative is the millimetre that forbids it. */
  spareMm: number
  x: number
  /** Bore there, mm, and the section's name. */
  bore: number
  section: string
  /** What reaches in from the wall there and makes the difference. */
  under?: KeepOut
}

/** The tightest place of a body lying from x0 to x1; undefined when nothing of it lies in the cavity. */
export function tightest(
  cavity: Cavity,
  shape: HiltShape,
  body: Body,
  x0: number,
  x1: number,
  self?: string,
): Tightest | undefined {
  let best: Tightest | undefined
  for (const p of cavity.pieces) {
    const [a, b] = [Math.max(p.x0, x0), Math.min(p.x1, x1)]
    if (b - a <= EPS) continue
    const depth = keepDepth(p, self)
    const need = needRadius(body, depth)
    for (const x of [a, b]) {
      const r = p.r0 + ((p.r1 - p.r0) * (x - p.x0)) / (p.x1 - p.x0)
      const spareMm = 2 * (r - need)
      if (best && spareMm >= best.spareMm - EPS) continue
      const piece = shape.sections.flatMap((s) => s.bore).find((q) => q.x0 <= (a + b) / 2 && q.x1 >= (a + b) / 2)!
      const under = depth > 0 && need > needRadius(body) + EPS ? p.keeps.find((k) => k.depth === depth) : undefined
      best = {
        spareMm,
        x,
        bore: piece.d0 + ((piece.d1 - piece.d0) * (x - piece.x0)) / (piece.x1 - piece.x0),
        section: p.section,
        ...(under ? { under } : {}),
      }
    }
  }
  return best
}

/** How a part lies in the cavity, seen along the axis; undefined while its sizes are missing. */
export function bodyOf(p: FittedPart, saber: Saber): Body | undefined {
  const d = known(p.specs.diameter)
  const [w, t] = [known(p.specs.width), known(p.specs.height)]
  const cell = p.beside ? saber.parts.find((q) => q.id === p.beside) : undefined
  const cellD = known(cell?.specs.diameter)
  if (cellD !== undefined && w !== undefined && t !== undefined) return { kind: 'pair', d: cellD, w, t }
  if (d !== undefined)
    return kindRule(p.kind).glyph === 'cell' || kindRule(p.kind).glyph === 'chamber'
      ? { kind: 'round', d }
      : { kind: 'coaxial', d }
  return w === undefined || t === undefined ? undefined : { kind: 'slab', w, t }
}
