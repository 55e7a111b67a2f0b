import { describe, expect, test } from '@jest/globals'
import { buildHandoff, controlsCard, drawnSaber, handedSaber, toTranslate } from '@nubrin/core/handoff'
import { judgeCommission, makeJudge } from '@nubrin/core/judge'
import { type Commission, hasWords, readerOf, told } from '@nubrin/core/record'
import { liveBeats, type TopicMemory, topicsOf } from '@nubrin/core/script'
import { full } from './full'
import { demo, TODAY } from './samples'

const { record, leaves } = full()
const german = (c: Commission): Commission => ({
  ...c,
  client: { ...c.client, language: 'de' as const },
  writtenIn: 'en' as const,
  translations: [],
})
/** What is typed and is no language: it stands as it is in every one, each with the reason. */
const IN_EVERY_LANGUAGE: [RegExp, string][] = [
  [/\/(who|by|askedBy|to|giver|person|maker|doneBy|confirmedBy)$/, 'somebody’s name'],
  [/^\/(title|id|of)$/, 'the order’s own name'],
  [
    /\/(address|tracking|file|code|lot|edition|firmware|unit|thread|key|program|size|carrier|mapFrom)$/,
    'a designation or an address',
  ],
  [/\/(presets|sabers|link|people)\/name$|^\/sabers\/name$|\/recipient\/name$|\/client\/name$/, 'a name'],
  [
    /\/(fonts\/name|sounds\/name|author|greeting|catalogue)$/,
    'what it is called on the card, and what its display shows',
  ],
  [/\/beats\/(say|doText|expect)$|\/spoken\/name$/, 'written in the client’s language already'],
]
/** Everything that is worded for the client of an order. */
const worded = (c: Commission): string[] => {
  const out: string[] = []
  const walk = (v: unknown) => {
    if (typeof v === 'string') out.push(v)
    else if (typeof v === 'object' && v !== null) for (const x of Object.values(v)) walk(x)
  }
  const document = buildHandoff(c, 'Shop', TODAY)
  walk([document.chapters, document.cover, document.procedures])
  for (const s of told(c).sabers) {
    walk(topicsOf(c, s).map((t) => t.say))
    walk(liveBeats(readerOf(c), s).map((b) => b.say))
    walk(controlsCard(readerOf(c), s, 'A5'))
  }
  return out
}
/** The first thing of each record has more than one way to be told: with figures and in words, asked of the client and of others. */
const ways = (): Commission[] => {
  const asked = structuredClone(record)
  for (const q of asked.questions) delete (q as { to?: string }).to
  for (const t of asked.sabers[0]!.tests) {
    delete t.min
    delete t.max
    for (const r of t.readings) delete r.value
  }
  for (const t of asked.toDos) Object.assign(t, { who: 'client', done: false })
  const undone = structuredClone(record)
  for (const t of undone.sabers[0]!.tests) t.readings = []
  return [record, asked, undone].map(german)
}

describe('the shop’s own words before a client who reads another language', () => {
  const said = ways().flatMap(worded)
  const typed = leaves.filter((l) => /^(own-)?q[a-z]{3}q$/.test(l.says))
  const reaching = typed.filter((l) => said.some((t) => t.includes(l.says)))
  test('most of the record reaches him', () => expect(reaching.length).toBeGreaterThan(70))
  test.each(reaching.filter((l) => !l.words).map((l) => [l.at]))('%s is no language, and there is a reason', (at) => {
    expect(IN_EVERY_LANGUAGE.some(([p]) => p.test(at)) ? at : `${at}: no reason`).toBe(at)
  })
  test.each(reaching.filter((l) => l.words).map((l) => [l.at, l.says]))(
    '%s stands in quotes, however it is told',
    (_at, says) => {
      const bareOf = said.filter((t) => t.replace(/„[^„“]*“/g, '').includes(says))
      expect(bareOf).toEqual([])
    },
  )
  test('translated, none of them is left, nothing is quoted, and each is there', () => {
    const words = leaves.filter((l) => l.words)
    const says = new Map(words.map((l) => [l.says, `Wort${l.says.toUpperCase()}`]))
    const all = ways().map((c) => ({
      ...c,
      translations: words.map((l, i) => ({
        id: `t${i}`,
        language: 'de' as const,
        text: l.says,
        says: says.get(l.says)!,
      })),
    }))
    const now = all.flatMap(worded).join('\n')
    for (const l of words) expect(now.includes(l.says) ? l.at : '').toBe('')
    for (const l of reaching.filter((x) => x.words)) expect(now.includes(says.get(l.says)!) ? '' : l.at).toBe('')
    const quoted = words.filter((l) => now.includes(`„${says.get(l.says)}`)).map((l) => l.at)
    expect(quoted).toEqual([])
  })
})

