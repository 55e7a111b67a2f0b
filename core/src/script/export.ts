import { type Beat, nameOf, type Saber, type Take } from '../record'
import type { Reader } from '../units'
import { say } from '../words'
import { liveBeats } from './live'

/** The script as Markdown, one numbered beat a paragraph. */
export function markdownOf(reader: Reader, title: string, s: Saber): string {
  const lines = [`# ${say(reader, 'script.title', { saber: title })}`, '']
  liveBeats(reader, s).forEach((b, i) => {
    lines.push(`## ${i + 1}. ${firstWords(b)}`, '', b.say, '')
    const show = nameOf(s, b.show)
    if (show) lines.push(`- ${say(reader, 'script.show', { what: show })}`)
    if (b.doText) lines.push(`- ${say(reader, 'script.do', { what: b.doText })}`)
    if (b.expect) lines.push(`- ${say(reader, 'script.expect', { what: b.expect })}`)
    const left = b.leftTo && say(reader, 'script.leftTo', { leftTo: b.leftTo })
    lines.push(`- ${left ?? say(reader, 'script.about', { seconds: b.seconds })}`, '')
  })
  return `${lines.join('\n').trimEnd()}\n`
}

/** The first sentence of a beat, for a list. */
export const firstWords = (b: Beat) =>
  b.say
    .replace(/\n/g, ' ')
    .split(/(?<=[.:!?])\s/)[0]!
    .replace(/[.:]$/, '')
    .slice(0, 70)

/** hh:mm:ss.mmm, as WebVTT wants it. */
export function stamp(ms: number): string {
  const t = Math.max(0, Math.round(ms))
  const pad = (n: number, w = 2) => String(n).padStart(w, '0')
  return `${pad(Math.floor(t / 3_600_000))}:${pad(Math.floor(t / 60_000) % 60)}:${pad(Math.floor(t / 1000) % 60)}.${pad(t % 1000, 3)}`
}

export interface CueTime {
  beat: Beat
  startMs: number
  endMs: number
}

/** When each beat runs: from a take's marks when there is one (a beat marked twice counts from its last mark), else from the planned seconds. */
export function cueTimes(reader: Reader, s: Saber, take?: Take): CueTime[] {
  const cues: CueTime[] = []
  if (!take) {
    let t = 0
    for (const beat of liveBeats(reader, s)) {
      if (beat.leftTo) continue
      cues.push({ beat, startMs: t, endMs: t + beat.seconds * 1000 })
      t += beat.seconds * 1000
    }
    return cues
  }
  const last = new Map<string, number>()
  for (const m of take.marks) last.set(m.beat, m.atMs)
  const marked = liveBeats(reader, s)
    .filter((b) => last.has(b.id))
    .sort((a, b) => last.get(a.id)! - last.get(b.id)!)
  marked.forEach((beat, i) => {
    const startMs = last.get(beat.id)!
    const next = marked[i + 1]
    cues.push({
      beat,
      startMs,
      endMs: Math.max(startMs + 1, next ? last.get(next.id)! : (take.endMs ?? startMs + beat.seconds * 1000)),
    })
  })
  return cues
}

/** WebVTT subtitles of the script (W3C WebVTT). Arrows and blank lines inside a cue are made harmless. */
export function webVttOf(reader: Reader, s: Saber, take?: Take): string {
  const clean = (t: string) =>
    t
      .replace(/&/g, '&amp;')
      .replace(/</g, '&lt;')
      .replace(/>/g, '&gt;')
      .replace(/\n\s*\n/g, '\n')
  const cues = cueTimes(reader, s, take).map(
    (c, i) => `${i + 1}\n${stamp(c.startMs)} --> ${stamp(c.endMs)}\n${clean(c.beat.say)}`,
  )
  return `WEBVTT\n\n${cues.join('\n\n')}\n`
}

/** Where each beat begins in a take that was cut, s, titled by its first words: what was told before its last telling is not in it. */
export const chaptersAt = (reader: Reader, s: Saber, take: Take): { at: number; title: string }[] =>
  cueTimes(reader, s, take).map((c) => ({ at: Math.round(c.startMs / 1000), title: firstWords(c.beat) }))

/** Chapter marks, one line a beat: `00:01:20 How to put the blade in`. */
export const chaptersOf = (reader: Reader, s: Saber, take?: Take): string =>
  cueTimes(reader, s, take)
    .map((c) => `${stamp(c.startMs).slice(0, 8)} ${firstWords(c.beat)}`)
    .join('\n')
