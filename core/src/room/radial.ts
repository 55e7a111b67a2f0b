/** Smallest circle round n equal circles of diameter 1, n = 1…10 (published circle-packing optima, three decimals up). */
const PACKING = [1, 2, 2.155, 2.414, 2.701, 3, 3, 3.304, 3.613, 3.813] as const

/**
 * Diameter of the free circle that n equal wires of outside diameter d need, mm. Zero wires need nothing. Beyond ten the
 * hexagonal bound d·√(n/0.80) is used, which is never below the table's trend.
 */
export function bundleDiameter(n: number, wireMm: number): number {
  if (!Number.isInteger(n) || n < 0)
    throw new RangeError(`bundleDiameter: wire count must be a whole number ≥ 0, got ${n}`)
  if (!(wireMm > 0)) throw new RangeError(`bundleDiameter: wire diameter must be positive, got ${wireMm}`)
  if (n === 0) return 0
  return wireMm * (PACKING[n - 1] ?? Math.max(PACKING[9]! * Math.sqrt(n / 10), Math.sqrt(n / 0.8)))
}

/** Air between a cell and the board lying on it, mm. */
export const BESIDE_GAP = 0.5

/** What a stretch of the cavity has to let through, seen along the axis. Sizes in mm. */
export type Body =
  /** A round thing that may lie off the axis: a cell, a chamber. */
  | { kind: 'round'; d: number }
  /** A round thing that stays on the axis: a speaker in its seat, a connector. */
  | { kind: 'coaxial'; d: number }
  /** A flat thing, w across and t thick. */
  | { kind: 'slab'; w: number; t: number }
  /** A cell of diameter d on the wall with a board w × t lying on it. */
  | { kind: 'pair'; d: number; w: number; t: number }

/**
 * Radius at which R + √(R² − (w/2)²) reaches q: something w wide, whose far edge lies q above the bottom of the circle,
 * just touches with its corners. What is lower than half its width needs only its width.
 */
const cornerRadius = (w: number, q: number) => (q <= w / 2 ? w / 2 : (q ** 2 + (w / 2) ** 2) / (2 * q))

/**
 * Smallest free radius that lets a body through where something (a button's body, a display) reaches `keep` mm inwards
 * from the wall on one side. Bodies are turned and pushed away from it as well as they can; the pair lies cell down,
 * board towards the keep-out. Lengths in mm, all ≥ 0.
 *
 * Round: 2r + keep ≤ 2R. Coaxial: r + keep ≤ R. Slab: its corners inside the circle and its face below the keep-out.
 * Pair: the board's lower face no lower than d + gap above the wall, its corners inside, its face below the keep-out.
 */
export function needRadius(body: Body, keep = 0): number {
  switch (body.kind) {
    case 'round':
      return (body.d + keep) / 2
    case 'coaxial':
      return body.d / 2 + keep
    case 'slab':
      return Math.max(Math.hypot(body.w, body.t) / 2, cornerRadius(body.w, body.t + keep))
    case 'pair': {
      const stack = body.d + BESIDE_GAP + body.t
      return Math.max(
        body.d / 2,
        Math.hypot(body.w, body.t) / 2,
        cornerRadius(body.w, stack),
        cornerRadius(body.w, body.t + keep),
        (stack + keep) / 2,
      )
    }
  }
}
