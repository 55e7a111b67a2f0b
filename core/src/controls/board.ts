import { known } from '../record/fact'
import type { ACTIONS, ControlRow, Saber, STATES } from '../record/schema'

export type Mode = (typeof STATES)[number]

/** The state an action leads to when the row does not name one. Undefined: it stays where it is. */
const LEADS_TO: Partial<Record<(typeof ACTIONS)[number], Mode>> = {
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

const COUNT = [
  '',
  'once',
  'twice',
  'three times',
  'four times',
  'five times',
  'six times',
  'seven times',
  'eight times',
  'nine times',
]
const POSE: Record<string, string> = {
  any: '',
  up: ' with the blade up',
  level: ' with the blade level',
  down: ' with the blade down',
}

/** Seconds in words a client can count: "two seconds", "half a second", "1.2 seconds". */
export function secondsInWords(s: number): string {
  const whole = [
    '',
    'one second',
    'two seconds',
    'three seconds',
    'four seconds',
    'five seconds',
    'six seconds',
    'seven seconds',
    'eight seconds',
    'nine seconds',
    'ten seconds',
  ]
  if (Math.abs(s - 0.5) < 0.01) return 'half a second'
  return whole[s] && Number.isInteger(s) && s > 0 ? whole[s]! : `${Number(s.toFixed(1))} seconds`
}

/** The gesture of a row as an instruction: "hold the rear button for two seconds with the blade up". */
export function gestureText(saber: Saber, row: ControlRow): string {
  const name = (id: string | undefined) => {
    const i = saber.inputs.find((x) => x.id === id)
    return i ? `the ${i.name.toLowerCase()}` : 'the button'
  }
  const times = COUNT[row.times ?? 1] ?? 'once'
  const hold = known(row.hold)
  const holdFor =
    hold === undefined
      ? ' for a time not recorded'
      : ` for ${row.hold!.source === 'recalled' ? 'about ' : ''}${secondsInWords(hold)}`
  const body: Record<ControlRow['gesture'], string> = {
    tap: `press ${name(row.input)} ${times}`,
    hold: `hold ${name(row.input)}${holdFor}`,
    holdThenTap: `hold ${name(row.input)} and press ${name(row.other)} ${times}`,
    chord: `press ${name(row.input)} and ${name(row.other)} together`,
    holdStrike: `hold ${name(row.input)} and strike the blade`,
    holdFlick: `hold ${name(row.input)} and flick the hilt`,
    twist: `twist the hilt ${times}`,
    thrust: 'thrust forward',
    swing: 'swing',
    shake: 'shake the hilt',
    slide: `slide ${name(row.input)}`,
    insert: `use ${name(row.input)}`,
  }
  return body[row.gesture] + (POSE[row.pose] ?? '')
}
