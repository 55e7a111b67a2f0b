import { type FactPlace, isNumberPlace } from '../record'
import { formatNumber, MAKER } from '../units'

/** Figures as the checks write them. */
export const mm = (v: number) => `${formatNumber(MAKER, v)} mm`
export const amps = (v: number) => `${formatNumber(MAKER, v)} A`
export const unitText = (u: string) => (u === '×' ? '' : ` ${u}`)
/** What a fact says, with its unit where it has one. */
export const saidText = (v: unknown, unit: string) =>
  v === null ? '?' : typeof v === 'number' ? `${formatNumber(MAKER, v)}${unitText(unit)}` : `“${String(v)}”`
/** The unit of a number; `×` for words, which have none. */
export const unitOfPlace = (p: FactPlace) => (isNumberPlace(p) ? p.fact.unit : '×')
/** Some names or sentences in one line, every one of them. */
export const listed = (all: readonly string[]) => all.join('; ')
