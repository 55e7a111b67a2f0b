import { byId, type ControlRow, type Saber } from '../record'
import type { Reader } from '../units'
import { say } from '../words'
import { type ControlProgram, type Pattern, type Pose, sortOf } from './compile'
import { doingOf, gestureText, secondsInWords } from './gesture'
import { isOf, modeName, rowOfMap } from './modes'
import { patternOf } from './perform'
import type { BoardEvent, Made } from './simulate'

/** Why a try was not what was asked for. Times in seconds. */
export type Miss =
  | { code: 'mode'; is: string }
  | { code: 'pose'; is: Pose; wants: Pose }
  | { code: 'input'; did: string }
  | { code: 'count'; did: number; wants: number }
  | { code: 'tooShort'; held: number; from: number; beeps?: number }
  | { code: 'tooLong'; held: number; to: number; beeps?: number }
  | { code: 'gesture' }
  | { code: 'other'; row: string }

export type Tried = { ok: true } | { ok: false; miss: Miss }

/**
 * Whether what came of a hand is the row that was asked for, else what was different. Undefined for what settles nothing yet: a
 * tap that waits, a beep, an effect that ends.
 */
export function triedAt(b: ControlProgram, wanted: ControlRow, h: BoardEvent): Tried | undefined {
  if (h.what === 'did' || h.what === 'began') {
    if (h.row === wanted.id) return { ok: true }
    const did = rowOfMap(b.map, h.row)
    // The right hand for a wrong time says more than what came of it.
    if (did && h.held !== undefined && did.mode === wanted.mode && did.input === wanted.input) {
      const miss = timeMiss(b, wanted, h.held)
      if (miss && sortOf(did) === sortOf(wanted)) return { ok: false, miss }
    }
    return { ok: false, miss: { code: 'other', row: h.row } }
  }
  return h.what === 'nothing' ? { ok: false, miss: missOf(b, wanted, h.made) } : undefined
}

function timeMiss(
  b: ControlProgram,
  wanted: ControlRow,
  held: number,
  pose: Pose = 'level',
  preset?: string,
): Miss | undefined {
  const p = patternOf(b, wanted, pose, preset)
  if (!p) return undefined
  const beeps = wanted.beeps === undefined ? {} : { beeps: wanted.beeps }
  if (held < p.from) return { code: 'tooShort', held, from: p.from, ...beeps }
  return held >= p.to ? { code: 'tooLong', held, to: p.to, ...beeps } : undefined
}

function missOf(b: ControlProgram, wanted: ControlRow, made: Made): Miss {
  const p: Pattern | undefined = patternOf(b, wanted, made.pose, b.map.presets[made.preset]?.id)
  if (made.mode !== wanted.mode) return { code: 'mode', is: made.mode }
  if (wanted.pose !== 'any' && made.pose !== wanted.pose) return { code: 'pose', is: made.pose, wants: wanted.pose }
  const sort = sortOf(wanted)
  const inputs = [wanted.input, wanted.other]
  if (sort !== 'motion' && made.sort !== 'motion' && !inputs.includes(made.input))
    return { code: 'input', did: made.input }
  // A hold that was let go too soon is read as a tap, a tap that was kept too long as a hold.
  if (sort === 'hold' && made.sort === 'tap')
    return {
      code: 'tooShort',
      held: b.timing.tapMost,
      from: p?.from ?? 0,
      ...(wanted.beeps ? { beeps: wanted.beeps } : {}),
    }
  if (sort === 'tap' && made.sort === 'hold') return { code: 'tooLong', held: made.held ?? 0, to: b.timing.tapMost }
  if (made.sort !== sort || made.motion !== (p?.motion ?? made.motion)) return { code: 'gesture' }
  if (made.times !== (wanted.times ?? 1)) return { code: 'count', did: made.times, wants: wanted.times ?? 1 }
  return (made.held === undefined ? undefined : timeMiss(b, wanted, made.held, made.pose)) ?? { code: 'gesture' }
}

/** What is asked of somebody who practises. */
export const askText = (reader: Reader, s: Saber, r: ControlRow): string =>
  say(reader, 'practice.ask', { what: doingOf(reader, r), state: isOf(s, r.mode), mode: modeName(s, r.mode) })
/** How it is done, for whoever asks. */
export const hintText = (reader: Reader, s: Saber, r: ControlRow): string =>
  say(reader, 'practice.hint', { gesture: gestureText(reader, s, r) })

/** What was different, as a sentence to whoever tried. */
export function missText(reader: Reader, s: Saber, miss: Miss): string {
  const other = miss.code === 'other' ? byId(s.controls, miss.row) : undefined
  return say(reader, 'practice.miss', {
    code: miss.code,
    // What a hand did is told as far as a hand knows it.
    held: 'held' in miss ? secondsInWords(reader, Math.round(miss.held * 10) / 10, true) : '',
    from: miss.code === 'tooShort' ? secondsInWords(reader, miss.from) : '',
    to: miss.code === 'tooLong' ? secondsInWords(reader, miss.to, true) : '',
    beeps: 'beeps' in miss ? (miss.beeps ?? 0) : 0,
    counted: 'beeps' in miss && miss.beeps ? 'yes' : 'no',
    did: miss.code === 'count' ? say(reader, 'times', { n: miss.did }) : '',
    wants: miss.code === 'count' ? say(reader, 'times', { n: miss.wants }) : '',
    pose: miss.code === 'pose' ? miss.wants : '',
    input: miss.code === 'input' ? (byId(s.inputs, miss.did)?.name ?? '') : '',
    mode: miss.code === 'mode' ? modeName(s, miss.is) : '',
    what: other ? doingOf(reader, other) : '',
  })
}
