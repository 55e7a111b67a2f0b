import type { ControlRow } from '../record'
import { type ControlProgram, heldFrom, type Motion, type Pattern, type Pose, sortOf } from './compile'
import type { BoardEvent, HandEvent } from './simulate'

/** How long a tap lasts, and what is left between two that count together; as a share of what the board allows. */
const SHARE = 0.4
/** How much longer than the least a hold is kept, s: half of what a hand keeps apart. */
const OVER = 0.2

/** A hand that makes a gesture otherwise than it should: held longer, tapped once more. */
export interface Slip {
  /** Held for so long instead, s. */
  held?: number
  /** So many taps instead. */
  times?: number
}

/** The pattern of a row where it is in force; in its own pose and first preset, else in those given. */
export function patternOf(
  b: ControlProgram,
  r: ControlRow,
  pose: Pose,
  preset: string | undefined,
): Pattern | undefined {
  const at = r.pose === 'any' ? pose : r.pose
  const of = r.presets?.length && !(preset !== undefined && r.presets.includes(preset)) ? r.presets[0] : preset
  return b.context(r.mode, at, of).patterns.find((p) => p.row.id === r.id)
}

/** How long a pattern is held by whoever wants exactly it, s: a little over its least, and in its window. */
export const heldFor = (p: Pattern): number =>
  Number.isFinite(p.to) ? (p.from + p.to) / 2 : p.from + (p.fires === 'whileHeld' ? Math.max(OVER, 0.6) : OVER)

/**
 * What a hand does to make a row's gesture, from a moment on: the pose first, then presses, releases and motions. A row that is
 * never in force is made as it reads. `slip` makes it otherwise.
 */
export function eventsFor(b: ControlProgram, r: ControlRow, t: number, slip: Slip = {}, preset?: string): HandEvent[] {
  const out: HandEvent[] = []
  const pose = r.pose === 'any' ? undefined : r.pose
  let now = t
  if (pose) out.push({ t: now, do: 'pose', pose })
  const p = patternOf(b, r, pose ?? 'level', preset)
  const tap = b.timing.tapMost * SHARE
  const gap = b.timing.tapGap * SHARE
  const times = slip.times ?? r.times ?? 1
  const hold = slip.held ?? (p ? heldFor(p) : heldFrom(b.map, r) + OVER)
  const press = (input: string, s: number) => {
    out.push({ t: now, do: 'press', input }, { t: now + s, do: 'release', input })
    now += s
  }
  const sort = sortOf(r)
  if (sort === 'tap' || (sort === 'hold' && slip.times !== undefined)) {
    for (let i = 0; i < times; i++) {
      press(r.input, slip.held !== undefined && i === times - 1 ? slip.held : tap)
      now += gap
    }
  } else if (sort === 'hold') {
    for (let i = 1; i < times; i++) {
      press(r.input, tap)
      now += gap
    }
    press(r.input, hold)
  } else if (sort === 'holdThenTap' && r.other !== undefined) {
    const wait = Math.max(hold, b.timing.chordGap * 2)
    out.push({ t: now, do: 'press', input: r.input })
    now += wait
    for (let i = 0; i < times; i++) {
      press(r.other, tap)
      now += gap
    }
    out.push({ t: now, do: 'release', input: r.input })
  } else if (sort === 'chord' && r.other !== undefined) {
    const apart = b.timing.chordGap * SHARE
    out.push({ t: now, do: 'press', input: r.input }, { t: now + apart, do: 'press', input: r.other })
    now += apart + Math.max(hold, tap)
    out.push({ t: now, do: 'release', input: r.other }, { t: now + apart, do: 'release', input: r.input })
    now += apart
  } else if (sort === 'holdMotion') {
    out.push({ t: now, do: 'press', input: r.input })
    now += hold
    out.push({ t: now, do: 'move', motion: r.gesture === 'holdStrike' ? 'strike' : 'flick' })
    now += Math.max(OVER, 0.6)
    out.push({ t: now, do: 'release', input: r.input })
  } else if (sort === 'motion')
    for (let i = 0; i < times; i++) {
      out.push({ t: now, do: 'move', motion: r.gesture as Motion, input: r.input })
      now += gap
    }
  out.push({ t: now + b.timing.tapGap + 0.01, do: 'wait' })
  return out
}

/** The rows that were carried out, in their order. */
export const rowsDone = (happened: readonly BoardEvent[]): string[] =>
  happened.flatMap((h) => (h.what === 'did' || h.what === 'began' ? [h.row] : []))
