import { describe, expect, test } from '@jest/globals'
import {
  buildHandoff,
  differences,
  MOST_OPEN_QUESTIONS,
  readReply,
  recallMessage,
  restsOf,
  shortened,
  takeReply,
} from '@nubrin/core/handoff'
import { readCommission, writeCommission } from '@nubrin/core/import'
import type { Commission, ReplyBody } from '@nubrin/core/record'
import fc from 'fast-check'
import { chapterLines } from '../src/handoff/lines'
import { drawn, tries } from './drawn'
import { kindOfOrder, ORDERS } from './orders'
import { demo, TODAY } from './samples'

const build = (c: Commission) => buildHandoff(c, 'Shop', TODAY)

describe('what a sentence rests on', () => {
  const c = demo('reed-warden')
  const s = c.sabers[0]!
  const of = (chapter: string, line: RegExp) => restsOf(c, chapter).find((x) => line.test(x.line))!
  test('the length of the hilt rests on every section and how deep each joins, and on no screw', () => {
    const paths = of('spec', /^Length of the hilt/).rests.map((r) => r.path)
    for (const x of s.hilt.sections) expect(paths).toContain(`/sabers/@rw/hilt/sections/@${x.id}/length`)
    expect(paths.filter((p) => /fasteners|presets|tests/.test(p))).toEqual([])
  })
  test('each carries what it says and where it comes from', () => {
    const [grip] = of('spec', /^Length of the hilt/).rests.filter((r) => r.owner === 'grip' && r.field === 'length')
    expect(grip).toMatchObject({ value: '116 mm', source: 'measured' })
  })
  test('the caution of the cell rests on its landmark, a screw’s line on its key', () => {
    expect(of('cautions', /^The cell/).rests.map((r) => r.field)).toContain('landmark')
    const key = of('screws', /^shroud screw/).rests.map((r) => `${r.owner} ${r.field}`)
    expect(key).toEqual(expect.arrayContaining(['shroud screw key', 'shroud screw clientMay']))
  })
  test('every figure that a line is said to rest on changes it', () => {
    const figures = ['spec', 'screws', 'charging', 'blade'].flatMap((id) =>
      restsOf(c, id).flatMap((l) =>
        l.rests
          .filter((r) => r.source && /^-?[\d.]+( |$)/.test(r.value))
          .map((r) => ({ id, line: l.line, path: r.path })),
      ),
    )
    expect(figures.length).toBeGreaterThan(80)
    fc.assert(
      fc.property(fc.constantFrom(...figures), ({ id, line, path }) => {
        const now = structuredClone(c)
        let at: unknown = now
        for (const k of path.split('/').slice(1))
          at = k.startsWith('@')
            ? (at as { id: string }[]).find((x) => x.id === k.slice(1))
            : (at as Record<string, unknown>)[k]
        const f = at as { value: number }
        f.value = f.value * 1.37 + 3
        const lines = chapterLines(build(now).chapters.find((x) => x.id === id)!)
        expect(lines).not.toContain(line)
      }),
      { numRuns: tries(25, 8) },
    )
  })
  test('a chapter that is not written rests on nothing', () => expect(restsOf(c, 'nowhere')).toEqual([]))
})

describe('two records compared', () => {
  test('a record differs in nothing from itself, and in just the line that was changed', () => {
    const c = demo('reed-warden')
    const before = build(c)
    expect(differences(before, build(c))).toEqual([])
    c.sabers[0]!.hilt.fasteners[0]!.key = '2.5 mm'
    const [d, ...more] = differences(before, build(c)).filter((x) => x.chapter === 'screws')
    expect(more).toEqual([])
    expect(d!.gone).toEqual([expect.stringContaining('upper blade screw | 224 mm, 0° | 2 mm')])
    expect(d!.come).toEqual([expect.stringContaining('upper blade screw | 224 mm, 0° | 2.5 mm')])
  })
  test('what is counted by hand: lines that came and went, however they moved', () => {
    const whole = build(demo('reed-warden'))
    const doc = (lines: string[]) => ({
      ...whole,
      chapters: [{ id: 'a', title: 'A', blocks: lines.map((text) => ({ kind: 'para' as const, text })) }],
    })
    const line = fc.constantFrom('one', 'two', 'three', 'four')
    fc.assert(
      fc.property(fc.array(line, { maxLength: 8 }), fc.array(line, { maxLength: 8 }), (a, b) => {
        const [d] = differences(doc(a), doc(b))
        const count = (list: string[], x: string) => list.filter((y) => y === x).length
        for (const x of ['one', 'two', 'three', 'four']) {
          expect(count(d?.gone ?? [], x)).toBe(Math.max(0, count(a, x) - count(b, x)))
          expect(count(d?.come ?? [], x)).toBe(Math.max(0, count(b, x) - count(a, x)))
        }
      }),
    )
  })
  test('a chapter that came and one that went are told', () => {
    const c = demo('reed-warden')
    const before = build(c)
    delete c.handoff.words
    c.visits.push({ id: 'v1', cameOn: '2028-04-02', said: 'it hums', repairs: [] })
    const told = differences(before, build(c))
    expect(told.map((d) => d.chapter)).toEqual(expect.arrayContaining(['visits', 'words']))
    expect(told.find((d) => d.chapter === 'words')!.come).toEqual([])
  })
})

