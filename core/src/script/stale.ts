import { known, type NumberFact, printable } from '../facts'
import { hueWord } from '../light'
import {
  type Beat,
  byId,
  type Commission,
  colourOf,
  effectColours,
  fontOf,
  nameOf,
  partsOfRef,
  type Ref,
  readerOf,
  type Saber,
  shelfOf,
  toldSaber,
} from '../record'
import { tellsBy, wordsAfter } from './compose'
import { liveBeats, lostFacts } from './live'
import { type Topic, topicsOf } from './topics'
import { NUMBER_WORDS, numberSaid } from './wording-check'

/** A sentence that the record no longer bears out. */
export type Stale =
  /** Composed from the record, which would say it otherwise now. */
  | { code: 'changed'; beat: Beat; now: string }
  /** It tells of something that is not there any more. */
  | { code: 'gone'; beat: Beat; what: string }
  /** Somebody's own words speak of another value than the record's. */
  | { code: 'differs'; where: Ref; text: string; said: string; is: string }
  /** It states as sure what the record holds for about so. */
  | { code: 'unsure'; where: Ref; text: string; said: string; of: string }

/** Words for colours as people say them, by the word the record would use. */
const COLOURS: readonly [RegExp, RegExp][] = (
  [
    ['red', 'rot'],
    ['orange', 'orange'],
    ['yellow', 'gelb'],
    ['green', 'grün'],
    ['teal', 'türkis'],
    ['blue', 'blau'],
    ['violet|purple', 'violett|lila'],
    ['magenta', 'magenta'],
    ['pink', 'rosa'],
    ['white', 'weiß'],
  ] as const
).map(([en, de]) => [new RegExp(`(?<!\\p{L})(?:${en}|(?:${de})(?:e[nrsm]?)?)(?!\\p{L})`, 'iu'), new RegExp(en, 'i')])
const VOLUME = /\b(?:volume|lautstärke)\D{0,12}(\d{1,3})\b/gi

/**
 * Sentences that have gone stale: composed ones that the record would word otherwise, what tells of things that are gone,
 * and own words whose colours, volumes or counts are not the record's. Hold times are the rehearsal's.
 */
