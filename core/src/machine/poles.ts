import { known } from '../facts'
import type { FACINGS, FittedPart, POLES, Saber, TOWARDS } from '../record'
import type { Reader } from '../units'
import { say } from '../words'

type End = (typeof FACINGS)[number]
type Pole = (typeof POLES)[number]

/** What is recorded of a cell's poles: the end to which plus looks, and the pole that goes in first. What is only assumed is no pole. */
export function polesOf(p: FittedPart): { plus: End | undefined; leads: Pole | undefined } {
  return {
    plus: p.faces?.source === 'assumed' ? undefined : known(p.faces),
    leads: p.leads?.source === 'assumed' ? undefined : known(p.leads),
  }
}

/** The end to which the plus poles of the cells that come out look; undefined where nobody said, or they differ. */
export function plusOf(s: Saber): End | undefined {
  const ends = new Set(s.parts.flatMap((p) => (p.kind === 'cell' && p.removable ? [polesOf(p).plus] : [])))
  const [one] = ends
  return ends.size === 1 ? one : undefined
}

/**
 * The pole that must go in first where a cell is pushed in along its axis from an end: the one that lies away from it. One that
 * is tipped in from the side may lead with either: undefined.
 */
export const leadsFrom = (plus: End | undefined, from: (typeof TOWARDS)[number]): Pole | undefined =>
  plus === undefined || from === 'aside' ? undefined : plus === from ? 'minus' : 'plus'

/** The maker's own words on poles with what is recorded of them beside it, unless they say the very same. */
export function polesBeside(reader: Reader, p: FittedPart, words: string): string {
  const recorded = polesText(reader, p)
  return !recorded || words.toLowerCase().includes(recorded.toLowerCase()) ? words : `${recorded}; ${words}`
}

/** What is recorded of a cell's poles, in words; '' where nothing is. */
export function polesText(reader: Reader, p: FittedPart): string {
  const { plus, leads } = polesOf(p)
  return plus || leads ? say(reader, 'poles', { plus: plus ?? 'unsaid', first: leads ?? 'unsaid' }) : ''
}
