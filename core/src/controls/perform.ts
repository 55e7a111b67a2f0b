import type { ControlRow } from '../record'
import { type Board, heldFrom, type Motion, type Pattern, type Pose, sortOf } from './compile'
import { after, reach, rowsIn, startsOf } from './modes'
import { type BoardState, type HandEvent, type Happening, stateIn, stepAll } from './simulate'

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
export function patternOf(b: Board, r: ControlRow, pose: Pose, preset: string | undefined): Pattern | undefined {
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
export function eventsFor(b: Board, r: ControlRow, t: number, slip: Slip = {}, preset?: string): HandEvent[] {
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
    press(r.other, tap)
    now += gap
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
export const rowsDone = (happened: readonly Happening[]): string[] =>
  happened.flatMap((h) => (h.what === 'did' || h.what === 'began' ? [h.row] : []))

/** A slip of a hand on an everyday gesture: what was wanted, what came of it, and the rows that lead back to where it should be. */
export interface SlipFound {
  row: string
  slip: 'longer' | 'once more' | 'lit' | 'dark'
  /** How it was made, s or times. */
  made: number
  did: string[]
  ends: string
  /** Shortest way to the mode that was wanted; nothing where there is none. */
  back: string[] | undefined
}

/** Actions that a client makes every day, in the order in which they are learnt. */
export const EVERYDAY: readonly ControlRow['does'][] = [
  ...(['powerOn', 'wake', 'ignite', 'retract', 'nextPreset', 'lock', 'deflect', 'volumeUp', 'mute', 'sleep'] as const),
]

/**
 * For each everyday gesture what one held a little longer, made once more, or made in play (lit instead of dark, dark instead of
 * lit) leads to. What leads where it should is left out.
 */
export function slipsOf(b: Board, st: BoardState, rows: readonly ControlRow[]): SlipFound[] {
  const out: SlipFound[] = []
  const preset = b.map.presets[st.preset]?.id
  const live = rowsIn(b.map.controls, preset)
  for (const r of rows) {
    const p = patternOf(b, r, r.pose === 'any' ? 'level' : r.pose, preset)
    if (!p) continue
    const wanted = after(b.map, r)
    const tries: { slip: SlipFound['slip']; made: number; how: Slip; mode: string }[] = []
    if (p.sort === 'hold' || p.sort === 'tap') {
      const longer = (p.sort === 'hold' ? heldFor(p) : b.timing.tapMost) + b.timing.handKeeps
      tries.push({ slip: 'longer', made: longer, how: { held: longer }, mode: r.mode })
    }
    if (p.sort === 'tap')
      tries.push({ slip: 'once more', made: p.times + 1, how: { times: p.times + 1 }, mode: r.mode })
    for (const m of b.map.modes)
      if (m.id !== r.mode && (m.is === 'lit' || m.is === 'off') && b.rowsOf(m.id).length)
        tries.push({ slip: m.is === 'lit' ? 'lit' : 'dark', made: 0, how: {}, mode: m.id })
    for (const { slip, made, how, mode } of tries) {
      const from = stateIn(b, st, mode)
      const { state, happened } = stepAll(b, from, eventsFor(b, r, from.t, how, preset))
      const did = rowsDone(happened)
      if (state.mode === wanted && did.length === 1 && did[0] === r.id) continue
      if (!did.length && (slip === 'lit' || slip === 'dark')) continue
      const back =
        state.mode === wanted
          ? []
          : reach(b.map, live, state.mode)
              .get(wanted)
              ?.map((x) => x.id)
      out.push({ row: r.id, slip, made, did, ends: state.mode, back })
    }
  }
  return out
}

/** One thing to learn, and what has to be known before it can be tried. */
export interface Lesson {
  row: string
  /** The rows that lead there from where one begins, learnt before. */
  way: string[]
}

/**
 * What a beginner learns, in order: what lights it and makes it dark again first, then what he will want every day, then the
 * rest; each after what leads to it. Rows that cannot be reached are left out.
 */
export function lessonsOf(b: Board, preset?: string): Lesson[] {
  const live = rowsIn(b.map.controls, preset).filter((r) => r.status !== 'unsure')
  const starts = startsOf(b.map, live)
  const from = starts.at(-1)
  if (from === undefined) return []
  const rank = (r: ControlRow) => {
    const i = EVERYDAY.indexOf(r.does)
    return (i < 0 ? EVERYDAY.length : i) * 4 + (r.pose === 'any' ? 0 : 1) + ((r.times ?? 1) > 1 ? 1 : 0)
  }
  const ways = new Map(starts.toReversed().flatMap((s) => [...reach(b.map, live, s)]))
  for (const [mode, way] of reach(b.map, live, from)) ways.set(mode, way)
  const learnt = new Set<string>()
  const out: Lesson[] = []
  const learn = (r: ControlRow) => {
    const way = ways.get(r.mode)
    if (learnt.has(r.id) || !way) return
    learnt.add(r.id)
    for (const w of way) learn(w)
    out.push({ row: r.id, way: way.map((w) => w.id) })
  }
  for (const r of [...live].sort((x, y) => rank(x) - rank(y))) learn(r)
  return out
}
