import type { InHand } from './stock'

/** How often a row was built in lately, and how long one waits for more. */
export interface Used {
  /** Pieces built in over the last `days`. */
  used: number
  days: number
  /** Days from order to arrival that eight of ten orders do not take longer than. */
  lead: number
}
export interface Low {
  row: InHand
  free: number
  /** So many are used while one waits for more. */
  needed: number
  used: number
}
/** Fewer than so many a season are not used often. */
const OFTEN = 3

/**
 * Rows of which less is free than is used while one waits for more, at the pace of late; only of what is counted and used often.
 * `free`: in hand, less what is spoken for.
 */
export function lowOf(rows: readonly { row: InHand; free: number }[], usedOf: (id: string) => Used): Low[] {
  return rows.flatMap(({ row, free }) => {
    const { used, days, lead } = usedOf(row.id)
    if (row.stock === undefined || used < OFTEN) return []
    const needed = Math.ceil((used / days) * lead)
    return free < needed ? [{ row, free, needed, used }] : []
  })
}
