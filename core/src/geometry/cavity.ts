import { known } from '../facts'
import { type FittedPart, kindRule, type PartKind, type Ref, refTo, type Saber } from '../record'
import { clipped, type HiltShape, layOut, narrowest, outerAt, socketSpan, spanOf } from './hilt'
import { type Body, needRadius, type Reach, spareOf } from './radial'

/** What reaches inwards from the wall over a stretch: a button's body, a display, a port. */
export interface KeepOut {
  ref: Ref
  name: string
  x0: number
  x1: number
  /** Its inner face, mm from the axis. */
  inner: number
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
  /** Air kept round what slides in, also before what reaches in. */
  clearance: number
  section: string
}

export interface Cavity {
  pieces: CavityPiece[]
  /** From the inside of the pommel's rear end to the back of the main socket. */
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
const DISPLAY_AIR = 0.4
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
 * How near to the axis a part in the wall comes, mm. Buttons, ports and kill switches hang from the outside by their height.
 * A display lies inside under its window: flat as it is, its edges rest on the narrowest bore over it, so its face stands off
 * by the chord. Without a clock angle a port or kill switch is not in the wall and keeps nothing out.
 */
function keepOutOf(p: FittedPart, shape: HiltShape): KeepOut | undefined {
  if (!inWall(p)) return undefined
  const span = spanOf(p)
  const depth = known(p.specs.height)
  if (!span || depth === undefined) return undefined
  const face = faceOf(p, shape)
  if (face === undefined) return undefined
  const bores = shape.sections.flatMap((s) => s.bore).filter((b) => b.x0 < span.x1 - EPS && b.x1 > span.x0 + EPS)
  const widest = Math.max(0, ...bores.flatMap((b) => [b.d0, b.d1])) / 2
  const inner = face - depth
  return inner < widest
    ? { ref: refTo('part', p.id), name: p.name, x0: span.x0, x1: span.x1, inner, clock: known(p.clock) ?? 0 }
    : undefined
}

/** Where the outer face of a part in the wall is, mm from the axis; undefined off the hilt. */
export function faceOf(p: FittedPart, shape: HiltShape): number | undefined {
  const span = spanOf(p)
  if (!span) return undefined
  if (p.kind !== 'display') {
    const outer = outerAt(shape, (span.x0 + span.x1) / 2)
    return outer === undefined ? undefined : outer / 2
  }
  const bore = narrowest(shape, Math.max(0, span.x0), Math.min(shape.length, span.x1))
  if (!bore) return undefined
  const half = Math.min((known(p.specs.width) ?? 0) / 2, bore.d / 2)
  return Math.sqrt((bore.d / 2) ** 2 - half ** 2) - DISPLAY_AIR
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
  for (const s of shape.sections.slice(0, -1))
    for (const key of ['engagement', 'passes'] as const)
      if (s.section.joint[key] && known(s.section.joint[key]) === undefined)
        needs.push({
          name: `the ${key === 'passes' ? 'free bore' : key} of the joint of ${s.section.name}`,
          ref: refTo('section', s.section.id),
        })
  if (!shape.sections.length) needs.push({ name: 'the hilt sections' })
  const rear = known(saber.hilt.endWall) ?? 0
  if (saber.hilt.endWall && known(saber.hilt.endWall) === undefined) needs.push({ name: 'the end wall of the pommel' })
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
    for (const b of clipped(s.bore, rear, Infinity)) {
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
          clearance: clearance ?? 0,
          section: s.section.name,
        })
      }
    }
  return { pieces, x0: rear, x1: end, keeps, needs }
}

/** What a body keeps clear of before something in the wall: its inner face, with the air that is kept. */
export const reachOf = (k: KeepOut, clearance: number): Reach => ({ clock: k.clock, inner: k.inner - clearance })

/** What a body has to keep clear of over a piece; `self` does not keep itself out. Of two in one direction only the nearer counts. */
export function reachesOf(p: CavityPiece, self?: string): Reach[] {
  const by = new Map<number, number>()
  for (const k of p.keeps)
    if (k.ref !== self) by.set(k.clock, Math.min(by.get(k.clock) ?? Infinity, reachOf(k, p.clearance).inner))
  return [...by].map(([clock, inner]) => ({ clock, inner }))
}

/** Radius free all round the axis over a piece, mm: the lesser end, and no nearer to what reaches in. */
export const roundRoom = (p: CavityPiece): number => Math.min(p.r0, p.r1, ...reachesOf(p).map((k) => k.inner))

/** Stretches of the cavity through which a body passes, touching ones joined. `extra` widens the radius everywhere. */
export function passable(cavity: Cavity, body: Body, extra = 0): Interval[] {
  const out: Interval[] = []
  for (const p of cavity.pieces) {
    const need =
      needRadius(
        body,
        reachesOf(p).map((k) => ({ ...k, inner: k.inner + extra })),
      ) - extra
    if (need === Infinity) continue
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
    const reaches = reachesOf(p, self)
    for (const x of [a, b]) {
      const r = p.r0 + ((p.r1 - p.r0) * (x - p.x0)) / (p.x1 - p.x0)
      const spareMm = spareOf(body, r, reaches)
      if (best && spareMm >= best.spareMm - EPS) continue
      const piece = shape.sections.flatMap((s) => s.bore).find((q) => q.x0 <= (a + b) / 2 && q.x1 >= (a + b) / 2)!
      // What decides: without it there would be more room.
      const under = reaches.length && spareMm < spareOf(body, r) - 1e-6 ? decides(p, body, r, self) : undefined
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

/** The thing in the wall that leaves a body least room by itself. */
function decides(p: CavityPiece, body: Body, radius: number, self: string | undefined): KeepOut | undefined {
  const alone = (k: KeepOut) => spareOf(body, radius, [reachOf(k, p.clearance)])
  return p.keeps.filter((k) => k.ref !== self).toSorted((a, b) => alone(a) - alone(b))[0]
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
