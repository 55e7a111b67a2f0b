import { aboutText, formatNumber, notRecordedText, type Reader } from '../units'
import { type NumberFact, printable } from './fact'

/**
 * How a fact may be printed. Only measured, datasheet, configured and computed values stand as plain fact; a recalled,
 * assumed or client-stated one prints as "about"; an unknown one as "not recorded".
 */
export function formatFact(reader: Reader, fact: NumberFact | undefined, digits = 2): string {
  if (!fact || fact.value === null || printable(fact) === 'none') return notRecordedText(reader)
  const unit = fact.unit === '×' ? '' : fact.unit === 'deg' ? '°' : ` ${fact.unit}`
  const tol = fact.tol ? ` ± ${formatNumber(reader, fact.tol, digits)}` : ''
  const body = `${formatNumber(reader, fact.value, digits)}${tol}${unit}`
  return printable(fact) === 'plain' ? body : aboutText(reader, body)
}
