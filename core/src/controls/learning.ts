import type { ControlRow } from '../record'
import type { ControlProgram } from './compile'
import { after, reach, rowsIn, startsOf } from './modes'
import { eventsFor, heldFor, patternOf, rowsDone, type Slip } from './perform'
import { type BoardState, stateIn, stepAll } from './simulate'

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
export function slipsOf(b: ControlProgram, st: BoardState, rows: readonly ControlRow[]): SlipFound[] {
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
export function lessonsOf(b: ControlProgram, preset?: string): Lesson[] {
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
