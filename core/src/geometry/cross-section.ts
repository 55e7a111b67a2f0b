import { known } from '../facts'
import { type FittedPart, kindRule, type Ref, refTo, type Saber } from '../record'
import { inWall } from './cavity'
import { boreAt, layOut, outerAt, spanOf } from './hilt'
import { chassisWall, type Lie, lieOf } from './placing'

// The wire checks probe tens of thousands of points; the functions are bound once.
const { abs, cos, floor, max, min, PI, sin, sqrt } = Math

/** Something lying in a cut across the hilt; mm from the axis, y upwards, 0° of the clock at the top. */
export type Lying =
  | {
      shape: 'circle'
      ref: Ref
      name: string
      kind: FittedPart['kind']
      x: number
      y: number
      r: number
      /** Radius of a ring's hole; wires go through it. */
      hole?: number
    }
  | {
      shape: 'box'
      ref: Ref
      name: string
      kind: FittedPart['kind']
      x: number
      y: number
      w: number
      h: number
      /** Turned clockwise about the axis, degrees; things in the wall are turned to their clock angle. */
      turn: number
    }

/** Wall of a spacer, mm: it is a ring, so that wires pass. */
const RING = 2

/** The hilt cut across at x. */
export interface CrossSection {
  x: number
  outer: number
  bore: number
  /** Chassis wall at x, mm; 0 without a chassis. */
  wall: number
  clearance: number
  /** Radius free for what lies inside. */
  free: number
  lying: Lying[]
}

/**
 * What a cut across the hilt at x shows, each part lying where `lieOf` says that it lies. Undefined off the hilt.
 */
export const crossSectionAt = (saber: Saber, x: number): CrossSection | undefined => cutting(saber)(x)

/** Cuts one saber at many places: what does not depend on the place is asked for once. The saber must stay as it is meanwhile. */
export function cutting(saber: Saber): (x: number) => CrossSection | undefined {
  const shape = layOut(saber.hilt)
  const clearance = known(saber.hilt.clearance) ?? 0
  const seen = saber.parts.flatMap((p) => {
    const { inside, glyph } = kindRule(p.kind)
    const shown = inside && (glyph !== 'dot' || p.kind === 'accentLed') && p.kind !== 'strip'
    const span = shown ? spanOf(p) : undefined
    const lying = span && lyingAs(p, lieOf(saber, p, shape))
    return lying ? [{ inWall: inWall(p), lying, ...span }] : []
  })
  // What hangs in the wall comes first, beneath the rest.
  const things = [...seen.filter((s) => s.inWall), ...seen.filter((s) => !s.inWall)]
  return (x) => {
    const [outer, bore] = [outerAt(shape, x), boreAt(shape, x)]
    if (outer === undefined || bore === undefined) return undefined
    const wall = chassisWall(saber, x)
    const lying = things.flatMap((t) => (t.x0 <= x && t.x1 >= x ? [t.lying] : []))
    return { x, outer, bore, wall, clearance, free: bore / 2 - wall - clearance, lying }
  }
}

/** What is seen of a part in a cut, lying so; undefined without its sizes. */
function lyingAs(p: FittedPart, { height: y, aside: x, turn }: Lie): Lying | undefined {
  const base = { ref: refTo('part', p.id), name: p.name, kind: p.kind, x }
  const [d, w, h] = [known(p.specs.diameter), known(p.specs.width), known(p.specs.height)]
  if (d !== undefined && !inWall(p)) {
    const hole = p.kind === 'spacer' ? { hole: max(0, d / 2 - RING) } : {}
    return { ...base, shape: 'circle', y, r: d / 2, ...hole }
  }
  const wide = w ?? (inWall(p) ? d : undefined)
  return wide === undefined || h === undefined ? undefined : { ...base, shape: 'box', y, w: wide, h, turn }
}

export interface FreeCircle {
  x: number
  y: number
  r: number
}

