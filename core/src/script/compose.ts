import { after, doingOf, gestureText, modeThatIs, reach } from '../controls'
import { type Beat, byId, type Commission, type ControlRow, readerOf, type Saber } from '../record'
import type { Reader } from '../units'
import { large, say } from '../words'
import { type Order, ordered } from './order'
import { backToFirst, presetAfter } from './rehearse'
import { guessSeconds } from './seconds'
import { type Telling, type Topic, tellingsOf, toldWith, topicsOf } from './topics'
import { fitted } from './trim'
import { isDark } from './walk'

/**
 * Composes the beats of a walkthrough from the record, in the client's language and in the order of a school. Beats the maker has
 * edited or written are kept: an edited one stands where the first of its topics stands, known by what it covers; an own one, and
 * one whose topics are gone, after the beat that it stood behind. Where the telling is to be short, what can be read instead is
 * left to paper. The farewell is last.
 */
export function compose(c: Commission, saber: Saber, order: Order = saber.order): Beat[] {
  const s = saber.order === order ? saber : { ...saber, order }
  const reader = readerOf(c)
  const told = new Set<string>()
  const topics = topicsOf(c, s).filter((t) => t.key !== 'off' && toldWith(c, s, t.key))
  const placed = ordered(s, order, tellingsOf(c, s, topics))
  const left = s.beats.filter((b) => b.by === 'edited')
  const beats = placed.flatMap((t) => {
    if (t.keys.every((k) => told.has(k))) return []
    const i = left.findIndex((b) => b.covers.some((k) => t.keys.includes(k)))
    const [edited] = i < 0 ? [] : left.splice(i, 1)
    for (const key of edited?.covers ?? t.keys) told.add(key)
    return [edited ?? beatFor(s, t)]
  })
  const whole = firstAgain(reader, s, darkAgain(reader, s, inItsPreset(reader, s, beats)))
  const kept = keptInPlace(whole, s.beats, (b) => b.by === 'own' || left.includes(b))
  return fitted(c, { ...s, beats: composedWords(c, { ...s, beats: kept }, topics) }, topics)
}

/** Beats that nothing in the record calls for, each behind the beat that it stood behind before; never behind the farewell. */
function keptInPlace(composed: readonly Beat[], before: readonly Beat[], keeps: (b: Beat) => boolean): Beat[] {
  const out = [...composed]
  before.forEach((b, i) => {
    if (!keeps(b)) return
    const behind = before
      .slice(0, i)
      .reverse()
      .find((x) => out.some((y) => same(x, y)))
    const at = behind ? out.findIndex((y) => same(behind, y)) + 1 : 0
    const last = out.findIndex((y) => y.covers.includes('farewell'))
    out.splice(last >= 0 ? Math.min(at, last) : at, 0, b)
  })
  return out
}
const same = (a: Beat, b: Beat) => a.id === b.id || (a.covers.length > 0 && a.covers[0] === b.covers[0])

/** The mode in which a beat's control is done and stays; nothing for any other beat. */
function staysIn(s: Saber, b: Beat | undefined): string | undefined {
  const row = b?.perform?.startsWith('row:') && !b.leftTo ? byId(s.controls, b.perform.slice(4)) : undefined
  return row && after(s, row) === row.mode ? row.mode : undefined
}

/** The words of a composed beat where it stands: what the one before has shown is not said again. */
export function wordsAfter(s: Saber, t: Topic, before: Beat | undefined): string {
  return t.again && t.again.mode === staysIn(s, before) ? t.again.say : t.say
}

/** What a beat tells by the topics that it covers: in one breath as they are told now, else each for itself. Undefined where one is gone. */
export function tellsBy(
  c: Commission,
  s: Saber,
  topics: readonly Topic[],
): (keys: readonly string[]) => Topic | undefined {
  const tellings = new Map(tellingsOf(c, s, topics).map((t) => [t.keys.join(), t]))
  const by = new Map(topics.map((t) => [t.key, t]))
  return (keys) => {
    const all = keys.flatMap((k) => by.get(k) ?? [])
    const [first] = all
    const apart = first && all.length === keys.length ? { ...first, say: all.map((t) => t.say).join(' ') } : undefined
    return tellings.get(keys.join()) ?? apart
  }
}

/** The beats of a script with the composed ones in the words that the record gives now; what nothing tells of stays as it is. */
export function composedWords(c: Commission, s: Saber, topics: readonly Topic[] = topicsOf(c, s)): Beat[] {
  const tells = tellsBy(c, s, topics)
  return s.beats.map((b, i) => {
    if (b.by !== 'composed' || !b.covers.length) return b
    const t = tells(b.covers)
    if (!t) return b
    const words = wordsAfter(s, t, s.beats[i - 1])
    return words === b.say ? b : { ...b, say: words, seconds: guessSeconds(words) }
  })
}

