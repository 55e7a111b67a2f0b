import { describe, expect, test } from '@jest/globals'
import { makeAjv } from '@nubrin/core/import'
import {
  actualOf,
  changedOffer,
  digitsOf,
  draftQuote,
  minorOf,
  mixedIn,
  moneyText,
  parseMoney,
  Quote,
  quotePaper,
  sumsOf,
} from '@nubrin/core/quote'
import type { Commission } from '@nubrin/core/record'
import { guessesFrom } from '@nubrin/core/schedule'
import fc from 'fast-check'
import { tries } from './drawn'
import { demo, TODAY } from './samples'

const terms = { currency: 'EUR', rate: 4800, margin: 25 }
const costOf = (row: string) => ({ 'board-m': 68, 'cell-18650-p': 8.2 })[row]
const drafted = (c: Commission): Quote => {
  let n = 0
  return draftQuote(c, {
    ...{ number: 1, on: TODAY, by: 'Maren', terms, costOf, guesses: guessesFrom({}), newId: () => `q-${n++}` },
  })
}
const quote = (more: Partial<Quote> = {}): Quote => ({
  ...{ format: 'nubrin-quote', version: 1, number: 1, on: TODAY, by: 'Maren', currency: 'EUR', state: 'draft' },
  ...{ lines: [], options: [], changes: [], payments: [] },
  ...more,
})
const amount = fc.integer({ min: 0, max: 1_000_000 })

describe('money', () => {
  // ISO 4217: digits after the point.
  test.each([
    ['EUR', 2, 125_000, '€1,250.00', '1.250,00 €'],
    ['JPY', 0, 1250, 'JP¥1,250', '1.250 ¥'],
    ['KWD', 3, 1_250_000, 'KWD 1,250.000', '1.250,000 KWD'],
  ])('%s has %i digits, and is written as its reader writes it', (currency, digits, minor, en, de) => {
    expect(digitsOf(currency)).toBe(digits)
    const bare = (t: string) => t.replace(/\u00a0|\u202f/g, ' ')
    expect(bare(moneyText({ language: 'en' }, minor, currency))).toBe(en)
    expect(bare(moneyText({ language: 'de' }, minor, currency))).toBe(de)
  })
  test.each([
    ['1250', 125_000],
    ['1,250.00', 125_000],
    ['1.250,00', 125_000],
    ['1 250,5', 125_050],
    ['€ 12.5', 1250],
    ['-3,20', -320],
    ['1,250', 125_000],
    ['0', 0],
    ['', undefined],
    ['twelve', undefined],
  ])('%p typed', (text, minor) => {
    expect(parseMoney(text, 'EUR')).toBe(minor)
  })
  test('what is written is read as the same amount, in both languages', () => {
    fc.assert(
      fc.property(
        amount,
        fc.constantFrom('EUR', 'JPY', 'GBP'),
        fc.constantFrom('en', 'de'),
        (minor, currency, language) => {
          expect(parseMoney(moneyText({ language: language as 'en' }, minor, currency), currency)).toBe(minor)
        },
      ),
      { numRuns: tries(1000, 200) },
    )
  })
  test('an amount in major units is a whole number of minor ones', () => {
    expect(minorOf(0.1 + 0.2, 'EUR')).toBe(30)
    expect(minorOf(9.4, 'JPY')).toBe(9)
  })
})

describe('sums', () => {
  test('are what adding by hand gives, whole units all of them; options count once they are accepted', () => {
    const line = fc.record({ quantity: fc.integer({ min: 1, max: 20 }), price: amount })
    const option = fc.record({ price: amount, on: fc.boolean() })
    fc.assert(
      fc.property(
        fc.array(line),
        fc.array(option),
        fc.array(fc.integer({ min: -500_000, max: 500_000 })),
        fc.array(amount),
        (lines, options, changes, payments) => {
          const q = quote({
            lines: lines.map((l, i) => ({ id: `l${i}x`, kind: 'part', what: 'w', ...l })),
            options: options.map((o, i) => ({
              ...{ id: `o${i}x`, what: 'w', price: o.price },
              ...(o.on ? { accepted: { on: TODAY, by: 'letter' } } : {}),
            })),
            changes: changes.map((price, i) => ({ id: `c${i}x`, on: TODAY, what: 'w', price, consent: 'letter' })),
            payments: payments.map((a, i) => ({ id: `p${i}x`, on: TODAY, kind: 'deposit', amount: a })),
          })
          let total = 0
          for (const l of lines) for (let k = 0; k < l.quantity; k++) total += l.price
          for (const o of options) total += o.on ? o.price : 0
          for (const c of changes) total += c
          const s = sumsOf(q)
          expect(s.total).toBe(total)
          expect(s.balance + s.paid).toBe(total)
          expect(s.open).toBe(options.filter((o) => !o.on).reduce((n, o) => n + o.price, 0))
          for (const v of Object.values(s)) expect(Number.isSafeInteger(v)).toBe(true)
        },
      ),
      { numRuns: tries(500, 100) },
    )
  })
})

