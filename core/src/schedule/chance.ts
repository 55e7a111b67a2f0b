/**
 * The share of a normal distribution that lies below z: Zelen & Severo's rational approximation (Abramowitz & Stegun 26.2.17);
 * off by less than 7.5e-8.
 */
export function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const tail =
    Math.exp((-z * z) / 2) *
    0.3989422804014327 *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return z > 0 ? 1 - tail : tail
}

const A = [
  -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
]
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572]
const C = [
  -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
]
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416]
const poly = (c: readonly number[], x: number) => c.reduce((sum, k) => sum * x + k, 0)
/**
 * The z below which a share u of a normal distribution lies, 0 < u < 1: P. J. Acklam's rational approximation, off by less than
 * 1.2e-9 of the value. At the very ends it is held to ±8.
 */
export function quantile(u: number): number {
  if (u <= 1e-15) return -8
  if (u >= 1 - 1e-15) return 8
  const low = 0.02425
  if (u < low) return tail(Math.sqrt(-2 * Math.log(u)))
  if (u > 1 - low) return -tail(Math.sqrt(-2 * Math.log(1 - u)))
  const q = u - 0.5
  const r = q * q
  return (poly(A, r) * q) / (poly(B, r) * r + 1)
}
const tail = (q: number) => poly(C, q) / (poly(D, q) * q + 1)

/** A number that text stands for, the same every time: 32 bits of FNV-1a. */
export function numberOf(text: string): number {
  let h = 0x811c9dc5
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193)
  return h >>> 0
}
/** The share, 0 < u < 1, that falls to one thing in one draw: always the same for the same two numbers, and no pattern among them. */
export function shareOf(draw: number, thing: number): number {
  let h = Math.imul(draw ^ 0x9e3779b9, 0x85ebca6b) ^ thing
  h = Math.imul(h ^ (h >>> 16), 0x7feb352d)
  h = Math.imul(h ^ (h >>> 15), 0x846ca68b)
  h ^= h >>> 16
  return ((h >>> 0) + 0.5) / 4294967296
}

/** How long something takes: half of the times no longer than the median; the spread is the factor that two thirds lie within. */
export interface Lasts {
  median: number
  spread: number
}
/**
 * How long something takes in all that has taken `already` so far, at a share u of what is left possible: log-normal. Never less
 * than what it has taken.
 */
export function lasting({ median, spread }: Lasts, already: number, u: number): number {
  const s = Math.log(Math.max(spread, 1.001))
  if (already <= 0) return median * Math.exp(s * quantile(u))
  const gone = below(Math.log(already / median) / s)
  return Math.max(already, median * Math.exp(s * quantile(gone + u * (1 - gone))))
}
