import { aboutText, formatNumber, notRecordedText } from '../units'
import { type NumberFact, printable } from './fact'

/**
 * How a fact may be printed. Only measured, datasheet, configured and computed values stand as plain fact; a recalled,
 * assumed or client-stated one prints as "about"; an unknown one as "not recorded".
 */
export function formatFact(fact: NumberFact | undefined, digits = 2): string {
  if (!fact || fact.value === null || printable(fact) === 'none') return notRecordedText()
  const unit = fact.unit === '×' ? '' : fact.unit === 'deg' ? '°' : ` ${fact.unit}`
  const tol = fact.tol ? ` ± ${formatNumber(fact.tol, digits)}` : ''
  const body = `${formatNumber(fact.value, digits)}${tol}${unit}`
  return printable(fact) === 'plain' ? body : aboutText(body)
}
