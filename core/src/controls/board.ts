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

/** Whether two rows are in force in one preset with the same right: one for some presets overrules one for all. */
const presetsMeet = (a: ControlRow, b: ControlRow) => {
  const [p, q] = [a.presets ?? [], b.presets ?? []]
  return p.length && q.length ? p.some((x) => q.includes(x)) : p.length === q.length
}
/** Which inputs a row takes: those of a chord have no order. */
const inputsOf = (r: ControlRow): string =>
  (r.gesture === 'chord' ? [r.input, r.other ?? ''].sort() : [r.input, r.other ?? '']).join(' ')
const sameDoing = (a: ControlRow, b: ControlRow) =>
  a.does === b.does && (a.says ?? '') === (b.says ?? '') && after(a) === after(b)

/**
 * Finds pairs of rows with one state, inputs, gesture, count, pose and preset that do different things. What is said of one
 * pose or of some presets overrules what is said of any, as a board has it. Holds may differ by time, but must be at least
 * 0.4 s apart.
 */
export function collisions(rows: readonly ControlRow[]): Collision[] {
  const out: Collision[] = []
  for (let i = 0; i < rows.length; i++)
    for (let j = i + 1; j < rows.length; j++) {
      const [a, b] = [rows[i]!, rows[j]!]
      if (
        a.state !== b.state ||
        a.gesture !== b.gesture ||
        a.pose !== b.pose ||
        (a.times ?? 1) !== (b.times ?? 1) ||
        inputsOf(a) !== inputsOf(b) ||
        !presetsMeet(a, b) ||
        sameDoing(a, b)
      )
        continue
      const [ha, hb] = [known(a.hold), known(b.hold)]
      if (ha !== undefined && hb !== undefined && ha !== hb) {
        if (Math.abs(ha - hb) < HOLD_APART - 1e-9) out.push({ a, b, why: 'holdsTooClose' })
      } else out.push({ a, b, why: 'same' })
    }
  return out
}

/** Modes to which gestures lead from a mode, with the fewest gestures to each; the mode itself by none. */
export function reach(rows: readonly ControlRow[], from: Mode): Map<Mode, ControlRow[]> {
  const found = new Map<Mode, ControlRow[]>([[from, []]])
  const open: Mode[] = [from]
  for (let mode = open.shift(); mode !== undefined; mode = open.shift())
    for (const r of rows)
      if (r.state === mode && !found.has(after(r))) {
        found.set(after(r), [...found.get(mode)!, r])
        open.push(after(r))
      }
  return found
}

/** States reachable from the ones a powered saber can be found in, by the rows alone. */
export function reachable(rows: readonly ControlRow[], start: readonly Mode[] = ['off', 'asleep']): Set<Mode> {
  const from = start.filter((m) => m === 'off' || rows.some((r) => r.state === m))
  return new Set(from.flatMap((m) => [...reach(rows, m).keys()]))
}

/** A state that one cannot leave, and the presets in which it is so. */
export interface Trap {
  state: Mode
  presets: string[]
}

/**
 * States that can be reached and from which no sequence of rows leads back to "off", preset by preset: what exists in another
 * preset does not help who has this one before him. Asleep is a way back only where something wakes it.
 */
export function traps(rows: readonly ControlRow[], presets: readonly string[]): Trap[] {
  const found = new Map<Mode, string[]>()
  for (const preset of presets.length ? presets : [undefined]) {
    const here = rows.filter((r) => !r.presets?.length || preset === undefined || r.presets.includes(preset))
    for (const m of reachable(here)) {
      if (m === 'off' || reachable(here, [m]).has('off')) continue
      found.set(m, [...(found.get(m) ?? []), ...(preset === undefined ? [] : [preset])])
    }
  }
  return [...found].map(([state, list]) => ({ state, presets: list }))
}
