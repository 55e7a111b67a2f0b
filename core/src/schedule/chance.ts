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

/**
 * The z below which a share u of a normal distribution lies, 0 < u < 1: P. J. Acklam's rational approximation, off by less than
 * 1.2e-9 of the value. At the very ends it is held to ±8.
 */
export function quantile(u: number): number {
  if (u <= 1e-15) return -8
  if (u >= 1 - 1e-15) return 8
  if (u < 0.02425) return tail(Math.sqrt(-2 * Math.log(u)))
  if (u > 0.97575) return -tail(Math.sqrt(-2 * Math.log(1 - u)))
  const q = u - 0.5
  const r = q * q
  const above =
    ((((-39.69683028665376 * r + 220.9460984245205) * r - 275.9285104469687) * r + 138.357751867269) * r -
      30.66479806614716) *
      r +
    2.506628277459239
  const under =
    ((((-54.47609879822406 * r + 161.5858368580409) * r - 155.6989798598866) * r + 66.80131188771972) * r -
      13.28068155288572) *
      r +
    1
  return (above * q) / under
}
function tail(q: number): number {
  const above =
    ((((-0.007784894002430293 * q - 0.3223964580411365) * q - 2.400758277161838) * q - 2.549732539343734) * q +
      4.374664141464968) *
      q +
    2.938163982698783
  const under =
    (((0.007784695709041462 * q + 0.3224671290700398) * q + 2.445134137142996) * q + 3.754408661907416) * q + 1
  return above / under
}

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
/** What of it is the same in every draw. */
export interface Lasting {
  /** Of the logarithm. */
  mean: number
  deviation: number
  already: number
  /** The share of times that are no longer than what it has taken. */
  gone: number
}
export function lastingOf({ median, spread }: Lasts, already: number): Lasting {
  const deviation = Math.log(Math.max(spread, 1.001))
  const mean = Math.log(Math.max(median, 1e-6))
  return { mean, deviation, already, gone: already > 0 ? below((Math.log(already) - mean) / deviation) : 0 }
}
export const drawOf = (l: Lasting, u: number): number =>
  Math.max(l.already, Math.exp(l.mean + l.deviation * quantile(l.gone + u * (1 - l.gone))))
/**
 * How long something takes in all that has taken `already` so far, at a share u of what is left possible: log-normal. Never less
 * than what it has taken.
 */
export const lasting = (lasts: Lasts, already: number, u: number): number => drawOf(lastingOf(lasts, already), u)
