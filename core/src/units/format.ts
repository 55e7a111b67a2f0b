/** A number with at most `digits` decimals, no trailing zeros, and a real minus sign. */
export function formatNumber(value: number, digits = 2): string {
  return Number(value.toFixed(digits)).toString().replace('-', '−')
}

/**
 * The nearest inch fraction to a length in mm, when one with a denominator up to 64 lies within `within` mm.
 * Returns e.g. `7/8`, `1 1/8`, `3`; undefined when none is near or the length is not positive.
 */
export function inchFraction(mm: number, within = 0.06): string | undefined {
  if (!(mm > 0)) return undefined
  for (const den of [1, 2, 4, 8, 16, 32, 64]) {
    const n = Math.round((mm / 25.4) * den)
    if (n > 0 && Math.abs((n / den) * 25.4 - mm) <= within) {
      const whole = Math.floor(n / den)
      const part = n - whole * den
      return part === 0 ? `${whole}` : whole ? `${whole} ${part}/${den}` : `${part}/${den}`
    }
  }
  return undefined
}

/** Both readings of a length, as a bench wants them: `22.2 mm · 7/8 in`, `47.6 mm · 1.874 in`. */
export function mmAndInch(mm: number): string {
  return `${formatNumber(mm)} mm · ${inchFraction(mm) ?? formatNumber(mm / 25.4, 3)} in`
}
