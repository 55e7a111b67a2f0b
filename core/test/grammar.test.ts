import { type MessageFormatElement, parse, TYPE } from '@formatjs/icu-messageformat-parser'
import { describe, expect, test } from '@jest/globals'
import { loadLanguages } from '@nubrin/core/languages'
import type { Language } from '@nubrin/core/units'
import { type Noun, say } from '@nubrin/core/words'
import { PACKS } from '../src/languages'
import { en } from '../src/words/en'

loadLanguages()
const CATALOGUES = { en, ...PACKS }
const CASED = /^(.+)_(nom|acc|dat|zu|it|them)$/

/** What a message asks for: things in a case, choices with their options, numbers, and plain words. */
interface Asks {
  things: Set<string>
  choices: Map<string, string[]>
  numbers: Set<string>
  words: Set<string>
}
function asks(list: readonly MessageFormatElement[], out: Asks): Asks {
  for (const e of list) {
    if (e.type === TYPE.argument) {
      const cased = CASED.exec(e.value)
      if (cased) out.things.add(cased[1]!)
      else out.words.add(e.value)
    }
    if (e.type === TYPE.select) {
      out.choices.set(e.value, [...new Set([...(out.choices.get(e.value) ?? []), ...Object.keys(e.options)])])
      for (const o of Object.values(e.options)) asks(o.value, out)
    }
    if (e.type === TYPE.plural) {
      out.numbers.add(e.value)
      for (const o of Object.values(e.options)) asks(o.value, out)
    }
  }
  return out
}

const NOUNS: Record<Language, readonly Noun[]> = {
  en: [
    { kind: 'part.chassis', which: 'none' },
    { kind: 'screw.joint', which: 'first' },
    { kind: 'part.killKey', which: 'rear' },
    { name: 'copper ring' },
    { name: 'small screws', several: true },
  ],
  de: [
    { kind: 'section.pommel', which: 'none' },
    { kind: 'part.card', which: 'none' },
    { kind: 'part.chassis', which: 'front' },
    { name: 'Gewindestift', gender: 'm' },
    { name: 'kleine rote Taste', gender: 'f' },
    { name: 'kupfernes Rad', gender: 'n' },
    { name: 'obere Schrauben', several: true },
  ],
}
/** What no sentence of a language may hold, by its grammar. */
const NEVER: Record<Language, readonly [string, RegExp][]> = {
  en: [
    ['an article twice', /\b(the|a|an) (the|a|an)\b/i],
    ['an article before a possessive', /\b(the|a|an) (your|our|my|its)\b/i],
    ['a word twice', /\b(\p{L}{2,}) \1\b/iu],
  ],
  de: [
    ['the accusative after für, ohne, gegen, durch', /\b(für|ohne|gegen|durch) (der|dem|des)\b/i],
    ['the dative after mit, von, bei, aus, seit', /\b(mit|von|bei|aus|seit) (das|die)\b/i],
    ['zu with its article', /\bzu (das|die|dem|der)\b/i],
    ['von dem, bei dem, an dem, in dem', /\b(von|bei) dem\b/i],
    [
      'the accusative of what a hand does',
      /\b(Löse|Dreh|Zieh|Schraub|Schieb|Steck|Heb|Nimm|Setz|Leg|Lass|Drück|Schalte) (der|dem)\b/,
    ],
    ['an article twice', /\b(der|die|das|den|dem) (der|die|das|den|dem)\b/i],
    ['a word twice', /\b(\p{L}{2,}) \1\b/iu],
  ],
}
/** All ways of choosing among options, no more of them than a test may take. */
function* ways(choices: readonly [string, string[]][], most = 200): Generator<Record<string, string>> {
  let n = 0
  const total = choices.reduce((x, [, o]) => x * o.length, 1)
  for (let i = 0; i < total && n < most; i += Math.max(1, Math.floor(total / most)), n++) {
    let rest = i
    yield Object.fromEntries(
      choices.map(([key, options]) => {
        const o = options[rest % options.length]!
        rest = Math.floor(rest / options.length)
        return [key, o]
      }),
    )
  }
}

describe.each(['en', 'de'] as const)('every message with a thing in it, in %s', (language) => {
  const messages = Object.entries(CATALOGUES[language].messages).flatMap(([code, text]) => {
    const of = asks(parse(text), { things: new Set(), choices: new Map(), numbers: new Set(), words: new Set() })
    return of.things.size ? [[code, of] as const] : []
  })
  test('there are many', () => expect(messages.length).toBeGreaterThan(20))
  test.each(messages)('%s: in every gender and number', (code, of) => {
    const said: string[] = []
    for (const chosen of ways([...of.choices]))
      for (const noun of NOUNS[language]) {
        const params = {
          ...Object.fromEntries([...of.words].map((w) => [w, 'Xy'])),
          ...Object.fromEntries([...of.numbers].map((w) => [w, 2])),
          ...chosen,
          ...Object.fromEntries([...of.things].map((t) => [t, noun])),
        }
        said.push((say as (r: object, c: string, p: object) => string)({ language, measures: 'mm' }, code, params))
      }
    const wrong = said.flatMap((s) => NEVER[language].flatMap(([rule, r]) => (r.test(s) ? [`${rule}: ${s}`] : [])))
    expect([...new Set(wrong)].slice(0, 5)).toEqual([])
  })
  test('a rule that is broken is noticed', () => {
    const bad = {
      en: ['Loosen the your screw.', 'Take out the the key.'],
      de: ['Löse der Stift.', 'Zu das Chassis.', 'Für der Knauf.', 'Mit die Karte.'],
    }
    for (const s of bad[language]) expect([s, NEVER[language].some(([, r]) => r.test(s))]).toEqual([s, true])
  })
})

describe('what is spoken of again has the gender of its name', () => {
  const screw = (noun: Noun, code: 'step.loosenBlade' | 'step.tightenBlade' | 'step.keepScrew') =>
    say({ language: 'de' }, code, { screw: noun })
  test.each<[Noun, string, string]>([
    [{ name: 'Gewindestift', gender: 'm' }, 'dreh ihn nicht', 'bis er fest'],
    [{ name: 'Klingenschraube', gender: 'f' }, 'dreh sie nicht', 'bis sie fest'],
    [{ name: 'Schräubchen', gender: 'n' }, 'dreh es nicht', 'bis es fest'],
  ])('%j', (noun, them, it) => {
    expect(screw(noun, 'step.loosenBlade')).toContain(them)
    expect(screw(noun, 'step.tightenBlade')).toContain(it)
  })
  test('times after their preposition', () => {
    const after = (form: 'half' | 'whole', n: number) =>
      say({ language: 'de' }, 'seconds', { form, n, text: String(n), after: 'yes' })
    expect([after('half', 0), after('whole', 1), after('whole', 2)]).toEqual([
      'einer halben Sekunde',
      'einer Sekunde',
      'zwei Sekunden',
    ])
    const plain = (form: 'half' | 'whole', n: number) =>
      say({ language: 'de' }, 'seconds', { form, n, text: String(n), after: 'no' })
    expect([plain('half', 0), plain('whole', 1)]).toEqual(['eine halbe Sekunde', 'eine Sekunde'])
  })
})