export function staleSentences(c: Commission, s: Saber, told: readonly Topic[] = topicsOf(c, s)): Stale[] {
  const topics = new Map(told.map((t) => [t.key, t]))
  const tells = tellsBy(c, s, told)
  const live = liveBeats(readerOf(c), toldSaber(c, s))
  const beats = live.flatMap((beat, i): Stale[] => {
    const missing = beat.covers.filter((k) => !topics.has(k))
    if (missing.length) return missing.map((what) => ({ code: 'gone', beat, what }))
    if (beat.by === 'composed') {
      const t = beat.covers.length ? tells(beat.covers) : undefined
      const now = t && wordsAfter(s, t, live[i - 1])
      return now !== undefined && now !== beat.say ? [{ code: 'changed', beat, now }] : []
    }
    const where = `beat:${beat.id}` as Ref
    return [
      ...lostFacts(s, s.beats[i]!.say).map((what): Stale => ({ code: 'gone', beat, what })),
      ...otherName(s, beat.show, beat.say, where),
      ...beat.covers.flatMap((k) => (k.startsWith('preset:') ? colours(s, k.slice(7), beat.say, where) : [])),
      ...spoken(s, beat.say, where),
      ...counts(s, beat.say, where),
      ...sizes(s, beat.show, beat.say, where),
    ]
  })
  const steps = s.access.flatMap((p) =>
    p.steps.flatMap((x) =>
      x.text === undefined
        ? []
        : [
            ...otherName(s, x.place ?? x.act?.at, x.text, `step:${x.id}` as Ref),
            ...spoken(s, x.text, `step:${x.id}` as Ref),
          ],
    ),
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
  const other = said.filter(
    ([, c]) => !c.test(hue) && !effects.some((e) => c.test(e)) && !c.test(fontOf(s, is)?.name ?? ''),
  )
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

/** How many there are of what is counted in words, by what it is called. */
const COUNTED: readonly [RegExp, string, (s: Saber) => number][] = [
  [/^(?:sound )?presets?$/, 'presets', (s) => s.presets.length],
  [/^(?:buttons?|tasten?)$/, 'buttons', (s) => s.inputs.filter((i) => i.kind === 'button').length],
  [
    /^(?:blade screws?|retention screws?|klingenschrauben?)$/,
    'blade screws',
    (s) => new Set(s.hilt.sockets.flatMap((k) => k.retention)).size,
  ],
  [/^(?:cells?|batter(?:y|ies)|zellen?)$/, 'cells', (s) => s.parts.filter((p) => p.kind === 'cell').length],
]
const COUNT = new RegExp(
  `(?<!\\p{L})(?:has|have|are|all|the|its|with|hat|sind|alle|die|mit|loosen|tighten|löse|zieh)\\s+(?:the\\s+|die\\s+)?(${NUMBER_WORDS})\\s+(?:small\\s+)?` +
    '((?:sound )?presets?|buttons?|tasten?|blade screws?|retention screws?|klingenschrauben?|cells?|batter(?:y|ies)|zellen?)(?!\\p{L})',
  'giu',
)
/** A number of things said otherwise than there are. */
function counts(s: Saber, text: string, where: Ref): Stale[] {
  return [...text.matchAll(COUNT)].flatMap((m): Stale[] => {
    const said = numberSaid(m[1]!)
    const what = COUNTED.find(([name]) => name.test(m[2]!.toLowerCase()))
    const is = what?.[2](s)
    return said === undefined || !what || is === undefined || is === said || is === 0
      ? []
      : [{ code: 'differs', where, text, said: `${said} ${what[1]}`, is: `${is}` }]
  })
}

const MM = /(?<![\p{L}\d.,])(\d+(?:[.,]\d+)?)\s*(?:mm|millimet\p{L}*)(?!\p{L})/giu
const ABOUT = /(about|around|roughly|nearly|almost|some|etwa|ungefähr|rund|circa|ca\.)\s*$/i
/** Every length that the record holds of a thing, with its name. */
function lengthsOf(s: Saber, about: Ref | undefined): NumberFact[] {
  const to = partsOfRef(about ?? '')
  const thing = to && shelfOf(s, to.kind).find((x) => x.id === to.id)
  const out: NumberFact[] = []
  const walk = (v: unknown) => {
    if (typeof v !== 'object' || v === null) return
    if ('unit' in v && 'source' in v) {
      if ((v as NumberFact).unit === 'mm') out.push(v as NumberFact)
      return
    }
    for (const x of Object.values(v)) walk(x)
  }
  walk(thing)
  return out
}
/** A length said of the thing that is shown: another one than any of its own, or one as sure that is only about so. */
function sizes(s: Saber, about: Ref | undefined, text: string, where: Ref): Stale[] {
  const facts = lengthsOf(s, about).filter((f) => known(f) !== undefined)
  if (!facts.length) return []
  return [...text.matchAll(MM)].flatMap((m): Stale[] => {
    const v = Number(m[1]!.replace(',', '.'))
    const near = facts.filter((f) => Math.abs(known(f)! - v) <= Math.max(0.5, f.tol ?? 0))
    if (!near.length)
      return [{ code: 'differs', where, text, said: m[0], is: facts.map((f) => `${known(f)} mm`).join(' or ') }]
    const unsure = near.every((f) => printable(f) !== 'plain') && !ABOUT.test(text.slice(0, m.index))
    return unsure ? [{ code: 'unsure', where, text, said: m[0], of: nameOf(s, about) ?? '' }] : []
  })
}

/** A volume said otherwise than recorded. Which pole goes where is not read out of words: it prints as it is recorded. */
function spoken(s: Saber, text: string, where: Ref): Stale[] {
  const set = [known(s.use.volume), known(s.use.highestVolume)].filter((v) => v !== undefined)
  if (!set.length || partsOfRef(where)?.kind !== 'beat') return []
  return [...text.matchAll(VOLUME)]
    .map((m) => Number(m[1]))
    .filter((v) => !set.includes(v))
    .map((v): Stale => ({ code: 'differs', where, text, said: `volume ${v}`, is: `volume ${set.join(' or ')}` }))
}
