import { known } from '../facts'
import type { Action, ControlRow, STATES } from '../record'

export type Mode = (typeof STATES)[number]

/** The state an action leads to when the row does not name one. Undefined: it stays where it is. */
const LEADS_TO: Partial<Record<Action, Mode>> = {
  powerOn: 'off',
  wake: 'off',
  sleep: 'asleep',
  ignite: 'lit',
  retract: 'off',
  menuOpen: 'menu',
  menuClose: 'off',
  mute: 'muted',
  unmute: 'lit',
  combatOn: 'combat',
  combatOff: 'lit',
}

/** The state after a row has been carried out. */
export const after = (row: ControlRow): Mode => row.to ?? LEADS_TO[row.does] ?? row.state

/** Two rows that the board could not tell apart. */
export interface Collision {
  a: ControlRow
  b: ControlRow
  why: 'same' | 'holdsTooClose'
}

/** Two hold times nearer than this cannot be kept apart by a hand, s. */
export const HOLD_APART = 0.4

const posesMeet = (a: ControlRow, b: ControlRow) => a.pose === 'any' || b.pose === 'any' || a.pose === b.pose
const presetsMeet = (a: ControlRow, b: ControlRow) =>
  !a.presets?.length || !b.presets?.length || a.presets.some((p) => b.presets!.includes(p))

/**
 * Finds pairs of rows with one state, input, gesture and count in a pose and preset they share, that do different things.
 * Holds may differ by time, but must be at least 0.4 s apart. A pose-specific row beside an "any" row collides too.
 */
export function collisions(rows: readonly ControlRow[]): Collision[] {
  const out: Collision[] = []
  for (let i = 0; i < rows.length; i++)
    for (let j = i + 1; j < rows.length; j++) {
      const [a, b] = [rows[i]!, rows[j]!]
      if (
        a.state !== b.state ||
        a.input !== b.input ||
        a.gesture !== b.gesture ||
        (a.times ?? 1) !== (b.times ?? 1) ||
        a.other !== b.other
      )
        continue
      if (!posesMeet(a, b) || !presetsMeet(a, b)) continue
      const [ha, hb] = [known(a.hold), known(b.hold)]
      if (ha !== undefined && hb !== undefined && ha !== hb) {
        if (Math.abs(ha - hb) < HOLD_APART - 1e-9) out.push({ a, b, why: 'holdsTooClose' })
      } else out.push({ a, b, why: 'same' })
    }
  return out
}

/** States reachable from the ones a powered saber can be found in, by the rows alone. */
export function reachable(rows: readonly ControlRow[], start: readonly Mode[] = ['off', 'asleep']): Set<Mode> {
  const seen = new Set<Mode>(start.filter((m) => m === 'off' || rows.some((r) => r.state === m)))
  for (let grew = true; grew; ) {
    grew = false
    for (const r of rows) {
      if (seen.has(r.state) && !seen.has(after(r))) {
        seen.add(after(r))
        grew = true
      }
    }
  }
  return seen
}

/** States from which no sequence of rows leads back to "off" (or "asleep"). */
export function traps(rows: readonly ControlRow[]): Mode[] {
  return [...reachable(rows)].filter((m) => {
    if (m === 'off' || m === 'asleep') return false
    const from = reachable(rows, [m])
    return !(from.has('off') || from.has('asleep'))
  })
}
