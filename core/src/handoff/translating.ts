import {
  type Commission,
  hasWords,
  isForeign,
  keyWords,
  nameOfThing,
  type Ref,
  readerOf,
  retold,
  type Saber,
  THINGS,
  thingsOf,
  translationsOf,
} from '../record'
import { topicsOf } from '../script'
import { controlsCard } from './card'
import { buildHandoff } from './document'

/** Where words of the shop arrive: a chapter, or what else is made for the client. */
export interface Arriving {
  /** A chapter by its id, or `procedures`, `cover`, `script`, `card`, `page`. */
  in: string
  /** The sentence around them. */
  before: string
  after: string
}
/** A text of the shop that reaches its client, who reads another language. */
export interface ToTranslate {
  text: string
  /** What it says in his language; absent while nobody has said. */
  says?: string
  /** Where it stands in the record, by identity, and whose field it is there. */
  paths: string[]
  of: { ref?: Ref; kind: string; name: string; field: string }
  arrives: Arriving[]
  /** What a translation lost or brought. */
  wrong: Departure[]
}
/** A number or a name that is in one of the two and not in the other. */
export interface Departure {
  code: 'number' | 'name'
  what: string
  /** It is missing in the translation, or only there. */
  way: 'lost' | 'added'
}

const END = '\u{e000}'
const FIRST_MARK = 0xf0000
const MARKED = /([\u{f0000}-\u{ffffd}])([^\u{e000}]*)\u{e000}/gu
/** So many of the sentences that a text arrives in are shown. */
const MOST_SHOWN = 3

/**
 * Every text of the shop that arrives before a client who reads another language: found by telling everything that is told to him
 * with each text marked, so that what is only drafted, or never said, is not among them. In the order of the record; none where he
 * reads what the record is written in.
 */
export function toTranslate(c: Commission): ToTranslate[] {
  if (!isForeign(readerOf(c))) return []
  const says = translationsOf(c)
  const all = new Map<string, ToTranslate>()
  const numbers: string[] = []
  const ownerOf = ownersIn(c)
  const marked = retold(c, (whole, path, name) => {
    const text = whole.trim()
    if (!hasWords(text, name)) return whole
    let one = all.get(text)
    if (!one) {
      one = { text, paths: [], of: ownerOf(path, text), arrives: [], wrong: [] }
      all.set(text, one)
      numbers.push(text)
    }
    one.paths.push(path)
    return `${String.fromCodePoint(FIRST_MARK + numbers.indexOf(text))}${text}${END}`
  })
  for (const { in: where, line } of linesOf(marked))
    for (const m of line.matchAll(MARKED)) {
      const one = all.get(numbers[m[1]!.codePointAt(0)! - FIRST_MARK]!)!
      const sentence = (part: string) => part.replace(MARKED, (_, __, own: string) => says.get(own) ?? own)
      const here = {
        in: where,
        before: sentence(line.slice(0, m.index)),
        after: sentence(line.slice(m.index + m[0].length)),
      }
      const shown = one.arrives.some((a) => a.before === here.before && a.after === here.after)
      if (!shown && one.arrives.length < MOST_SHOWN) one.arrives.push(here)
    }
  const names = namesIn(c)
  return [...all.values()]
    .filter((one) => one.arrives.length)
    .map((one) => {
      const said = says.get(one.text)
      return said === undefined ? one : { ...one, says: said, wrong: departures(one.text, said, names) }
    })
}

/** Every line that is made for the client, and what of it it belongs to. */
function linesOf(c: Commission): { in: string; line: string }[] {
  const out: { in: string; line: string }[] = []
  const walk = (where: string, v: unknown): void => {
    if (typeof v === 'string') {
      if (v.includes(END)) out.push({ in: where, line: v })
    } else if (typeof v === 'object' && v !== null) for (const x of Object.values(v)) walk(where, x)
  }
  const handed = buildHandoff(c, '', '')
  walk('cover', handed.cover)
  for (const chapter of handed.chapters)
    walk(chapter.saber ? chapter.id.replace(new RegExp(`-${chapter.saber}$`), '') : chapter.id, chapter.blocks)
  walk('procedures', handed.procedures)
  for (const s of c.sabers) {
    walk(
      'script',
      topicsOf(c, s).map((t) => t.say),
    )
    walk('card', controlsCard(readerOf(c), s, 'A5'))
    // What the saber in hand says on the page.
    walk('page', [s.controls, s.modes])
  }
  walk('page', c.media)
  return out
}

/** Whose a path of a record is: the thing it lies in, as it is called on a screen, and the field. */
function ownersIn(c: Commission): (path: string, text: string) => ToTranslate['of'] {
  const things = new Map(thingsOf(c).map((t) => [t.path, t]))
  return (path, text) => {
    const steps = path.split('/')
    const field = steps.findLast((x) => /^[a-z]/i.test(x)) ?? ''
    for (let n = steps.length; n > 1; n--) {
      const t = things.get(steps.slice(0, n).join('/'))
      if (!t) continue
      const name = nameOfThing(t.kind, t.value)
      return { ref: t.ref, kind: THINGS[t.kind][0], name: name === text ? '' : name, field: keyWords(field) }
    }
    return { kind: 'order', name: '', field: keyWords(field) }
  }
}

/** Fonts, who made them, and tracks. */
const namesOfFonts = (s: Saber): (string | undefined)[] =>
  s.fonts.flatMap((f) => [f.name, f.author, ...f.sounds.flatMap((x) => (x.event === 'track' ? x.name : []))])

/** Names that stay as they are in every language: of sabers, presets and fonts, and of people. */
function namesIn(c: Commission): string[] {
  const all = [
    ...[c.client.name, c.giver, ...c.people.map((p) => p.name), ...c.credits.map((k) => k.who)],
    ...c.sabers.flatMap((s) => [s.name, s.recipient?.name, ...s.presets.map((p) => p.name), ...namesOfFonts(s)]),
  ]
  return [...new Set(all.filter((n): n is string => n !== undefined && n.trim().length > 2).map((n) => n.trim()))]
}

/** A number as one writes it in any language: 1.5 and 1,5 are the same. */
const numbersIn = (text: string): string[] =>
  [...text.matchAll(/\d+(?:[.,]\d+)*/g)].map((m) => m[0].replaceAll(',', '.')).sort()
const standsIn = (name: string, text: string): boolean =>
  new RegExp(`(?<!\\p{L})${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?!\\p{L})`, 'u').test(text)

/** What a translation does not hold of its original: numbers must be the same on both sides, and names that are in it stay. */
export function departures(text: string, says: string, names: readonly string[]): Departure[] {
  const [from, to] = [numbersIn(text), numbersIn(says)]
  const without = (list: readonly string[], other: readonly string[]) => {
    const left = [...other]
    return list.filter((n) => {
      const i = left.indexOf(n)
      if (i >= 0) left.splice(i, 1)
      return i < 0
    })
  }
  return [
    ...without(from, to).map((what): Departure => ({ code: 'number', what, way: 'lost' })),
    ...without(to, from).map((what): Departure => ({ code: 'number', what, way: 'added' })),
    ...names
      .filter((n) => standsIn(n, text) && !standsIn(n, says))
      .map((what): Departure => ({ code: 'name', what, way: 'lost' })),
  ]
}
