import { known } from '../facts'
import { type ControlRow, type POSES, type Timing, worksIn } from '../record'
import type { ControlMap } from './modes'

export type Pose = (typeof POSES)[number]
/** The poses that a saber can be in; `any` stands for all of them. */
export const THREE_POSES = ['up', 'level', 'down'] as const

/** How boards usually read a hand, where nothing is recorded: seconds, and degrees from level. Trade practice, all editable. */
export const USUAL = {
  tapMost: 0.4,
  tapGap: 0.35,
  chordGap: 0.15,
  beepEvery: 1,
  upFrom: 50,
  downFrom: 50,
  handKeeps: 0.4,
} as const satisfies Record<keyof Timing, number>
/** A hold that nobody has timed is taken as so long, s. */
export const USUAL_HOLD = 1

/** A figure of the timing with where it comes from: recorded, or as boards usually have it. */
export const timingOf = (m: Pick<ControlMap, 'timing'>, key: keyof Timing): number => known(m.timing[key]) ?? USUAL[key]

/** The gestures that a motion of the hilt makes, and those of a thing that is slid or put in. */
const MOTION = ['twist', 'thrust', 'swing', 'shake', 'slide', 'insert'] as const
export type Motion = (typeof MOTION)[number] | 'strike' | 'flick'
export type Sort = 'tap' | 'hold' | 'holdThenTap' | 'chord' | 'holdMotion' | 'motion'

/** A row as the board reads it: which event it waits for, and between which times. */
export interface Pattern {
  row: ControlRow
  /** Its place in the map. */
  n: number
  /** What it shares with rows that differ by pose, preset and time alone. */
  stem: string
  sort: Sort
  input: string
  other?: string
  motion?: Motion
  times: number
  /** From when on a hold counts, and until when; seconds. */
  from: number
  to: number
  /** When a hold is carried out. */
  fires: 'reached' | 'letGo' | 'whileHeld'
}

export const sortOf = (r: ControlRow): Sort => {
  switch (r.gesture) {
    case 'tap':
    case 'hold':
    case 'holdThenTap':
    case 'chord':
      return r.gesture
    case 'holdStrike':
    case 'holdFlick':
      return 'holdMotion'
    default:
      return 'motion'
  }
}
const motionOf = (r: ControlRow): Motion | undefined =>
  r.gesture === 'holdStrike' ? 'strike' : r.gesture === 'holdFlick' ? 'flick' : MOTION.find((g) => g === r.gesture)

/** From when on a row's hold counts, s: its beeps, its time, or what a hold is taken as. Nothing for what is not held so long. */
export function heldFrom(m: Pick<ControlMap, 'timing'>, r: ControlRow): number {
  if (r.beeps !== undefined) return r.beeps * timingOf(m, 'beepEvery')
  if (r.gesture === 'hold') return known(r.hold) ?? USUAL_HOLD
  return HELD.has(r.gesture) ? (known(r.hold) ?? 0) : 0
}
/** The gestures told apart by how long something is held. */
export const HELD: ReadonlySet<ControlRow['gesture']> = new Set([
  'hold',
  'holdThenTap',
  'chord',
  'holdStrike',
  'holdFlick',
])
/** Effects that last as long as the hand that calls them, where nothing else is said. */
const LASTS: ReadonlySet<ControlRow['does']> = new Set(['lock', 'drag', 'melt'])
/** Times nearer than this are one time to a board, s. */
const ONE_TIME = 0.05

/**
 * What two rows share when the same hand, in the same mode, makes both: they differ then by pose, preset and time alone. The
 * inputs of a chord have no order unless it is given one.
 */
export function stemOf(r: ControlRow): string {
  const inputs = r.gesture === 'chord' && !r.ordered ? [r.input, r.other ?? ''].sort() : [r.input, r.other ?? '']
  return `${r.mode} ${r.gesture} ${r.times ?? 1} ${inputs.join(' ')}`
}

/** Whether a row is in force in a pose and a preset. */
const inForce = (r: ControlRow, pose: Pose, preset: string | undefined): boolean =>
  (r.pose === 'any' || r.pose === pose) && worksIn(r, preset)
const specialOf = (r: ControlRow): number => (r.presets?.length ? 2 : 0) + (r.pose === 'any' ? 0 : 1)

/** Everything that counts in one mode, pose and preset: what is overruled is left out, and each hold ends where a longer one begins. */
export interface Context {
  patterns: readonly Pattern[]
  /** By the input that begins it. */
  of: ReadonlyMap<string, readonly Pattern[]>
  /** The most taps that anything asks of an input. */
  mostTaps: ReadonlyMap<string, number>
  /** Up to how many beeps are counted while an input is held. */
  beeps: ReadonlyMap<string, number>
}

/** A row with its place in the map, and what it shares with others. */
interface PlacedRow {
  row: ControlRow
  n: number
  stem: string
  from: number
  special: number
}

