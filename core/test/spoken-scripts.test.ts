import { describe, expect, test } from '@jest/globals'
import { type Commission, LENGTHS, ORDERS, type READERS, type Saber } from '@nubrin/core/record'
import { compose, proposeTrim, rehearse, spokenLength, targetOf, topicsOf, troubleText } from '@nubrin/core/script'
import { LANGUAGES, type Language, MAKER } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { demoCommissions } from '@nubrin/demo'
import fc from 'fast-check'
import { drawn, tries } from './drawn'
import { ORDERS as ALL, kindOfOrder } from './orders'
import { TODAY } from './samples'

const SINGLE = ALL.filter(([name]) => name !== 'twelve sabers')
/** What stands in the maker's own words, and names: they are his, whatever they look like. */
function ownWords(c: Commission, s: Saber): Set<string> {
  const out = new Set<string>()
  const walk = (v: unknown) => {
    if (typeof v === 'string' && /[a-z]/i.test(v)) out.add(v)
    else if (typeof v === 'object' && v !== null) for (const x of Object.values(v)) walk(x)
  }
  walk({ ...c, sabers: undefined })
  walk({ ...s, beats: undefined })
  return out
}
/** Finds any of some words longer than three letters, the longest first. */
const anyOf = (words: readonly string[]) => {
  const long = [...new Set(words)].filter((w) => w.length > 3).sort((a, b) => b.length - a.length)
  return new RegExp(long.map((w) => w.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|') || '(?!)', 'g')
}
const scripts = (language: Language) =>
  drawn(SINGLE, 1 / 3, (o) => [kindOfOrder(o)], language).flatMap(([, make]) => {
    const c = make()
    c.client.language = language
    return c.sabers.map((s) => [`${c.title}: ${s.name}`, c, { ...s, beats: [] as Saber['beats'] }] as const)
  })
/** What cannot be done as it is told. Where a record knows no way off at all, that is the record's, and a finding of its own. */
const troubled = (s: Saber) =>
  rehearse(MAKER, s)
    .troubles.filter((t) => !['endsLit', 'litWhile'].includes(t.code) || s.controls.some((r) => r.does === 'retract'))
    .map(troubleText)
const withoutQuotes = (text: string) => text.replace(/[„“][^“”]*[“”]/g, '“…”')

describe.each(LANGUAGES)('every script in %s', (language) => {
  test.each(scripts(language))('%s', (_name, c, s) => {
    const own = [...ownWords(c, s)].sort((a, b) => b.length - a.length)
    /** The composer's own part of a sentence: what is the maker's is taken out first. */
    const theirs = anyOf(own.flatMap((w) => [w, w[0]!.toLowerCase() + w.slice(1)]))
    const ours = (text: string) => withoutQuotes(text).replace(theirs, '#')
    for (const order of ORDERS) {
      const beats = compose(c, s, order)
      expect(troubled({ ...s, beats }).map((t) => `${order}: ${t}`)).toEqual([])
      expect(compose(c, s, order)).toEqual(beats)
      for (const b of beats) {
        const text = b.say
        const mine = ours(text)
        // No gap, no value of the code, no mark of nothing.
        expect(text).not.toMatch(/undefined|null|NaN|\[object|\{|\}| {2}|^\s|\s$|\(\)|“”|„“| [.,;:](\s|$)|\.\.|,\./)
        // Sentences begin large, and end.
        expect(text).toMatch(/[.!?][”“)]?$/)
        expect(mine.split(/(?<=[.!?])\s+/).filter((sentence) => /^\p{Ll}/u.test(sentence))).toEqual([])
        // No noun twice running, no key of the code.
        expect(mine).not.toMatch(/(?<!\p{L})(\p{L}{3,}) \1(?!\p{L})/iu)
        expect(mine).not.toMatch(/(?<![\p{L}“#])[a-z]+[A-Z][a-z]/u)
        // Whoever listens is "you", but for the greeting and where it is said who made what.
        if (!b.covers.some((k) => /^(welcome|farewell|credit)/.test(k))) {
          if (c.client.name) expect(mine).not.toContain(c.client.name)
          expect(mine).not.toMatch(/\b(the client|der Kunde|die Kundin|the customer)\b/i)
        }
        // The name on the shelf, with its sizes, is for paper.
        if (b.covers.every((k) => k.startsWith('part:')))
          for (const p of s.parts) if (/\d/.test(p.name)) expect(text).not.toContain(p.name)
      }
      // First the greeting, last the farewell.
      expect(beats[0]!.covers).toContain('welcome')
      expect(beats.at(-1)!.covers).toContain('farewell')
    }
  })
})

test('a script in German has no English in it but what the maker wrote', () => {
  const English = /(?<!\p{L})(the|and|with|your|you|is|are|of|this|that|press|hold|blade|button|screw)(?!\p{L})/iu
  for (const [name, c, s] of scripts('de')) {
    const theirs = anyOf([...ownWords(c, s)])
    for (const b of compose(c, s)) {
      const t = withoutQuotes(b.say).replace(theirs, '#')
      expect(`${name}: ${t}`.slice(name.length)).not.toMatch(English)
    }
  }
})

test('whatever the order, a part is told before it is used and each thing is told once', () => {
  for (const [, c, s] of scripts('en'))
    for (const order of ORDERS) {
      const beats = compose(c, s, order)
      const keys = beats.flatMap((b) => b.covers)
      expect(new Set(keys).size).toBe(keys.length)
      // The hilt is opened once, and its blade changed once.
      for (const task of ['open', 'close', 'bladeIn', 'bladeOut'])
        expect(keys.filter((k) => k === `task:${task}`).length).toBeLessThanOrEqual(1)
      const at = (key: string) => beats.findIndex((b) => b.covers.includes(key))
      const bites = (caution: string, before: string) => {
        const [a, b] = [at(caution), at(before)]
        if (a >= 0 && b >= 0) expect(a).toBeLessThan(b)
      }
      // Where it bites: before anything shines, and before hands are inside.
      for (const r of s.controls) if (r.does === 'ignite') bites('caution:blade', `control:${r.id}`)
      bites('caution:inside', 'task:open')
      bites('caution:cell', 'task:cellIn')
      bites('task:open', 'task:close')
    }
})

describe('a listener changes what is told', () => {
  const record = () => {
    const c = demoCommissions(TODAY).find((x) => x.id === 'reed-warden')!
    return { c, s: c.sabers[0]! }
  }
  const keys = (more: NonNullable<Saber['telling']>, change: (c: Commission, s: Saber) => void = () => undefined) => {
    const { c, s } = record()
    s.telling = more
    change(c, s)
    return { c, s, keys: topicsOf(c, s).map((t) => t.key) }
  }
  const telling = (...readers: (typeof READERS)[number][]) => ({
    length: 'full' as const,
    readers,
    differs: ['no display'],
  })
  test('who duels hears what works loose, who never held it how heavy it is, who has another what differs', () => {
    const plain = keys(telling()).keys
    expect(plain).not.toContain('duel')
    expect(keys(telling('duels')).keys).toContain('duel')
    expect(keys(telling('neverHeld')).keys).toContain('heft')
    expect(plain).not.toContain('differs')
    expect(keys(telling('returning')).keys).toContain('differs')
    expect(keys(telling(), (c) => void (c.purpose = 'duelling')).keys).toContain('duel')
    expect(keys(telling(), (_c, s) => void (s.recipient = { knows: 'neverSeen' })).keys).toContain('heft')
  })
  test('a beginner hears why', () => {
    const { c, s } = keys(telling('beginner'))
    const say = (key: string) => topicsOf(c, s).find((t) => t.key === key)!.say
    expect(say('task:powerOff')).toMatch(/That way nothing drains the cell in storage\.$/)
    s.telling!.readers = []
    expect(say('task:powerOff')).not.toContain('drains')
  })
  test('built on camera it is put together act by act first, as the machine plans it; told otherwise it is not', () => {
    const { c, s } = record()
    const built = compose(c, s, 'build')
    const pieces = built.filter((b) => b.covers[0]?.startsWith('assemble:'))
    expect(pieces.map((b) => b.covers[0]).slice(-1)).toEqual(['assemble:section:rw-pommel'])
    expect(pieces.length).toBeGreaterThan(3)
    expect(pieces[0]!.say).toMatch(/^This is how it goes together, piece by piece\./)
    const at = (key: string) => built.findIndex((b) => b.covers.includes(key))
    for (const b of pieces) expect(at(b.covers[0]!)).toBeLessThan(at('task:open'))
    expect(at('caution:cell')).toBeLessThan(at(`assemble:part:${s.parts.find((p) => p.kind === 'cell')!.id}`))
    for (const order of ORDERS.filter((o) => o !== 'build'))
      expect(compose(c, s, order).some((b) => b.covers[0]?.startsWith('assemble:'))).toBe(false)
    // What nobody has said how to put on is not told as if somebody had.
    s.hilt = structuredClone(s.hilt)
    s.hilt.sections[0]!.joint.kind = 'collar'
    expect(compose(c, s, 'build').some((b) => b.covers.includes('assemble:section:rw-pommel'))).toBe(false)
  })
  test('a gift is spoken to whoever receives it', () => {
    const { c, s } = keys(telling(), (x, y) => {
      x.giver = 'Tor Ashby'
      y.recipient = { name: 'Ida' }
    })
    const beats = compose(c, s)
    expect(beats[0]!.say).toBe('Hello Ida. This is Reed Warden; Tor Ashby had it made for you.')
    expect(beats.at(-1)!.say).toContain('Thank you, Ida.')
  })
  test('inches for who thinks in inches', () => {
    const { c, s } = record()
    const told = (measures?: 'mm' | 'inch') => {
      c.client.measures = measures
      if (!measures) delete c.client.measures
      s.blades[0]!.use = 'toBuy'
      return topicsOf(c, s).find((t) => t.key === `blade:${s.blades[0]!.id}`)!.say
    }
    expect(told('inch')).toMatch(/\d in across/)
    expect(told('mm')).toMatch(/\d mm across/)
    expect(say({ language: 'de' }, 'about', { what: 'x' })).toBe('etwa x')
  })
})

describe('a telling that has to be short', () => {
  test.each(scripts('en'))('%s', (_name, c, s) => {
    const full = compose(c, { ...s, telling: { length: 'full', readers: [], differs: [] } })
    for (const length of LENGTHS)
      for (const target of [undefined, 60, 300]) {
        const told = { ...s, telling: { length, readers: [], differs: [], ...(target ? { target } : {}) } }
        const beats = compose(c, told)
        const most = targetOf(told)
        expect(beats.map((b) => b.covers)).toEqual(full.map((b) => b.covers))
        expect(troubled({ ...told, beats })).toEqual([])
        const left = beats.filter((b) => b.leftTo)
        if (most === undefined || spokenLength(full) <= most) expect(left).toEqual([])
        else expect(spokenLength(beats)).toBeLessThanOrEqual(spokenLength(full))
        // Nobody leaves safety, power or how to turn it off to paper; a warning only with all that it warns of.
        const kept = /^(caution:(blade|flash|sharp)|limit|fastener|welcome|farewell|duel)|^task:(power|blade)/
        const gone = left.flatMap((b) => b.covers)
        expect(gone.filter((k) => kept.test(k))).toEqual([])
        const shown = beats.filter((b) => !b.leftTo).flatMap((b) => b.covers)
        const warned = { 'caution:cell': /^task:(cell|charge)/, 'caution:inside': /^task:(open|cell|card|port|close)/ }
        for (const [k, of] of Object.entries(warned))
          if (gone.includes(k)) expect([k, shown.filter((x) => of.test(x))]).toEqual([k, []])
      }
  })
  test('what is left is what weighs least, and no more of it than has to be', () => {
    const c = demoCommissions(TODAY).find((x) => x.id === 'reed-warden')!
    const s = { ...c.sabers[0]!, beats: [] }
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 500 }), (target) => {
        const beats = compose(c, { ...s, telling: { length: 'full', readers: [], differs: [], target } })
        const weights = new Map(topicsOf(c, s).map((t) => [t.key, t.weight]))
        // Warnings went with what they warn of.
        const left = beats.filter((b) => b.leftTo && !b.covers.some((k) => k.startsWith('caution:')))
        // Put back, any of the last that went would be too long again.
        if (left.length && spokenLength(beats) <= target) {
          const least = Math.min(...left.map((b) => Math.min(...b.covers.map((k) => weights.get(k) ?? 0))))
          const last = left.filter((b) => b.covers.some((k) => weights.get(k) === least))
          const warnings = beats.filter((b) => b.leftTo && !left.includes(b))
          const sum = [...last, ...warnings].reduce((a, b) => a + b.seconds, 0)
          expect(spokenLength(beats) + sum).toBeGreaterThan(target)
        }
      }),
      { numRuns: tries(40, 10) },
    )
  })
  test('nobody’s own words are proposed to go, nor what covers nothing; what is opened goes together or not at all', () => {
    const c = demoCommissions(TODAY).find((x) => x.id === 'reed-warden')!
    const beats = compose(c, { ...c.sabers[0]!, beats: [] })
    const opens = (b: (typeof beats)[number]) => b.covers.some((k) => /^task:(open|cellOut|cellIn|card|close)$/.test(k))
    expect(beats.filter(opens).length).toBeGreaterThan(1)
    const kinds = fc.array(fc.constantFrom('as it is', 'as it is', 'own words', 'covers nothing'), {
      ...{ minLength: beats.length, maxLength: beats.length },
    })
    fc.assert(
      fc.property(kinds, (kind) => {
        const told = beats.map((b, i) => ({
          ...b,
          ...(kind[i] === 'own words' ? { by: 'edited' as const } : {}),
          ...(kind[i] === 'covers nothing' ? { covers: [] } : {}),
        }))
        const out = new Set(proposeTrim(c, { ...c.sabers[0]!, beats: told }, 0))
        expect(out.size).toBeGreaterThan(0)
        expect(told.filter((b, i) => kind[i] !== 'as it is' && out.has(b.id))).toEqual([])
        expect(new Set(told.filter(opens).map((b) => out.has(b.id))).size).toBeLessThan(2)
      }),
      { numRuns: tries(60, 20) },
    )
  })
})
