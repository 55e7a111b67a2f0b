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

export interface BesideInput {
  boreMm: number
  wallMm: number
  clearanceMm: number
  cellDiameterMm: number
  boardWidthMm: number
  boardHeightMm: number
  gapMm: number
}

/**
 * Air left between the far corners of a board and the free circle when a cell lies on the wall and the board on the cell.
 *
 * R = (bore − 2·wall − 2·clearance)/2; the cell's top is at 2r − R; the board's corner is at (w/2, top + gap + t). The
 * margin is R minus that corner's distance from the axis; negative means it does not go, by that much. A cell wider than
 * the free circle gives the (negative) difference of the radii.
 */
export function besideMargin(i: BesideInput): number {
  const R = (i.boreMm - 2 * i.wallMm - 2 * i.clearanceMm) / 2
  const r = i.cellDiameterMm / 2
  if (r > R) return R - r
  const top = 2 * r - R
  return R - Math.hypot(i.boardWidthMm / 2, top + i.gapMm + i.boardHeightMm)
}