/** Distance from a point to what is taken, mm; negative inside it. Square roots by hand: this is the inner loop of the wire checks. */
function distance(s: CrossSection, x: number, y: number): number {
  let d = s.free - sqrt(x * x + y * y)
  for (const l of s.lying) {
    if (l.shape === 'circle') {
      const dx = x - l.x
      const dy = y - l.y
      const from = sqrt(dx * dx + dy * dy)
      d = min(d, l.hole === undefined ? from - l.r : max(from - l.r, l.hole - from))
      continue
    }
    const c = l.turn ? cos((l.turn * PI) / 180) : 1
    const n = l.turn ? sin((l.turn * PI) / 180) : 0
    const qx = abs(x * c - y * n - l.x) - l.w / 2
    const qy = abs(x * n + y * c - l.y) - l.h / 2
    const ox = max(qx, 0)
    const oy = max(qy, 0)
    d = min(d, sqrt(ox * ox + oy * oy) + min(max(qx, qy), 0))
  }
  return d
}

/** Points of a cut on a square lattice with the distance of each to what is taken; only free ones. */
interface Field {
  n: number
  x: Float64Array
  y: Float64Array
  d: Float64Array
}

function fieldOf(s: CrossSection, step: number): Field {
  const k = floor(max(s.free, 0) / step)
  const size = (2 * k + 1) ** 2
  const f: Field = { n: 0, x: new Float64Array(size), y: new Float64Array(size), d: new Float64Array(size) }
  for (let i = -k; i <= k; i++)
    for (let j = -k; j <= k; j++) {
      const d = distance(s, i * step, j * step)
      if (d <= 0) continue
      f.x[f.n] = i * step
      f.y[f.n] = j * step
      f.d[f.n++] = d
    }
  return f
}

/**
 * The largest free circle of a cut: the best points of a lattice are climbed from, halving the step to 5 µm. `side` keeps
 * to the right (1) or left (−1) of the axis. What is returned is free; a test holds it against a fine raster. Radius 0
 * when nothing is free.
 */
export function freeCircle(s: CrossSection, side: 0 | 1 | -1 = 0, step = 0.5): FreeCircle {
  const at = (x: number, y: number) => (side === 0 ? distance(s, x, y) : min(distance(s, x, y), side * x))
  const f = fieldOf(s, step)
  const order = Array.from({ length: f.n }, (_, i) => ({ i, d: at(f.x[i]!, f.y[i]!) }))
    .sort((a, b) => b.d - a.d || a.i - b.i)
    .slice(0, 8)
  let best: FreeCircle = { x: 0, y: 0, r: 0 }
  for (const o of order) {
    let c = { x: f.x[o.i]!, y: f.y[o.i]!, r: o.d }
    for (let h = step / 2; h > 0.005; ) {
      const next = [
        [h, 0],
        [-h, 0],
        [0, h],
        [0, -h],
        [h, h],
        [h, -h],
        [-h, h],
        [-h, -h],
      ]
        .map(([dx, dy]) => ({ x: c.x + dx!, y: c.y + dy!, r: at(c.x + dx!, c.y + dy!) }))
        .reduce((a, b) => (b.r > a.r ? b : a))
      if (next.r > c.r + 1e-9) c = next
      else h /= 2
    }
    if (c.r > best.r) best = c
  }
  return best
}

/** A lower bound of the free circle's radius from a coarse lattice: cheap enough to ask at every cut. */
export function roughlyFree(s: CrossSection): number {
  const f = fieldOf(s, 1)
  let most = 0
  for (let i = 0; i < f.n; i++) most = max(most, f.d[i]!)
  return most
}

/**
 * Lays wires singly into a cut, thickest first, each into the tightest spot of a lattice that still takes it, and gives
 * their places. A laying found is a proof that they pass; fewer places than wires means that none was found. Lengths in mm.
 */
export function layWires(s: CrossSection, diameters: readonly number[], step = 0.25): FreeCircle[] {
  const f = fieldOf(s, step)
  const laid: FreeCircle[] = []
  for (const diameter of diameters.toSorted((a, b) => b - a)) {
    const r = diameter / 2
    let pick = -1
    let least = Infinity
    for (let i = 0; i < f.n; i++)
      if (f.d[i]! >= r && f.d[i]! < least - 1e-9) {
        pick = i
        least = f.d[i]!
      }
    if (pick < 0) break
    const [x, y] = [f.x[pick]!, f.y[pick]!]
    laid.push({ x, y, r })
    for (let i = 0; i < f.n; i++) {
      const d = sqrt((f.x[i]! - x) ** 2 + (f.y[i]! - y) ** 2) - r
      if (d < f.d[i]!) f.d[i] = d
    }
  }
  return laid
}
