import type { Beat, SLIP_KINDS, Take } from '../record'

export type SlipKind = (typeof SLIP_KINDS)[number]
interface SlipMark {
  kind: SlipKind
  beat: string
  atMs: number
}

/** A film that is being made: which beat is told, when each was begun, and what was noticed. Times in ms from its beginning. */
export interface Filming {
  at: number
  running: boolean
  marks: readonly { beat: string; atMs: number }[]
  slips: readonly SlipMark[]
}
export type FilmAct = { do: 'start' } | { do: 'next' } | { do: 'back' } | { do: 'jump'; to: number } | { do: SlipKind }

/** A film that has not begun stands before the first beat that is spoken. */
export const filmOf = (beats: readonly Beat[]): Filming => ({
  at: Math.max(
    0,
    beats.findIndex((b) => !b.leftTo),
  ),
  running: false,
  marks: [],
  slips: [],
})

/** The nearest beat in a direction that is spoken; where there is none, the one it stands at. */
function near(beats: readonly Beat[], from: number, step: 1 | -1): number {
  for (let i = from + step; i >= 0 && i < beats.length; i += step) if (!beats[i]!.leftTo) return i
  return from
}

/**
 * What comes of an act at a time. The first "next" only starts the clock; a beat that is told again is marked again; a retake
 * begins the beat anew. Acts that lead nowhere change nothing.
 */
export function filmed(beats: readonly Beat[], f: Filming, act: FilmAct, atMs: number): Filming {
  const here = beats[f.at]
  if (!here) return f
  if (!f.running) {
    if (act.do === 'back') return { ...f, at: near(beats, f.at, -1) }
    if (act.do === 'jump') return { ...f, at: act.to in beats ? act.to : f.at }
    if (act.do !== 'next' && act.do !== 'start') return f
    return { ...f, running: true, marks: [{ beat: here.id, atMs: 0 }] }
  }
  const mark = (at: number): Filming =>
    at === f.at || !beats[at] ? f : { ...f, at, marks: [...f.marks, { beat: beats[at]!.id, atMs }] }
  switch (act.do) {
    case 'start':
      return f
    case 'next':
      return mark(near(beats, f.at, 1))
    case 'back':
      return mark(near(beats, f.at, -1))
    case 'jump':
      return mark(act.to)
    case 'retake':
      return {
        ...f,
        slips: [...f.slips, { kind: 'retake', beat: here.id, atMs }],
        marks: [...f.marks, { beat: here.id, atMs }],
      }
    default:
      return { ...f, slips: [...f.slips, { kind: act.do, beat: here.id, atMs }] }
  }
}

/** The first beat that is spoken and was not told yet; undefined when all were. */
export function firstOpen(beats: readonly Beat[], f: Pick<Filming, 'marks'>): number | undefined {
  const told = new Set(f.marks.map((m) => m.beat))
  const i = beats.findIndex((b) => !b.leftTo && !told.has(b.id))
  return i < 0 ? undefined : i
}

/** How long the beat that is told is over its time; negative while there is time left. Seconds. */
export function overBy(beats: readonly Beat[], f: Filming, atMs: number): number {
  const last = f.marks.at(-1)
  const beat = beats[f.at]
  return last && beat ? (atMs - last.atMs) / 1000 - beat.seconds : 0
}

/** What is still to be spoken after the beat that is told, by plan, and what is left of this one. Seconds. */
export function remaining(beats: readonly Beat[], f: Filming, atMs: number): number {
  const after = beats.slice(f.at + 1).reduce((a, b) => a + (b.leftTo ? 0 : b.seconds), 0)
  const here = beats[f.at]?.seconds ?? 0
  return after + (f.running ? Math.max(0, -overBy(beats, f, atMs)) : here)
}

/** The take that a film becomes; undefined where nothing was told. */
export function takeOf(
  f: Filming,
  more: {
    id: string
    at: string
    by?: string
    endMs: number
    slipId: () => string
    was?: (beat: string) => string | undefined
  },
): Take | undefined {
  if (!f.marks.length) return undefined
  return {
    ...{ id: more.id, at: more.at, ...(more.by ? { by: more.by } : {}) },
    marks: f.marks.slice(0, 400).map((m) => {
      const was = more.was?.(m.beat)
      return { ...m, ...(was ? { was } : {}) }
    }),
    endMs: more.endMs,
    ...(f.slips.length ? { slips: f.slips.slice(0, 200).map((x) => ({ id: more.slipId(), ...x })) } : {}),
  }
}
