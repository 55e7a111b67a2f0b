import { known } from '../facts'
import type { FACINGS, Saber } from '../record'

/** The end to which the plus poles of the cells that come out look; undefined where nobody said, or they differ. */
export function plusOf(s: Saber): (typeof FACINGS)[number] | undefined {
  const ends = new Set(s.parts.flatMap((p) => (p.kind === 'cell' && p.removable ? [known(p.faces)] : [])))
  const [one] = ends
  return ends.size === 1 ? one : undefined
}
