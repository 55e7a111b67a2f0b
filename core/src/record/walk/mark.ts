import { isFact } from '../../facts/fact'
import type { Font } from '../schema/font'
import { type Kind, partsOfRef, type Ref } from '../schema/ref'
import type { Saber } from '../schema/saber'
import type { Beat } from '../schema/script'
import { shelfOf } from './lookup'

/** A thing, and a mark of what it was. */
export interface Marked {
  of: Ref
  was: string
}

/** What of a thing changes nothing that it does: words about it, where it comes from, what it weighs. */
const WORDS_ONLY: ReadonlySet<string> = new Set([
  ...['note', 'shopNote', 'story', 'supplied', 'otherEnd', 'askedBy', 'why', 'status', 'mass', 'catalogue', 'landmark'],
  ...['taken', 'confirmed', 'origin', 'readings', 'says', 'standard', 'mayCopy', 'charged', 'timesWhy'],
  ...['shopWhy', 'favourite', 'exceptions', 'asked', 'reservedOn', 'fittedOn'],
])

/** What counts of a thing: that it works as it did, also that it is where it was, also what it is called. */
export type Counts = 'works' | 'placed' | 'named'

/** Of what is said to be so only the value counts, however sure and whoever says it. */
function substance(v: unknown, counts: Counts): unknown {
  if (Array.isArray(v)) return v.map((x) => substance(x, counts))
  if (typeof v !== 'object' || v === null) return v
  if (isFact(v)) return v.value
  const entries = Object.entries(v).filter(
    ([k, x]) => x !== undefined && !WORDS_ONLY.has(k) && (counts === 'named' || k !== 'name'),
  )
  return Object.fromEntries(entries.toSorted(([a], [b]) => (a < b ? -1 : 1)).map(([k, x]) => [k, substance(x, counts)]))
}

/** FNV-1a over UTF-16 units, twice with other beginnings: 64 bits, as text. */
function hash(text: string): string {
  const run = (seed: number) => {
    let h = seed
    for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193)
    return (h >>> 0).toString(36)
  }
  return `${run(0x811c9dc5)}${run(0x9e3779b9)}`.slice(0, 16)
}

/** A mark of what a thing is and does, to see later whether it is still that: the same for the same values, whoever states them and however sure. */
export const markOf = (thing: unknown, counts: Counts = 'works'): string =>
  hash(JSON.stringify(substance(thing, counts)) ?? '')

/** What of a saber as a whole something may rest on: how its power is cut, and how bright it is set. */
const whole = (s: Saber) => ({
  ...{ cutPower: s.cutPower, keyDoes: s.keyDoes },
  ...{ brightness: s.use.brightness, firmware: s.firmware },
})
/** Of a font counts what is heard of it; what is measured of a sound follows from its file. */
const heard = ({ id, name, is, gain, sounds }: Record<string, unknown>) => ({
  ...{ id, name, is, gain },
  sounds: (sounds as Font['sounds']).map(({ event, name, media }) => ({ event, name, media })),
})
/** An event that has nothing but a colour is that colour; a preset without lights of their own says nothing of them. */
const seen = ({ lights, effects, ...rest }: Record<string, unknown>) => ({
  ...rest,
  ...(Array.isArray(lights) && lights.length ? { lights } : {}),
  ...(effects === undefined ? {} : { effects: Object.fromEntries(Object.entries(effects as object).map(lookOf)) }),
})
const lookOf = ([event, look]: [string, unknown]): [string, unknown] => {
  if (isFact(look) || typeof look !== 'object' || look === null) return [event, look]
  const said = Object.entries(look).filter(([k, v]) => v !== undefined && !WORDS_ONLY.has(k))
  return [event, said.length === 1 && said[0]![0] === 'colour' ? said[0]![1] : look]
}
/** Whom a light follows says that it does. */
const shining = ({ shines, ...rest }: Record<string, unknown>) =>
  isFact(shines) && shines.value === 'withAnother' ? rest : { ...rest, ...(shines === undefined ? {} : { shines }) }
/** What of a thing of some kinds counts; of the others all does. */
const COUNTED: Partial<Record<Kind, (x: Record<string, unknown>) => Record<string, unknown>>> = {
  ...{ font: heard, preset: seen, zone: shining },
}
/** Where a part lies is nothing to what it does. */
const unplaced = ({ at: _a, clock: _c, beside: _b, ...rest }: Record<string, unknown>) => rest

/** The marks of some things of a saber; of the saber itself how its power is cut and how bright it is set. What is not there has none. */
export const marksOf = (s: Saber, refs: readonly Ref[], counts: Counts = 'works'): Marked[] =>
  [...new Set(refs)].flatMap((of): Marked[] => {
    const at = partsOfRef(of)
    if (at?.kind === 'saber') return at.id === s.id ? [{ of, was: markOf(whole(s), counts) }] : []
    const thing = at && shelfOf(s, at.kind).find((x) => x.id === at.id)
    if (!thing) return []
    const counted = at.kind === 'part' && counts === 'works' ? unplaced : COUNTED[at.kind]
    return [{ of, was: markOf(counted ? counted(thing) : thing, counts) }]
  })

/** What a beat shows, does and tells of, as references; topics that are no thing of the saber are told by its words alone. */
export const toldInBeat = (b: Beat): Ref[] => [
  ...(b.show ? [b.show] : []),
  ...(b.perform ? [b.perform] : []),
  ...b.covers.filter((k): k is Ref => partsOfRef(k) !== undefined),
]

/** A mark of all that is seen and heard in a beat: its words, what is done in it, and the things that it tells of, by name. */
export const beatMark = (s: Saber, b: Beat): string =>
  markOf({ say: b.say, perform: b.perform ?? b.task, times: b.times, of: marksOf(s, toldInBeat(b), 'named') }, 'named')
