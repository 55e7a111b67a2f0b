import { describe, expect, test } from '@jest/globals'
import { buildHandoff, departures, toTranslate } from '@nubrin/core/handoff'
import { judgeCommission } from '@nubrin/core/judge'
import { type Commission, hasWords } from '@nubrin/core/record'
import fc from 'fast-check'
import { drawn } from './drawn'
import { full } from './full'
import { kindOfOrder, ORDERS } from './orders'
import { demo, TODAY } from './samples'

const inGerman = (c: Commission): Commission => {
  c.client.language = 'de'
  delete c.writtenIn
  return c
}
/** Every text between German quotes that the document and its procedures hold. */
const quoted = (c: Commission): Set<string> => {
  const out = new Set<string>()
  const walk = (v: unknown) => {
    if (typeof v === 'string') for (const m of v.matchAll(/„([^„“]*)“/g)) out.add(m[1]!)
    else if (typeof v === 'object' && v !== null) for (const x of Object.values(v)) walk(x)
  }
  const { chapters, procedures, cover } = buildHandoff(c, 'Shop', TODAY)
  walk([chapters, procedures, cover])
  return out
}
const bare = (text: string) => text.replace(/\.+$/, '')
const about = (c: Commission, code: string) =>
  judgeCommission(c, TODAY).filter((f) => f.check === 'translated' && f.code === code)

describe('what is to be translated for a client', () => {
  test.each(drawn(ORDERS, 1 / 3, (o) => [kindOfOrder(o)], 'to translate').map(([n, make]) => [n, make] as const))(
    '%s: every text that stands quoted before him is on the list, with where it arrives; translated, none is quoted',
    (_name, make) => {
      const c = inGerman(make())
      const list = toTranslate(c)
      const own = new Set(list.map((t) => bare(t.text)))
      const all = JSON.stringify(c)
      // What the sentences quote themselves is a name, a light's or a menu's, and nobody's words.
      const typed = [...quoted(c)].filter((q) => hasWords(q) && all.includes(JSON.stringify(q).slice(1, -1)))
      const names = new Set([
        ...c.sabers.flatMap((s) => [s.name, ...s.presets.map((p) => p.name)]),
        ...c.sabers.flatMap((s) => [
          ...s.beats.map((b) => b.say),
          s.settings.greeting ?? '',
          s.settings.link?.name ?? '',
        ]),
      ])
      expect(typed.filter((q) => !own.has(q) && !names.has(q))).toEqual([])
      for (const t of list) {
        expect([t.arrives.length > 0, t.paths.length > 0, t.says]).toEqual([true, true, undefined])
        expect(all).toContain(JSON.stringify(t.text).slice(1, -1))
      }
      // Only the pattern of a drill hall is told without a word of its maker.
      expect(list.length > 0).toBe(c.title !== 'Drill-hall pattern')
      const done = inGerman(make())
      done.translations = list.map((t, i) => ({
        ...{
          id: `t${i}`,
          language: 'de' as const,
          text: t.text,
          says: `Ü${i} ${(t.text.match(/\d+(?:[.,]\d+)*/g) ?? []).join(' ')}`,
        },
      }))
      expect(about(done, 'missing')).toEqual([])
      expect([...quoted(done)].filter((q) => own.has(q))).toEqual([])
      expect(toTranslate(done).map((t) => t.text)).toEqual(list.map((t) => t.text))
    },
  )
  test('nothing, for a client who reads what the record is written in', () => {
    const c = demo('reed-warden')
    expect(toTranslate(c)).toEqual([])
    c.client.language = 'de'
    c.writtenIn = 'de'
    expect(toTranslate(c)).toEqual([])
    c.client.language = 'en'
    expect(toTranslate(c).length).toBeGreaterThan(5)
  })
  test('a text that stands in two places is one, and what only the shop reads is none', () => {
    const c = inGerman(structuredClone(full().record))
    const [s] = c.sabers
    s!.presets[0]!.why = c.requests[0]!.text
    const twice = toTranslate(c).find((t) => t.text === c.requests[0]!.text)!
    expect(twice.paths).toEqual([
      `/requests/@${c.requests[0]!.id}/text`,
      `/sabers/@${s!.id}/presets/@${s!.presets[0]!.id}/why`,
    ])
    const texts = toTranslate(c).map((t) => t.text)
    expect(texts).not.toContain(c.requests[0]!.shopNote)
    expect(texts).not.toContain(c.log[0]!.text)
    expect(texts).not.toContain(s!.blades[0]!.tip)
  })
  test('the sentence is shown that it arrives in', () => {
    const c = inGerman(demo('reed-warden'))
    const [wish] = c.requests
    const one = toTranslate(c).find((t) => t.text === wish!.text)!
    const at = one.arrives.map((a) => `${a.in}: ${a.before}|${a.after}`)
    expect(at.some((a) => a.startsWith('script: Du hast dir gewünscht: |.'))).toBe(true)
  })
})