describe('the short record', () => {
  test.each(drawn(ORDERS, 1 / 4, (o) => [kindOfOrder(o)]))(
    '%s: shorter on how it came to be, never on safety',
    (_name, make) => {
      const d = build(make())
      const ids = (x: typeof d) => x.chapters.map((ch) => (ch.saber ? ch.id.replace(`-${ch.saber}`, '') : ch.id))
      const [all, short] = [ids(d), ids(shortened(d))]
      for (const id of [
        'cautions',
        'power',
        'blade',
        'screws',
        'opening',
        'charging',
        'troubles',
        'aside',
        'notes',
        'controls',
      ])
        expect(short.filter((x) => x === id)).toEqual(all.filter((x) => x === id))
      expect(shortened(d).chapters.every((ch) => d.chapters.includes(ch))).toBe(true)
      expect(short.length).toBeLessThan(all.length)
    },
  )
})

describe('what a client says back', () => {
  const asks: ReplyBody = { id: 'r-1', asks: ' Which oil for the thread? ', by: 'Ilsabet' }
  const file = (more: object = {}) =>
    JSON.stringify({
      ...{ format: 'nubrin-reply', version: 1, of: 'reed-warden', number: 1, on: TODAY },
      ...{ says: [asks, { id: 'r-2', read: 'cautions' }], ...more },
    })
  const c = () => demo('reed-warden')
  const ISSUED = new Map([[1, ['cautions', 'fit']]])
  test('a question and what was read go into the record, once, and make a record that is valid', () => {
    const d = c()
    const n = d.questions.length
    expect(takeReply(d, asks, 1, TODAY)).toBe('taken')
    expect(takeReply(d, asks, 1, TODAY)).toBe('there')
    expect(d.questions.slice(n)).toEqual([
      { id: 'r-1', text: 'Which oil for the thread?', askedBy: 'client', askedOn: TODAY, blocks: false },
    ])
    expect(takeReply(d, { id: 'r-2', read: 'cautions', by: 'Ilsabet' }, 1, TODAY)).toBe('taken')
    expect(takeReply(d, { id: 'r-3', read: 'cautions' }, 1, TODAY)).toBe('there')
    expect(takeReply(d, { id: 'r-4', read: 'cautions' }, 2, TODAY)).toBe('taken')
    expect(d.handoff.receipts.map((r) => `${r.number} ${r.chapter} ${r.by ?? ''}`)).toEqual([
      '1 cautions Ilsabet',
      '2 cautions ',
    ])
    expect(readCommission(writeCommission(d)).ok).toBe(true)
  })
  test('no more wait than may; an answer makes room', () => {
    const d = c()
    for (let i = 0; i < MOST_OPEN_QUESTIONS; i++)
      expect(takeReply(d, { id: `q-${i}`, asks: `${i}?` }, 1, TODAY)).toBe('taken')
    expect(takeReply(d, { id: 'one-more', asks: 'more?' }, 1, TODAY)).toBe('tooMany')
    d.questions.find((q) => q.id === 'q-0')!.answer = 'yes'
    expect(takeReply(d, { id: 'one-more', asks: 'more?' }, 1, TODAY)).toBe('taken')
  })
  test('a file is read as it was written', () => {
    const read = readReply(file(), c(), ISSUED)
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect(read.reply.says).toEqual([asks, { id: 'r-2', read: 'cautions' }])
  })
  test.each([
    ['of another commission', file({ of: 'crosswind' }), '/of', 'reference'],
    ['not JSON', '{"format"', '', 'json'],
    ['of another format', file({ format: 'x' }), '/format', 'const'],
    ['without a word', file({ says: [] }), '/says', 'minItems'],
    ['a blank question', file({ says: [{ id: 'r-1', asks: '  ' }] }), '/says/0', undefined],
    ['too long a file', ' '.repeat(60_001), '', 'maxBytes'],
    ['nested too deep', '['.repeat(2000), '', 'maxDepth'],
    ['of a record that was never issued', file({ number: 2 }), '/number', 'reference'],
    [
      'a chapter that is not there',
      file({ says: [asks, { id: 'r-9', read: 'weather' }] }),
      '/says/1/read',
      'reference',
    ],
    ['a field nobody knows', file({ more: 1 }), '/more', 'additionalProperties'],
  ])('%s: refused by place and rule', (_what, text, path, rule) => {
    const read = readReply(text, c(), ISSUED)
    if (read.ok) throw new Error('was taken')
    expect(read.problems.some((p) => p.path.startsWith(path) && (!rule || p.rule === rule))).toBe(true)
  })
})

describe('a letter for a recall', () => {
  const words = { part: 'Cell 2600', lot: 'L-1', why: 'some swell', todo: 'take it out' }
  const letter = (language: 'en' | 'de') => {
    const c = demo('reed-warden')
    c.client.language = language
    return recallMessage(c, ['Reed Warden'], words, 'Shop')
  }
  test('speaks the client’s language, whatever the shop’s', () => {
    const [en, de] = [letter('en'), letter('de')]
    expect(en.text).toMatch(/\b(we ask you)\b/i)
    expect(de.text).toMatch(/\b(und|dein|bitte|die|der)\b/i)
    expect(de.text).not.toMatch(/\b(we|you|is|what|dear)\b/i)
    expect(de.subject).not.toBe(en.subject)
    for (const t of [en.text, de.text])
      for (const w of ['Ilsabet', 'Reed Warden', ...Object.values(words)]) expect(t).toContain(w)
  })
})