describe('a record as its client reads it', () => {
  test('is the record itself where he reads what it is written in', () => {
    const own = { ...german(record), client: { ...record.client, language: 'en' as const } }
    expect(told(own)).toBe(own)
  })
  test('somebody’s name is the same in every language; words for somebody are words', () => {
    const c = german(structuredClone(record))
    const [s] = c.sabers
    s!.provenance[0]!.who = 'Ilsabet Vorne'
    s!.presets[0]!.askedBy = 'the Guild'
    expect([told(c).sabers[0]!.provenance[0]!.who, told(c).sabers[0]!.presets[0]!.askedBy]).toEqual([
      'Ilsabet Vorne',
      '„the Guild“',
    ])
    expect(toTranslate(c).map((t) => t.text)).toContain('the Guild')
  })
  test('is told once, and again as soon as a translation changes', () => {
    const c = german(record)
    const first = told(c)
    expect(told(c)).toBe(first)
    expect(told(first)).toBe(first)
    const [s] = c.sabers
    const more = {
      ...c,
      translations: [{ id: 't1', language: 'de' as const, text: s!.presets[0]!.why!, says: 'Darum' }],
    }
    expect(told(more).sabers[0]!.presets[0]!.why).toBe('Darum')
    expect(first.sabers[0]!.presets[0]!.why).toMatch(/^„.*“$/)
  })
  test('what was remembered of it is forgotten when a translation changes: topics, and what is judged', () => {
    const c = german(demo('reed-warden'))
    const wish = c.requests[0]!.text
    const more = { ...c, translations: [{ id: 't1', language: 'de' as const, text: wish, says: 'Ein Kristall' }] }
    const memory: TopicMemory = new Map()
    const judge = makeJudge()
    for (const x of [c, more, c]) {
      expect(topicsOf(x, x.sabers[0]!, memory)).toEqual(topicsOf(structuredClone(x), structuredClone(x.sabers[0]!)))
      expect(judge(x, TODAY)).toEqual(judgeCommission(structuredClone(x), TODAY))
    }
    expect(
      topicsOf(more, more.sabers[0]!, memory)
        .map((t) => t.say)
        .join(),
    ).toContain('Ein Kristall')
  })
  test('a translation into another language is none', () => {
    const c = {
      ...german(record),
      translations: [{ id: 't1', language: 'en' as const, text: record.requests[0]!.text, says: 'X' }],
    }
    expect(told(c).requests[0]!.text).toBe(`„${record.requests[0]!.text}“`)
  })
  test('what travels to the page carries no word of the shop but quoted or translated', () => {
    const c = told(german(record))
    const travels = JSON.stringify([drawnSaber(c.sabers[0]!), handedSaber(c.sabers[0]!)]).replace(/„[^„“]*“/g, '')
    const words = leaves.filter((l) => l.words && l.at.startsWith('/sabers/'))
    expect(words.filter((l) => travels.includes(l.says)).map((l) => l.at)).toEqual([])
  })
  test.each([
    ['18650', false],
    ['1.5 mm', false],
    ['920 mm × 25.4 mm', false],
    ['USB-C', false],
    ['LED 3 W', false],
    ['3 of 10', true],
    ['hex', true],
    ['größer', true],
    ['', false],
  ])('%s: words of a language: %s', (text, is) => expect(hasWords(text)).toBe(is))
})
