import { formatNumber, mmAndInch, type Reader } from '../../units'
import { say } from '../../words'

/**
 * A length as one says it: in inches for who thinks in them, else in millimetres. One that is only about is rounded to what it is
 * good for, and said to be about.
 */
export function asSpoken(reader: Reader, mm: number, about = false): string {
  const inch = reader.measures === 'inch'
  const value = about ? Math.round(mm / (inch ? 25.4 / 4 : 5)) * (inch ? 25.4 / 4 : 5) : mm
  const text = inch ? mmAndInch(reader, value).split(' · ')[0]! : `${formatNumber(reader, value, about ? 0 : 1)} mm`
  return about ? say(reader, 'about', { what: text }) : text
}
