import { after, isOf, reach } from '../controls'
import type { ControlRow, Saber } from '../record'

/** Whether nothing is going on in a mode: off or asleep. */
export const isDark = (s: Pick<Saber, 'modes'>, mode: string): boolean => ['off', 'asleep'].includes(isOf(s, mode))

/**
 * The order in which gestures are shown so that each is possible where the one before has led, with as few others between as
 * can be: what stays in a mode first, then what leads to a mode of which something is still to be shown, and what makes it
 * dark last. Between them only gestures that were shown already. `rows` in the order in which they would be told.
 */
export function walked(s: Pick<Saber, 'modes'>, rows: readonly ControlRow[], start: string): ControlRow[] {
  const to = (r: ControlRow) => after(s, r)
  const dark = (mode: string) => isDark(s, mode)
  const left = [...rows]
  const shown: ControlRow[] = []
  let mode = start
  /** How many of what is left could not be reached any more when this one is shown next. */
  const stranded = (r: ControlRow) => {
    const rest = left.filter((x) => x !== r)
    const found = reach(s, [...rest, ...shown, r], to(r))
    return rest.filter((x) => !found.has(x.mode)).length
  }
  while (left.length) {
    const near = reach(s, shown, mode)
    const rank = (r: ControlRow) => {
      const steps = near.get(r.mode)?.length
      const leadsOn = left.some((x) => x !== r && x.mode === to(r))
      return [
        steps === undefined ? 1 : 0,
        stranded(r),
        // What makes it dark waits for all that can still be shown without.
        !dark(r.mode) && dark(to(r)) && left.some((x) => x !== r && near.has(x.mode) && !(!dark(x.mode) && dark(to(x))))
          ? 1
          : 0,
        steps ?? 0,
        to(r) === r.mode ? 0 : leadsOn ? 1 : 2,
        left.indexOf(r),
      ]
    }
    const next = left
      .map((r) => ({ r, rank: rank(r) }))
      .sort((a, b) => a.rank.map((v, i) => v - b.rank[i]!).find((d) => d !== 0) ?? 0)[0]!.r
    left.splice(left.indexOf(next), 1)
    shown.push(next)
    mode = to(next)
  }
  return shown
}