/** A map made ready to be run: rows by mode, and each context the first time that it is asked for. */
export interface ControlProgram {
  map: ControlMap
  context(mode: string, pose: Pose, preset: string | undefined): Context
  /** Rows of a mode, in the order of the map. */
  rowsOf(mode: string): readonly PlacedRow[]
  timing: Record<keyof Timing, number>
}

/** Makes a map ready to be run. What it says is remembered by the map, so the map must not be changed afterwards. */
export function compile(map: ControlMap): ControlProgram {
  const timing = Object.fromEntries(
    (Object.keys(USUAL) as (keyof Timing)[]).map((k) => [k, timingOf(map, k)]),
  ) as Record<keyof Timing, number>
  const byMode = new Map<string, PlacedRow[]>()
  map.controls.forEach((row, n) => {
    const list = byMode.get(row.mode)
    const placed = { row, n, stem: stemOf(row), from: heldFrom(map, row), special: specialOf(row) }
    if (list) list.push(placed)
    else byMode.set(row.mode, [placed])
  })
  const special = new Set(map.controls.flatMap((r) => r.presets ?? []))
  const made = new Map<string, Context>()
  const rowsOf = (mode: string) => byMode.get(mode) ?? []
  return {
    map,
    timing,
    rowsOf,
    context(mode, pose, preset) {
      // Presets of which no row speaks are alike.
      const key = `${mode} ${pose} ${preset !== undefined && special.has(preset) ? preset : ''}`
      let c = made.get(key)
      if (!c) {
        c = contextOf(
          timing,
          rowsOf(mode).filter(({ row }) => inForce(row, pose, preset)),
        )
        made.set(key, c)
      }
      return c
    },
  }
}

function contextOf(timing: Record<keyof Timing, number>, rows: readonly PlacedRow[]): Context {
  const stems = new Map<string, PlacedRow[]>()
  for (const placed of rows) {
    const list = stems.get(placed.stem)
    if (list) list.push(placed)
    else stems.set(placed.stem, [placed])
  }
  const patterns: Pattern[] = []
  for (const list of stems.values()) {
    // Of what one hand cannot tell apart the most special counts; among equals the first, and the clash is a finding.
    const kept: PlacedRow[] = []
    for (const e of list.sort((a, b) => b.special - a.special || a.n - b.n))
      if (!kept.some((k) => clash(k, e))) kept.push(e)
    kept.sort((a, b) => a.from - b.from)
    kept.forEach((e, i) => {
      const next = kept[i + 1]?.from
      const { row } = e
      const most = known(row.most)
      const to = Math.min(most ?? Number.POSITIVE_INFINITY, endOf(row, e.from, timing.beepEvery), next ?? Infinity)
      patterns.push({
        ...{ row, n: e.n, stem: e.stem, sort: sortOf(row), input: row.input, times: row.times ?? 1, from: e.from, to },
        ...(row.other === undefined ? {} : { other: row.other }),
        ...(motionOf(row) ? { motion: motionOf(row)! } : {}),
        fires: row.release ?? usualRelease(row, next !== undefined || most !== undefined || row.beeps !== undefined),
      })
    })
  }
  patterns.sort((a, b) => a.n - b.n)
  const of = new Map<string, Pattern[]>()
  const mostTaps = new Map<string, number>()
  const beeps = new Map<string, number>()
  for (const p of patterns) {
    for (const input of p.sort === 'chord' && p.other !== undefined ? [p.input, p.other] : [p.input]) {
      const list = of.get(input)
      if (list) list.push(p)
      else of.set(input, [p])
    }
    if (p.sort === 'tap' || p.sort === 'hold' || p.sort === 'motion') {
      const key = tapKey(p.input, p.motion)
      mostTaps.set(key, Math.max(mostTaps.get(key) ?? 0, p.times))
    }
    if (p.row.beeps !== undefined) beeps.set(p.input, Math.max(beeps.get(p.input) ?? 0, p.row.beeps))
  }
  return { patterns, of, mostTaps, beeps }
}

/** Taps of an input and repetitions of a motion are counted apart. */
export const tapKey = (input: string, motion?: Motion): string => (motion ? `${input}/${motion}` : input)

const endOf = (r: ControlRow, from: number, every: number): number =>
  r.beeps === undefined ? Number.POSITIVE_INFINITY : from + every

/** When a hold is carried out where nobody has said: let go where a longer one could follow, held as long as an effect lasts. */
const usualRelease = (r: ControlRow, bounded: boolean): Pattern['fires'] =>
  bounded ? 'letGo' : LASTS.has(r.does) && HELD.has(r.gesture) ? 'whileHeld' : 'reached'

/** Whether two rows of one stem ask for the same: holds are told apart by time, when both are timed. */
function clash(a: { row: ControlRow; from: number }, b: { row: ControlRow; from: number }): boolean {
  if (!HELD.has(a.row.gesture) || !isTimed(a.row) || !isTimed(b.row)) return true
  return Math.abs(a.from - b.from) < ONE_TIME
}
/** Whether it is known how long a row is held; only a plain hold has to say so. */
export const isTimed = (r: ControlRow): boolean =>
  r.gesture !== 'hold' || known(r.hold) !== undefined || r.beeps !== undefined