/** A control that works in some presets only is shown in one of them: those that lead there come before it. Where none leads there it is told and not shown. */
function inItsPreset(reader: Reader, s: Saber, beats: readonly Beat[]): Beat[] {
  const shown: ControlRow[] = []
  let preset: number | undefined = 0
  return beats.flatMap((b): Beat[] => {
    const row = b.perform?.startsWith('row:') ? byId(s.controls, b.perform.slice(4)) : undefined
    if (!row || b.leftTo) return [b]
    const here: string | undefined = preset === undefined ? undefined : s.presets[preset]?.id
    const out: Beat[] = []
    if (row.presets?.length && here && !row.presets.includes(here)) {
      const way = wayToPreset(s, preset!, row.presets, shown)
      const { perform: _, ...told } = b
      if (!way) return b.by === 'composed' ? [told] : [b]
      const words = say(reader, 'topic.toPreset', {
        ...{ gesture: gestureText(reader, s, way.row), times: way.times },
        preset: s.presets[way.to]!.name,
      })
      out.push({
        ...{ id: beatId(s, `to-${row.id}`), say: words, perform: `row:${way.row.id}`, seconds: guessSeconds(words) },
        ...{ covers: [], by: 'composed', ...(way.times > 1 ? { times: way.times } : {}) },
      })
      preset = way.to
    }
    for (let n = 0; n < (b.times ?? 1); n++) preset = presetAfter(s, preset, row)
    shown.push(row)
    return [...out, b]
  })
}

/** The nearest of some presets from where one stands, by what was shown. */
function wayToPreset(s: Saber, from: number, to: readonly string[], shown: readonly ControlRow[]) {
  const all = s.presets.length
  return shown
    .flatMap((row) => {
      const step = row.presets?.length ? 0 : row.does === 'nextPreset' ? 1 : row.does === 'previousPreset' ? all - 1 : 0
      if (!step) return []
      return to.flatMap((id) => {
        const at = s.presets.findIndex((p) => p.id === id)
        const times = step === 1 ? (at - from + all) % all : (from - at + all) % all
        return at < 0 ? [] : [{ row, times, to: at }]
      })
    })
    .sort((a, b) => a.times - b.times)[0]
}

/** Where the controls that are shown leave it in another preset, it is brought back to the first by one that was shown. */
function firstAgain(reader: Reader, s: Saber, beats: readonly Beat[]): Beat[] {
  const rowOf = (b: Beat) => s.controls.find((r) => b.perform === `row:${r.id}`)
  const rows = beats.flatMap((b) => rowOf(b) ?? [])
  const made = beats.flatMap((b) => {
    const row = rowOf(b)
    return row ? Array<ControlRow>(b.times ?? 1).fill(row) : []
  })
  const preset = made.reduce<number | undefined>((at, r) => presetAfter(s, at, r), 0)
  if (!preset) return [...beats]
  const back = backToFirst(s, preset, rows)
  if (!back) return [...beats]
  // It stands where the control was shown last, so that the saber is in the mode for it; else at the end of what is shown.
  const from = beats.findLastIndex((b) => rowOf(b) === back.row)
  const moved = beats
    .slice(from + 1)
    .some((b) => rowOf(b)?.does === 'nextPreset' || rowOf(b)?.does === 'previousPreset' || rowOf(b)?.presets?.length)
  const at = moved ? beats.findLastIndex((b) => rowOf(b)) : from
  const words = say(reader, 'topic.firstAgain', {
    gesture: gestureText(reader, s, back.row),
    times: back.times,
  })
  const beat: Beat = {
    ...{ id: beatId(s, `first-${back.row.id}`), say: words, perform: `row:${back.row.id}` },
    ...{ seconds: guessSeconds(words), ...(back.times > 1 ? { times: back.times } : {}) },
    ...{ covers: [], by: 'composed' },
  }
  return [...beats.slice(0, at + 1), beat, ...beats.slice(at + 1)]
}

/** Where the last control that is shown leaves it alight, it is made dark again by what was shown already. */
function darkAgain(reader: Reader, s: Saber, beats: readonly Beat[]): Beat[] {
  const rows = beats.flatMap((b) => s.controls.filter((r) => b.perform === `row:${r.id}`))
  const last = rows.at(-1)
  const off = modeThatIs(s, 'off')?.id
  const way =
    last && off !== undefined && !isDark(s, after(s, last)) ? reach(s, rows, after(s, last)).get(off) : undefined
  if (!last || !way?.length) return [...beats]
  const at = beats.findLastIndex((b) => b.perform === `row:${last.id}`) + 1
  const again = way.map((r, i): Beat => {
    const words = large(say(reader, 'topic.again', { gesture: gestureText(reader, s, r), what: doingOf(reader, r) }))
    return {
      ...{ id: beatId(s, `again-${i}-${r.id}`), say: words, perform: `row:${r.id}`, seconds: guessSeconds(words) },
      ...{ covers: [], by: 'composed' },
    }
  })
  return [...beats.slice(0, at), ...again, ...beats.slice(at)]
}

const beatId = (s: Saber, key: string) =>
  `${s.id.slice(0, 12)}-${key.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`.slice(0, 48)

/** The beat that tells one thing, or several in one breath, with an id made from the saber and the first of them. */
export function beatFor(s: Saber, t: Telling | Topic): Beat {
  return {
    id: beatId(s, t.key),
    say: t.say,
    ...(t.show ? { show: t.show } : {}),
    ...(t.perform ? { perform: t.perform } : {}),
    ...(t.task ? { task: t.task } : {}),
    ...(t.expect ? { expect: t.expect } : {}),
    seconds: guessSeconds(t.say),
    covers: 'keys' in t ? [...t.keys] : [t.key],
    by: 'composed',
  }
}

/** Of the topics of a saber, those that no beat covers and no named person has set aside. */
export function uncovered(c: Commission, s: Saber, topics: readonly Topic[] = topicsOf(c, s)): Topic[] {
  const covered = new Set(s.beats.flatMap((b) => b.covers))
  const waived = new Set(s.leftOut.map((w) => w.key))
  return topics.filter((t) => toldWith(c, s, t.key) && !covered.has(t.key) && !waived.has(t.key))
}
