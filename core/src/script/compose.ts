import { after, doingOf, gestureText, isOf, modeThatIs, reach } from '../controls'
import type { Beat, Commission, ORDERS, Saber } from '../record'
import { say, whether } from '../words'
import { backToFirst, guessSeconds, presetAfter, startMode } from './rehearse'
import { type Chapter, type Topic, topicsOf } from './topics'
import { isDark, walked } from './walk'

export type Order = (typeof ORDERS)[number]

/** Chapters in each school's order of telling. */
const CHAPTERS: Record<Order, Chapter[]> = {
  pommelUp: ['welcome', 'outside', 'inside', 'power', 'blade', 'controls', 'presets', 'care', 'requests'],
  outsideIn: ['welcome', 'outside', 'power', 'blade', 'controls', 'presets', 'inside', 'care', 'requests'],
  operateFirst: ['welcome', 'power', 'blade', 'controls', 'presets', 'outside', 'inside', 'care', 'requests'],
  build: ['welcome', 'inside', 'outside', 'power', 'blade', 'controls', 'presets', 'care', 'requests'],
}

/**
 * Composes the beats of a walkthrough from the record. Within a chapter, opening comes before closing and lighting before
 * what is done while lit; the blade is taken out, and the power cut, after everything that needs them. Beats the maker has edited
 * or written are kept: an edited one stands where the first of its topics stands, known by what it covers; one whose topics are
 * gone, and an own one, go to the end.
 */
export function compose(c: Commission, s: Saber, order: Order = s.order): Beat[] {
  // A task whose steps nobody has recorded is no beat: it stays in the list of what is not told.
  const topics = topicsOf(c, s).filter((t) => t.key !== 'off' && (!t.key.startsWith('task:') || t.perform))
  const rank = (t: Topic) => CHAPTERS[order].indexOf(t.chapter)
  const sorted = [...topics].sort((a, b) => rank(a) - rank(b) || inner(s, a) - inner(s, b))
  const placed = walkControls(s, settleEnds(s, sorted))
  const left = s.beats.filter((b) => b.by === 'edited')
  const told = new Set<string>()
  const beats = placed.flatMap((t) => {
    if (told.has(t.key)) return []
    const i = left.findIndex((b) => b.covers.includes(t.key))
    const [edited] = i < 0 ? [] : left.splice(i, 1)
    for (const key of edited?.covers ?? []) told.add(key)
    return [edited ?? beatFor(s, t)]
  })
  return [...firstAgain(s, darkAgain(s, beats)), ...left, ...s.beats.filter((b) => b.by === 'own')]
}

/** Where the controls that are shown leave it in another preset, it is brought back to the first by one that was shown. */
function firstAgain(s: Saber, beats: readonly Beat[]): Beat[] {
  const rowOf = (b: Beat) => s.controls.find((r) => b.perform === `row:${r.id}`)
  const rows = beats.flatMap((b) => rowOf(b) ?? [])
  const preset = rows.reduce<number | undefined>((at, r) => presetAfter(s, at, r), 0)
  if (!preset) return [...beats]
  const back = backToFirst(s, preset, rows)
  if (!back) return [...beats]
  // It stands where the control was shown last, so that the saber is in the mode for it; else at the end of what is shown.
  const from = beats.findLastIndex((b) => rowOf(b) === back.row)
  const moved = beats
    .slice(from + 1)
    .some((b) => rowOf(b)?.does === 'nextPreset' || rowOf(b)?.does === 'previousPreset')
  const at = moved ? beats.findLastIndex((b) => rowOf(b)) : from
  const words = say('topic.firstAgain', {
    gesture: gestureText(s, back.row),
    times: back.times,
    many: whether(back.times > 1),
  })
  const beat: Beat = {
    ...{
      id: beatId(s, `first-${back.row.id}`),
      say: words,
      perform: `row:${back.row.id}`,
      seconds: guessSeconds(words),
    },
    ...(back.times > 1 ? { times: back.times } : {}),
    ...{ covers: [], by: 'composed' },
  }
  return [...beats.slice(0, at + 1), beat, ...beats.slice(at + 1)]
}