describe('a draft', () => {
  test('has the parts that the shop brings at cost and margin, hours at the rate, and offered wishes as options', () => {
    const c = demo('reed-warden')
    delete c.shipped
    c.requests.push({
      ...{ id: 'offer', text: 'A second font', shape: 'offered', status: 'open' },
      price: { amount: 35, currency: 'EUR' },
    })
    const q = drafted(c)
    expect(makeAjv().compile(Quote)(q)).toBe(true)
    const board = c.sabers[0]!.parts.find((p) => p.catalogue === 'board-m')
    if (board) expect(q.lines.find((l) => l.what === board.name)).toMatchObject({ cost: 6800, price: 8500 })
    for (const l of q.lines.filter((x) => x.kind === 'work')) expect(l.price).toBe(Math.round(l.hours! * 4800))
    const shop = c.sabers[0]!.parts.filter((p) => (p.supplied ?? 'shop') === 'shop')
    expect(q.lines.filter((l) => l.kind === 'part').reduce((n, l) => n + l.quantity, 0)).toBe(shop.length)
    expect(q.options).toMatchObject([{ what: 'A second font', price: 3500, request: 'offer' }])
    expect(sumsOf(q).open).toBe(3500)
  })
  test('is in words of its client: kinds of work are not the shop’s keys', () => {
    const c = demo('reed-warden')
    const work = (language: 'en' | 'de') => {
      Object.assign(c, { writtenIn: language }).client.language = language
      return drafted(c).lines.flatMap((l) => (l.kind === 'work' ? [l.what] : []))
    }
    expect(work('en')).toEqual(expect.arrayContaining(['Wiring', 'Testing', 'Packing']))
    expect(work('de')).toEqual(expect.arrayContaining(['Verdrahten', 'Prüfen', 'Verpacken']))
    expect(work('de')).toHaveLength(work('en').length)
  })
  test('one quote has one currency', () => {
    const c = demo('reed-warden')
    c.requests.push({
      ...{ id: 'offer', text: 'A second font', shape: 'offered', status: 'open' },
      price: { amount: 35, currency: 'GBP' },
    })
    expect(mixedIn(c, terms)).toEqual([{ wish: 'A second font', currency: 'GBP' }])
  })
  test('what it really took stands beside what was quoted', () => {
    const c = demo('reed-warden')
    const q = drafted(c)
    c.log = [
      { id: 'e1', on: TODAY, text: '', kind: 'work', hours: 3.5 },
      { id: 'e2', on: TODAY, text: '', kind: 'work', hours: 2 },
    ]
    const a = actualOf(c, q, terms, costOf)
    expect(a.work).toMatchObject({ hours: 5.5, atRate: 26_400 })
    expect(a.work.quoted).toBe(q.lines.filter((l) => l.kind === 'work').reduce((n, l) => n + l.price, 0))
  })
})

describe('what was sent', () => {
  const sent = quote({
    state: 'sent',
    lines: [{ id: 'l1x', kind: 'part', what: 'board', quantity: 1, price: 8500 }],
    options: [{ id: 'o1x', what: 'font', price: 3500 }],
  })
  const accepted = { on: TODAY, by: 'letter of the 3rd' }
  test('stays as it was offered; accepting, paying and agreed changes come after it', () => {
    expect(changedOffer(sent, { ...sent, options: [{ ...sent.options[0]!, accepted }] })).toEqual([])
    expect(changedOffer(sent, { ...sent, state: 'accepted', accepted })).toEqual([])
    expect(changedOffer(sent, { ...sent, payments: [{ id: 'p1x', on: TODAY, kind: 'deposit', amount: 1 }] })).toEqual(
      [],
    )
    expect(changedOffer(sent, { ...sent, lines: [] })).toEqual(['lines'])
    expect(changedOffer(sent, { ...sent, currency: 'GBP' })).toEqual(['currency'])
    expect(changedOffer(sent, { ...sent, options: [{ ...sent.options[0]!, price: 1 }] })).toEqual(['options'])
    expect(changedOffer(sent, { ...sent, state: 'draft' })).toEqual(['state'])
    expect(changedOffer({ ...sent, state: 'draft' }, { ...sent, lines: [] })).toEqual([])
  })
  test('is read by its client in his language, without what the shop pays', () => {
    const c = demo('reed-warden')
    c.client.language = 'de'
    const q = quote({
      ...{ state: 'accepted', accepted },
      lines: [{ id: 'l1x', kind: 'part', what: 'Platine', quantity: 2, price: 8500, cost: 6811 }],
      options: [{ id: 'o1x', what: 'Zweiter Klang', price: 3500 }],
      payments: [{ id: 'p1x', on: TODAY, kind: 'deposit', amount: 5000 }],
    })
    const paper = quotePaper(c, q, 'Hollowmere Hiltworks')
    const all = JSON.stringify(paper).replace(/\u00a0/g, ' ')
    expect(paper.lines).toEqual([{ what: '2 × Platine', price: expect.stringMatching(/^170,00/) }])
    for (const said of ['Summe', '170,00 €', '120,00 €', 'Auf Wunsch', 'nicht in der Summe', 'Anzahlung'])
      expect(all).toContain(said)
    expect(all).not.toContain('68,11')
  })
})