describe('a translation', () => {
  const NAMES = ['Reed Warden', 'Fen', 'Maren']
  test.each([
    ['Two screws of 4 mm', 'Zwei Schrauben von 4 mm', []],
    ['1.5 mm', '1,5 mm', []],
    ['4 mm and 4 mm', '4 mm', ['number 4 lost']],
    ['a screw', '2 Schrauben', ['number 2 added']],
    ['5 mm', '6 mm', ['number 5 lost', 'number 6 added']],
    ['Maren made Fen deeper', 'Maren hat es dunkler gemacht', ['name Fen lost']],
    ['Fence round it', 'Ein Zaun darum', []],
    ['for Reed Warden', 'für Reed Warden', []],
  ])('“%s” as “%s”: %j', (text, says, wrong) => {
    expect(departures(text, says, NAMES).map((d) => `${d.code} ${d.what} ${d.way}`)).toEqual(wrong)
  })
  test('holds numbers and names whatever stands around them, and loses each that is left out', () => {
    const word = fc.stringMatching(/^[a-z]{1,8}$/)
    const held = fc.oneof(fc.integer({ min: 0, max: 9999 }).map(String), fc.constantFrom(...NAMES))
    fc.assert(
      fc.property(fc.array(fc.tuple(word, held), { minLength: 1, maxLength: 6 }), fc.nat(), (parts, n) => {
        const text = parts.map((p) => p.join(' ')).join(' ')
        const says = parts
          .map(([w, h]) => `${h} ${w.toUpperCase()}`)
          .reverse()
          .join(' ')
        expect(departures(text, says, NAMES)).toEqual([])
        const gone = parts[n % parts.length]![1]
        const less = parts
          .filter((_, i) => i !== n % parts.length)
          .map((p) => p[1])
          .join(' ')
        const still = NAMES.includes(gone) && parts.filter((p) => p[1] === gone).length > 1
        expect(departures(text, less, NAMES).map((d) => d.what)).toEqual(still ? [] : [gone])
      }),
    )
  })
  test('stands against shipping while texts are missing, unless the maker prints them in quotes', () => {
    const c = inGerman(demo('reed-warden'))
    const [found] = about(c, 'missing')
    expect([found!.level, found!.gate, found!.station]).toEqual(['caution', true, 'handoff'])
    expect(found!.params).toMatchObject({ n: toTranslate(c).length, language: 'de', written: 'en' })
    c.untranslated = 'quote'
    expect(about(c, 'missing').map((f) => [f.level, f.gate])).toEqual([['note', false]])
  })
  test('that says another number stands against shipping, and is named', () => {
    const c = inGerman(demo('reed-warden'))
    c.requests[0]!.text = 'Loud for 2 evenings'
    c.translations = [{ id: 'tr', language: 'de', text: 'Loud for 2 evenings', says: 'Laut für 3 Abende' }]
    expect(about(c, 'departs').map((f) => [f.gate, f.refs, f.params])).toEqual([
      [
        true,
        ['translation:tr'],
        { text: 'Loud for 2 evenings', says: 'Laut für 3 Abende', kind: 'number', what: '2', way: 'lost' },
      ],
    ])
  })
  test('of a text that was changed since is not used', () => {
    const c = inGerman(demo('reed-warden'))
    c.translations = [{ id: 'tr', language: 'de', text: c.requests[0]!.text, says: 'Ein Kristall' }]
    c.requests[0]!.text += ', please'
    expect(toTranslate(c).find((t) => t.text === c.requests[0]!.text)!.says).toBeUndefined()
  })
})
