import { after, type Mode, reach } from '../controls'
import type { ControlRow } from '../record'

/** Modes in which nothing shines. */
export const DARK: readonly Mode[] = ['off', 'asleep']

/**
 * The order in which gestures are shown so that each is possible where the one before has led, with as few others between as
 * can be: what stays in a mode first, then what leads to a mode of which something is still to be shown, and what makes it
 * dark last. Between them only gestures that were shown already. `rows` in the order in which they would be told.
 */
export function walked(rows: readonly ControlRow[], start: Mode): ControlRow[] {
  const left = [...rows]
  const shown: ControlRow[] = []
  let mode = start
  /** How many of what is left could not be reached any more when this one is shown next. */
  const stranded = (r: ControlRow) => {
    const rest = left.filter((x) => x !== r)
    const to = reach([...rest, ...shown, r], after(r))
    return rest.filter((x) => !to.has(x.state)).length
  }
  while (left.length) {
    const near = reach(shown, mode)
    const rank = (r: ControlRow) => {
      const steps = near.get(r.state)?.length
      const leadsOn = left.some((x) => x !== r && x.state === after(r))
      return [
        steps === undefined ? 1 : 0,
        stranded(r),
        // What makes it dark waits for all that can still be shown without.
        !DARK.includes(r.state) &&
        DARK.includes(after(r)) &&
        left.some((x) => x !== r && near.has(x.state) && !(!DARK.includes(x.state) && DARK.includes(after(x))))
          ? 1
          : 0,
        steps ?? 0,
        after(r) === r.state ? 0 : leadsOn ? 1 : 2,
        left.indexOf(r),
      ]
    }
    const next = left
      .map((r) => ({ r, rank: rank(r) }))
      .sort((a, b) => a.rank.map((v, i) => v - b.rank[i]!).find((d) => d !== 0) ?? 0)[0]!.r
    left.splice(left.indexOf(next), 1)
    shown.push(next)
    mode = after(next)
  }
  return shown
}
