import { known } from '../../facts'
import { type FittedPart, kindRule, type Saber } from '../../record'

/** A cell that does not reach from contact to contact where it lies. */
export interface NoContact {
  cell: FittedPart
  /** The part that says how long the shortest cell with contact is, and that length, mm. */
  place: FittedPart
  least: number
  /** By how much the cell is too short, mm. */
  short: number
}

/**
 * Removable cells that are shorter than the shortest which makes contact in their place, as a chassis, spring or contact
 * board of the saber says it. The longest such place counts, since which cell lies in which is not recorded. Cells and
 * places whose lengths are unknown are left out.
 */
export function cellTooShort(saber: Saber): NoContact[] {
  const places = saber.parts
    .map((place) => ({ place, least: known(place.specs.leastCell) }))
    .filter((p): p is { place: FittedPart; least: number } => p.least !== undefined)
    .sort((a, b) => b.least - a.least)
  const [longest] = places
  if (!longest) return []
  return saber.parts.flatMap((cell): NoContact[] => {
    const length = known(cell.specs.length)
    if (kindRule(cell.kind).glyph !== 'cell' || length === undefined) return []
    const short = longest.least - length
    return short > 0.05 ? [{ cell, ...longest, short }] : []
  })
}
