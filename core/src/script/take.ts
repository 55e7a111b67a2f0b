import Papa from 'papaparse'
import { type Beat, type Commission, readerOf, type Saber, type Take, toldSaber } from '../record'
import type { Reader } from '../units'
import { say } from '../words'
import { type CueTime, cueTimes, firstWords, stamp } from './export'
import { liveBeats } from './live'

/** A stretch of a film that is to be cut out, ms from its beginning. */
export interface Clip {
  fromMs: number
  toMs: number
  beat: Beat
  why: 'retaken' | 'slip'
  text?: string
}

/**
 * What to cut out of a take, in the order of time: every telling of a beat but the last one, and every slip that was marked
 * while it was filmed, from the beginning of the beat up to the mark. Marks of beats that are gone are left out.
 */
export function clipsOf(reader: Reader, s: Saber, take: Take): Clip[] {
  const by = new Map(liveBeats(reader, s).map((b) => [b.id, b]))
  const marks = [...take.marks].sort((a, b) => a.atMs - b.atMs)
  const end = endOf(take)
  const again = marks.flatMap((m, i): Clip[] => {
    const beat = by.get(m.beat)
    const later = marks.slice(i + 1).some((x) => x.beat === m.beat)
    return beat && later ? [{ fromMs: m.atMs, toMs: marks[i + 1]?.atMs ?? end, beat, why: 'retaken' }] : []
  })
  const slips = (take.slips ?? []).flatMap((x): Clip[] => {
    const beat = by.get(x.beat)
    // What was begun anew is among the tellings that are not the last.
    if (!beat || x.kind !== 'slip') return []
    const from = marks.filter((m) => m.beat === x.beat && m.atMs <= x.atMs).at(-1)?.atMs ?? x.atMs
    return [{ fromMs: from, toMs: x.atMs, beat, why: 'slip', ...(x.text ? { text: x.text } : {}) }]
  })
  return [...again, ...slips].sort((a, b) => a.fromMs - b.fromMs || a.toMs - b.toMs)
}

/** When a take ended: as it was noted, else with its last mark. */
export const endOf = (take: Take): number => take.endMs ?? Math.max(0, ...take.marks.map((m) => m.atMs))

/** Chapters of a film as WebVTT, one cue a beat, titled by its first words. */
export const chaptersVttOf = (reader: Reader, s: Saber, take?: Take): string =>
  `WEBVTT\n\n${cueTimes(reader, s, take)
    .map((c) => `${stamp(c.startMs)} --> ${stamp(c.endMs)}\n${firstWords(c.beat).replace(/-->/g, '→')}`)
    .join('\n\n')}\n`

const seconds = (ms: number) => (ms / 1000).toFixed(1)

/** A take as a table: each beat with when it was told, how long it was to take and took, and what was noticed. */
export function takeCsvOf(reader: Reader, s: Saber, take: Take): string {
  const slipsOf = (c: CueTime) =>
    (take.slips ?? [])
      .filter((x) => x.beat === c.beat.id)
      .map((x) => `${x.kind} ${stamp(x.atMs).slice(0, 8)}${x.text ? ` ${x.text}` : ''}`)
      .join('; ')
  return Papa.unparse(
    {
      fields: ['beat', 'says', 'begins', 'ends', 'planned s', 'took s', 'over s', 'marks'],
      data: cueTimes(reader, s, take).map((c) => [
        s.beats.findIndex((b) => b.id === c.beat.id) + 1,
        c.beat.say,
        stamp(c.startMs),
        stamp(c.endMs),
        c.beat.seconds,
        seconds(c.endMs - c.startMs),
        seconds(c.endMs - c.startMs - c.beat.seconds * 1000),
        slipsOf(c),
      ]),
    },
    { escapeFormulae: true },
  )
}

/** Beats that are not spoken, and what of the plan a take never came to. */
export function leftOutOf(reader: Reader, s: Saber, take?: Take): Beat[] {
  const marked = take && new Set(take.marks.map((m) => m.beat))
  return liveBeats(reader, s).filter((b) => b.leftTo || (marked && !marked.has(b.id)))
}

/** Text to put beside a film, in the client's language: what it is, its chapters, and where the rest is read. */
export function descriptionOf(c: Commission, saber: Saber, take?: Take): string {
  const [reader, s] = [readerOf(c), toldSaber(c, saber)]
  const lines = cueTimes(reader, s, take).map((x) => `${stamp(x.startMs).slice(0, 8)} ${firstWords(x.beat)}`)
  const left = leftOutOf(reader, s, take).map((b) => `- ${firstWords(b)}`)
  return [
    say(reader, 'script.title', { saber: s.name }),
    '',
    ...lines,
    ...(left.length ? ['', say(reader, 'script.onPaper'), ...left] : []),
    '',
  ].join('\n')
}