/** Where the last control that is shown leaves it alight, it is made dark again by what was shown already. */
function darkAgain(s: Saber, beats: readonly Beat[]): Beat[] {
  const rows = beats.flatMap((b) => s.controls.filter((r) => b.perform === `row:${r.id}`))
  const last = rows.at(-1)
  const off = modeThatIs(s, 'off')?.id
  const way =
    last && off !== undefined && !isDark(s, after(s, last)) ? reach(s, rows, after(s, last)).get(off) : undefined
  if (!last || !way?.length) return [...beats]
  const at = beats.findLastIndex((b) => b.perform === `row:${last.id}`) + 1
  const again = way.map((r, i): Beat => {
    const words = say('topic.again', { gesture: gestureText(s, r), what: doingOf(r) })
    return {
      ...{ id: beatId(s, `again-${i}-${r.id}`), say: words, perform: `row:${r.id}`, seconds: guessSeconds(words) },
      ...{ covers: [], by: 'composed' },
    }
  })
  return [...beats.slice(0, at), ...again, ...beats.slice(at)]
}

const beatId = (s: Saber, key: string) =>
  `${s.id.slice(0, 12)}-${key.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`.slice(0, 48)

/** The beat that tells one thing, with an id made from the saber and the thing. */
export function beatFor(s: Saber, t: Topic): Beat {
  return {
    id: beatId(s, t.key),
    say: t.say,
    ...(t.show ? { show: t.show } : {}),
    ...(t.perform ? { perform: t.perform } : {}),
    ...(t.expect ? { expect: t.expect } : {}),
    seconds: guessSeconds(t.say),
    covers: [t.key],
    by: 'composed',
  }
}

const TASK_ORDER = [
  'powerOn',
  'bladeIn',
  'open',
  'cellOut',
  'cellIn',
  'card',
  'close',
  'charge',
  'bladeOut',
  'powerOff',
]
const STATE_ORDER = ['asleep', 'off', 'lit', 'combat', 'muted', 'menu']

/** Order within a chapter: wake, ignite, what lit does, then leaving that state last. */
function inner(s: Saber, t: Topic): number {
  if (t.key.startsWith('task:')) return TASK_ORDER.indexOf(t.key.slice(5))
  if (!t.key.startsWith('control:')) return 0
  const row = s.controls.find((r) => `control:${r.id}` === t.key)!
  const base = STATE_ORDER.indexOf(isOf(s, row.mode)) * 100
  const leaves = ['retract', 'sleep', 'powerOff', 'menuClose', 'unmute', 'combatOff'].includes(row.does)
  const enters = ['wake', 'ignite', 'menuOpen', 'mute', 'combatOn'].includes(row.does)
  const body = s.controls.indexOf(row)
  return base + (isOf(s, row.mode) === 'off' ? (row.does === 'ignite' ? 90 : body) : leaves ? 95 : enters ? 90 : body)
}

/** Taking the blade out and cutting the power come after the presets; opening needs the power cut first. */
function settleEnds(s: Saber, list: Topic[]): Topic[] {
  const out = [...list]
  const move = (key: string, beforeChapter: (t: Topic) => boolean) => {
    const i = out.findIndex((t) => t.key === key)
    if (i < 0) return
    const [t] = out.splice(i, 1)
    const last = out.findLastIndex(beforeChapter)
    out.splice(last < 0 ? Math.min(i, out.length) : last + 1, 0, t!)
  }
  const live = (t: Topic) => t.chapter === 'controls' || t.chapter === 'presets'
  move('task:bladeOut', live)
  const afterBlade = out.findIndex((t) => t.key === 'task:bladeOut')
  move('task:powerOff', (t) => (afterBlade >= 0 ? t.key === 'task:bladeOut' : live(t)))
  return s.controls.length || s.presets.length ? out : list
}

/** The controls in an order in which each is possible where the one before has led, in the places where controls are told. */
function walkControls(s: Saber, list: Topic[]): Topic[] {
  const rows = list.flatMap((t) => s.controls.filter((r) => t.key === `control:${r.id}`))
  const walk = walked(s, rows, startMode(s)).map((r) => list.find((t) => t.key === `control:${r.id}`)!)
  return list.map((t) => (t.key.startsWith('control:') ? (walk.shift() ?? t) : t))
}

/** Of the topics of a saber, those that no beat covers and no named person has set aside. */
export function uncovered(c: Commission, s: Saber, topics: readonly Topic[] = topicsOf(c, s)): Topic[] {
  const covered = new Set(s.beats.flatMap((b) => b.covers))
  const waived = new Set(s.leftOut.map((w) => w.key))
  return topics.filter((t) => !covered.has(t.key) && !waived.has(t.key))
}
