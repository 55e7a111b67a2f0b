/** A drawing as plain values, in the caller's pixels. Screen, PDF and file renderers each give the roles their ink. */
export type Pt = readonly [x: number, y: number]

export type Role =
  | 'wall'
  | 'hatch'
  | 'hatchBand'
  | 'outline'
  | 'assumed'
  | 'unknown'
  | 'centre'
  | 'thread'
  | 'dim'
  | 'dimAbout'
  | 'part'
  | 'partDark'
  | 'partDetail'
  | 'cell'
  | 'void'
  | 'glass'
  | 'metal'
  | 'screw'
  | 'bladeTube'
  | 'bladeCore'
  | 'bladeGlow'
  | 'leader'
  | 'ghost'

export type TextRole = 'label' | 'dimText' | 'dimTextAbout' | 'partText' | 'mark'

export type Prim =
  | { t: 'path'; pts: Pt[]; closed?: boolean; role: Role; ref?: string; colour?: string }
  | { t: 'circle'; at: Pt; r: number; role: Role; ref?: string }
  | { t: 'text'; at: Pt; text: string; role: TextRole; anchor: Anchor; ref?: string }

/** The box of a thing on the drawing, for touching it and for lighting it. */
export interface Spot {
  ref: string
  name: string
  x0: number
  x1: number
  y0: number
  y1: number
}

export interface Scene {
  width: number
  height: number
  /** Pixels per millimetre, the same along both axes. */
  scale: number
  axisY: number
  prims: Prim[]
  spots: Spot[]
  /** mm from the pommel → px, and back. */
  x: (mm: number) => number
  mm: (px: number) => number
}

/**
 * Hatch lines at 45° inside a convex polygon, `gap` pixels apart measured along x, leaning right for `lean` 1 and left
 * for −1. Lines are anchored to the page, not to the polygon, so that neighbours cut from one piece line up.
 */
export function hatch(poly: Pt[], gap: number, lean: 1 | -1): Pt[][] {
  const key = ([x, y]: Pt) => x + lean * y
  const keys = poly.map(key)
  const lines: Pt[][] = []
  // No page has more; what would is drawn far beyond it.
  if (!((Math.max(...keys) - Math.min(...keys)) / gap < 10_000)) return lines
  for (let k = Math.ceil(Math.min(...keys) / gap) * gap; k < Math.max(...keys); k += gap) {
    const hits: Pt[] = []
    for (let i = 0; i < poly.length; i++) {
      const [a, b] = [poly[i]!, poly[(i + 1) % poly.length]!]
      const [ka, kb] = [key(a), key(b)]
      if (ka === kb || k < Math.min(ka, kb) || k >= Math.max(ka, kb)) continue
      const f = (k - ka) / (kb - ka)
      hits.push([a[0] + f * (b[0] - a[0]), a[1] + f * (b[1] - a[1])])
    }
    if (hits.length === 2) lines.push([hits[0]!, hits[1]!])
  }
  return lines
}

type Anchor = 'start' | 'middle' | 'end'
/** About how wide a letter is, and how far letters reach over and under the line they stand on, px: no font is asked. */
const LETTER = { wide: 6, over: 8, under: 2 }
/** The box of some words, px. */
function boxOf([x, y]: Pt, text: string, anchor: Anchor) {
  const wide = text.length * LETTER.wide
  const x0 = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2
  return { x0, x1: x0 + wide, y0: y - LETTER.over, y1: y + LETTER.under }
}
type Box = ReturnType<typeof boxOf>
const meet = (a: Box, b: Box) => a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1

/** Adds prims with short calls; every drawing in the core is written against it. */
export class Pen {
  readonly prims: Prim[] = []
  /** Where everything is put that is drawn now, px from its own place. */
  shift: Pt = [0, 0]
  private put(at: Pt): Pt {
    return [at[0] + this.shift[0], at[1] + this.shift[1]]
  }
  path(pts: Pt[], role: Role, extra: { closed?: boolean; ref?: string; colour?: string } = {}) {
    const still = !this.shift[0] && !this.shift[1]
    this.prims.push({ t: 'path', pts: still ? pts : pts.map((p) => this.put(p)), role, ...extra })
  }
  box(x0: number, y0: number, x1: number, y1: number, role: Role, extra: { ref?: string; colour?: string } = {}) {
    this.path(
      [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ],
      role,
      { closed: true, ...extra },
    )
  }
  line(a: Pt, b: Pt, role: Role) {
    this.path([a, b], role)
  }
  circle(at: Pt, r: number, role: Role, ref?: string) {
    this.prims.push({ t: 'circle', at: this.put(at), r, role, ...(ref ? { ref } : {}) })
  }
  text(at: Pt, text: string, role: TextRole, anchor: Anchor = 'middle', ref?: string) {
    this.prims.push({ t: 'text', at: this.put(at), text, role, anchor, ...(ref ? { ref } : {}) })
  }
  /** Words at the first of some places where they leave no page so wide and lie over no others; else at the first. */
  free(
    places: readonly (readonly [at: Pt, anchor: Anchor])[],
    text: string,
    role: TextRole,
    width: number,
    ref?: string,
  ) {
    const taken = this.prims.flatMap((p) => (p.t === 'text' ? [boxOf(p.at, p.text, p.anchor)] : []))
    const clear = places.find(([at, anchor]) => {
      const box = boxOf(this.put(at), text, anchor)
      return box.x0 >= 0 && box.x1 <= width && !taken.some((t) => meet(t, box))
    })
    const [at, anchor] = clear ?? places[0]!
    this.text(at, text, role, anchor, ref)
  }
  /** A dimension line with arrowheads, extension ticks and its figure set into a gap. */
  dimension(x0: number, x1: number, y: number, text: string, about: boolean, ref?: string) {
    const role: Role = about ? 'dimAbout' : 'dim'
    const w = text.length * 5.6 + 8
    const mid = (x0 + x1) / 2
    const inside = x1 - x0 > w + 14
    this.line([x0, y - 6], [x0, y + 6], role)
    this.line([x1, y - 6], [x1, y + 6], role)
    if (inside) {
      this.line([x0, y], [mid - w / 2, y], role)
      this.line([mid + w / 2, y], [x1, y], role)
      for (const [tip, s] of [
        [x0, 1],
        [x1, -1],
      ] as const)
        this.path(
          [
            [tip, y],
            [tip + s * 6, y - 2],
            [tip + s * 6, y + 2],
          ],
          role,
          { closed: true },
        )
    } else this.line([x0, y], [x1, y], role)
    this.text([mid, inside ? y + 3.8 : y - 9], text, about ? 'dimTextAbout' : 'dimText', 'middle', ref)
  }
}
