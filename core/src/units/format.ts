import type { Reader } from './language'

/** What stands before the decimals, by language. */
const POINT = { en: '.', de: ',' } as const
const INCH = { en: 'in', de: 'Zoll' } as const

/** A number with at most `digits` decimals, no trailing zeros, and a real minus sign, as its reader writes it. */
export function formatNumber(reader: Reader, value: number, digits = 2): string {
  return Number(value.toFixed(digits)).toString().replace('-', '−').replace('.', POINT[reader.language])
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

/** A size somebody wrote, `1.5 mm`, `1/16 in`, as its reader writes it. */
export const sizeText = (reader: Reader, text: string): string =>
  text.replace(/(\d)[.,](?=\d)/g, `$1${POINT[reader.language]}`).replace(/(?<=\d\s?)in\b/g, INCH[reader.language])

/**
 * A length as its reader counts it: both readings for a bench, `22.2 mm · 7/8 in`, `47.6 mm · 1.874 in`; the inches first for
 * who thinks in them, the millimetres alone for who thinks in these.
 * Nobody reads a thousandth of an inch of what is longer than a hand.
 */
export function mmAndInch(reader: Reader, mm: number): string {
  const [metric, inch] = [
    `${formatNumber(reader, mm)} mm`,
    `${inchFraction(mm) ?? formatNumber(reader, mm / 25.4, Math.abs(mm) < 100 ? 3 : 2)} ${INCH[reader.language]}`,
  ]
  const { measures } = reader
  if (measures === 'mm') return metric
  return measures === 'inch' ? `${inch} · ${metric}` : `${metric} · ${inch}`
}
