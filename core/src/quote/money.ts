import type { Reader } from '../units'

/** How many digits a currency has after the point, by ISO 4217 as the runtime knows it; two for a code that nobody knows. */
export function digitsOf(currency: string): number {
  return new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2
}
/** An amount of minor units as its reader writes it: `€1,250.00`, `1.250,00 €`. */
export function moneyText(reader: Pick<Reader, 'language'>, minor: number, currency: string): string {
  const digits = digitsOf(currency)
  const locale = reader.language === 'en' ? 'en-GB' : reader.language
  return new Intl.NumberFormat(locale, { style: 'currency', currency }).format(minor / 10 ** digits)
}
/** Whole minor units of an amount in major ones, to the nearest; an amount of another precision is rounded, never cut. */
export const minorOf = (major: number, currency: string): number => Math.round(major * 10 ** digitsOf(currency))
/** The amount that somebody typed, `1250`, `1,250.00` or `1.250,00`: minor units, or undefined for what is no amount. */
export function parseMoney(text: string, currency: string): number | undefined {
  const bare = text.replace(/[^\d.,-]/g, '')
  if (!/^-?\d/.test(bare)) return undefined
  const digits = digitsOf(currency)
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','))
  const after = last < 0 ? '' : bare.slice(last + 1)
  // What stands behind the last mark are the minor units where there are that many; three are thousands.
  const split = after.length > 0 && after.length <= Math.max(digits, 2) && digits > 0
  const whole = (split ? bare.slice(0, last) : bare).replace(/[.,]/g, '')
  const value = Number(`${whole}.${split ? after : '0'}`)
  return Number.isFinite(value) ? minorOf(value, currency) : undefined
}
