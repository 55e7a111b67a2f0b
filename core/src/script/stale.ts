import { known } from '../facts'
import { hueWord } from '../light'
import {
  type Beat,
  byId,
  type Commission,
  colourOf,
  effectColours,
  nameOf,
  partsOfRef,
  type Ref,
  type Saber,
  shelfOf,
} from '../record'
import { wordsAfter } from './compose'
import { type Topic, tellingsOf, topicsOf } from './topics'

/** A sentence that the record no longer bears out. */
export type Stale =
  /** Composed from the record, which would say it otherwise now. */
  | { code: 'changed'; beat: Beat; now: string }
  /** It tells of something that is not there any more. */
  | { code: 'gone'; beat: Beat; what: string }
  /** Somebody's own words speak of another value than the record's. */
  | { code: 'differs'; where: Ref; text: string; said: string; is: string }

/** Words for colours as people say them, by the word the record would use. */
const COLOURS: readonly [RegExp, RegExp][] = (
  ['red', 'orange', 'yellow', 'green', 'teal', 'blue', 'violet', 'magenta', 'pink', 'white'] as const
).map((c) => [new RegExp(`\\b${c}\\b`, 'i'), new RegExp(c, 'i')])
/** Which end somebody says that the plus pole looks to. */
const PLUS = /\b(?:plus|positive)\b[^.;]*?\b(emitter|pommel)\b/gi
const VOLUME = /\bvolume\D{0,12}(\d{1,3})\b/gi

/**
 * Sentences that have gone stale: composed ones that the record would word otherwise, what tells of things that are gone,
 * and own words whose colours, poles, volumes or counts are not the record's. Hold times are the rehearsal's.
 */
export function staleSentences(c: Commission, s: Saber, told: readonly Topic[] = topicsOf(c, s)): Stale[] {
  const topics = new Map(told.map((t) => [t.key, t]))
  const tellings = new Map(tellingsOf(c, s, told).map((t) => [t.keys.length === 1 ? t.key : t.keys.join(), t]))
  const beats = s.beats.flatMap((beat, i): Stale[] => {
    const missing = beat.covers.filter((k) => !topics.has(k))
    if (missing.length) return missing.map((what) => ({ code: 'gone', beat, what }))
    if (beat.by === 'composed') {
      const key = beat.covers.length ? beat.covers.join() : undefined
      const t = key === undefined ? undefined : tellings.get(key)
      const now = t && wordsAfter(s, t, s.beats[i - 1])
      return now !== undefined && now !== beat.say ? [{ code: 'changed', beat, now }] : []
    }
    const where = `beat:${beat.id}` as Ref
    return [
      ...otherName(s, beat.show, beat.say, where),
      ...beat.covers.flatMap((k) => (k.startsWith('preset:') ? colours(s, k.slice(7), beat.say, where) : [])),
      ...spoken(s, beat.say, where),
    ]
  })
  const steps = s.access.flatMap((p) =>
    p.steps.flatMap((x) => [
      ...otherName(s, x.place, x.text, `step:${x.id}` as Ref),
      ...spoken(s, x.text, `step:${x.id}` as Ref),
    ]),
  )
  return [...beats, ...steps]
}

/** A colour said of a preset that is not its own. */
function colours(s: Saber, preset: string, text: string, where: Ref): Stale[] {
  const is = byId(s.presets, preset)
  if (!is) return []
  const hue = hueWord(colourOf(is))
  const effects = effectColours(is).map(([, hex]) => hueWord(hex))
  const said = COLOURS.filter(([word]) => word.test(text.replace(is.name, '')))
  // What effects or the font's own name are called is no statement about the blade.
  const other = said.filter(([, c]) => !c.test(hue) && !effects.some((e) => c.test(e)) && !c.test(is.font))
  const own = said.some(([, c]) => c.test(hue))
  const word = other[0]?.[0].exec(text)?.[0]
  return word && !own ? [{ code: 'differs', where, text, said: word, is: hue }] : []
}

/** Whether a name of four letters and more stands in a text as words of its own, whatever its case. */
function names(text: string, name: string): boolean {
  const [t, n] = [text.toLowerCase(), name.toLowerCase()]
  if (n.length < 4) return false
  const inside = (i: number) => /[\p{L}\d]/u.test(t[i] ?? ' ')
  for (let i = t.indexOf(n); i >= 0; i = t.indexOf(n, i + 1)) if (!inside(i - 1) && !inside(i + n.length)) return true
  return false
}

/** A text about one thing that names another of its kind instead: the rear button where the front one is shown. */
function otherName(s: Saber, about: Ref | undefined, text: string, where: Ref): Stale[] {
  const kind = about && partsOfRef(about)?.kind
  const is = nameOf(s, about)
  if (!kind || !is || names(text, is)) return []
  const others = shelfOf(s, kind).map((x) => String(x.name ?? ''))
  const said = others.find((n) => n && n !== is && !is.toLowerCase().includes(n.toLowerCase()) && names(text, n))
  return said ? [{ code: 'differs', where, text, said, is }] : []
}

/** Poles and volumes said otherwise than recorded. */
function spoken(s: Saber, text: string, where: Ref): Stale[] {
  const faces = new Set(
    s.parts.flatMap((p) => {
      const plus = p.kind === 'cell' ? known(p.faces) : undefined
      return plus ? [plus] : []
    }),
  )
  const only = faces.size === 1 ? [...faces][0]! : undefined
  const poles = [...text.matchAll(PLUS)].map((m) => m[1]!.toLowerCase())
  const volume = [...text.matchAll(VOLUME)].map((m) => Number(m[1]))
  const set = [known(s.use.volume), known(s.use.highestVolume)].filter((v) => v !== undefined)
  return [
    ...poles
      .filter((p) => only !== undefined && p !== only)
      .map((said): Stale => ({ code: 'differs', where, text, said: `plus to the ${said}`, is: `plus to the ${only}` })),
    ...volume
      .filter((v) => set.length > 0 && !set.includes(v) && partsOfRef(where)?.kind === 'beat')
      .map((v): Stale => ({ code: 'differs', where, text, said: `volume ${v}`, is: `volume ${set.join(' or ')}` })),
  ]
}
