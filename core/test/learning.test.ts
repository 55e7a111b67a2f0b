import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import { biasesOf, type Compared, learnedFrom, type Own, oftenOf, shelfProposals } from '@nubrin/core/learning'
import { GENERIC_CATALOGUE } from '@nubrin/core/parts'
import { plannedTests } from '@nubrin/core/proof'
import { RATINGS } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { tries } from './drawn'
import { demo, TODAY } from './samples'

const at = { commission: 'c', title: 'C' }
const compared = (predicted: number, measured: number, more: Partial<Compared> = {}) => ({
  ...{ of: 'lit-current', what: 'Current with the blade lit', unit: 'A', saber: 's', predicted, measured, on: TODAY },
  ...{ rows: [], ...at, ...more },
})
const own = (value: number, more: Partial<Own> = {}): Own => ({
  row: 'board-m',
  spec: 'idleCurrent',
  value,
  saber: 's',
  ...more,
})

describe('predicted against measured', () => {
  test('the reading of a saber stands beside what is computed for it', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    const { compared: list } = learnedFrom(c)
    const lit = list.find((x) => x.of === 'lit-current')!
    const planned = plannedTests(MAKER, s).find((p) => p.test.key === 'lit-current')!
    const reading = s.tests.find((t) => t.key === 'lit-current')!.readings.at(-1)!
    expect(lit).toMatchObject({
      predicted: planned.predicts!()!.value,
      measured: reading.value,
      unit: 'A',
      saber: s.name,
    })
    // Whose it is does not tell one figure from another.
    for (const x of list) expect(x.of).not.toContain(s.id)
  })
  test('bias and spread by hand, and by part and lot', () => {
    const list = [
      compared(2, 1.8, { rows: [{ row: 'strip', lot: 'a' }] }),
      compared(2, 1.6, { rows: [{ row: 'strip', lot: 'b' }] }),
      compared(1, 1.2, { on: '2026-01-01' }),
    ]
    const [b] = biasesOf(list)
    // −10 %, −20 % and +20 %: a mean of −3⅓ %, and 0.2082 with n − 1.
    expect(b).toMatchObject({ n: 3, what: 'Current with the blade lit' })
    expect(b!.bias).toBeCloseTo(-0.1 / 3, 9)
    expect(b!.spread).toBeCloseTo(Math.sqrt(0.13 / 3), 2)
    expect(b!.points[0]!.on).toBe('2026-01-01')
    expect(biasesOf(list, { row: 'strip' })[0]).toMatchObject({ n: 2, bias: expect.closeTo(-0.15, 9) })
    expect(biasesOf(list, { row: 'strip', lot: 'b' })[0]).toMatchObject({ n: 1, spread: 0 })
    expect(biasesOf(list, { row: 'none' })).toEqual([])
  })
})

describe('what the shelf could learn', () => {
  test('is the mean of five or more, never of fewer, never a rating', () => {
    const four = [30, 31, 32, 33].map((v) => own(v))
    expect(shelfProposals(four, GENERIC_CATALOGUE)).toEqual([])
    const [p] = shelfProposals([...four, own(34)], GENERIC_CATALOGUE)
    expect(p).toMatchObject({ row: 'board-m', spec: 'idleCurrent', mean: 32, highest: 34, n: 5, unit: 'mA' })
    expect(p!.spread).toBeCloseTo(Math.sqrt(2.5), 9)
    const c = demo('reed-warden')
    const part = c.sabers[0]!.parts.find((x) => x.kind === 'cell' && x.catalogue)!
    part.specs.contCurrent = fact(9, 'A', 'measured')
    part.specs.mass = fact(47, 'g', 'measured')
    part.specs.resistance = fact(20, 'mΩ', 'measured')
    const specs = learnedFrom(c).own.map((o) => o.spec)
    expect(specs).toContain('mass')
    // Held against a rating, a lower mean would look safer than it is.
    expect(specs).not.toContain('resistance')
    for (const s of specs) expect(RATINGS.has(s)).toBe(false)
  })
  test('a lot that differs is named, one that does not is not', () => {
    const lot = (name: string, values: number[]) => values.map((v) => own(v, { lot: name }))
    const differs = (a: number[], b: number[]) =>
      shelfProposals([...lot('a', a), ...lot('b', b)], GENERIC_CATALOGUE)[0]!.lots.map((l) => l.differs)
    expect(differs([30, 31, 30, 31], [40, 41, 40])).toEqual([true, true])
    expect(differs([30, 34, 30, 34], [31, 33, 32])).toEqual([false, false])
    // Two are not enough to say so.
    expect(differs([30, 31, 30, 31], [40, 41])).toEqual([false, false])
  })
  test('lies between the least and the most, whatever was measured', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 1000, noNaN: true }), { minLength: 5, maxLength: 30 }),
        (values) => {
          const [p] = shelfProposals(
            values.map((v) => own(v)),
            GENERIC_CATALOGUE,
          )
          expect(p!.mean).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9)
          expect(p!.mean).toBeLessThanOrEqual(p!.highest + 1e-9)
        },
      ),
      { numRuns: tries(300, 60) },
    )
  })
})

describe('what happens again and again', () => {
  test('is counted whatever its letters, with where and when it was last', () => {
    const list = [
      { is: 'asked' as const, what: 'May it get wet?', on: '2026-01-05', ...at },
      { is: 'asked' as const, what: 'may it get wet? ', on: '2026-03-05', commission: 'd', title: 'D' },
      { is: 'asked' as const, what: 'How loud?', on: '2026-02-05', ...at },
      { is: 'slip' as const, what: 'How loud?', ...at },
    ]
    expect(oftenOf(list, 'asked')).toEqual([
      { what: 'May it get wet?', n: 2, last: '2026-03-05', from: [at, { commission: 'd', title: 'D' }] },
      { what: 'How loud?', n: 1, last: '2026-02-05', from: [at] },
    ])
  })
  test('a first reading that failed, a repair after it was handed over, a slip, a question, and habits', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    s.tests[0]!.readings = [
      { id: 'r0', at: '2026-11-01T10:00:00Z', by: 'Osk', pass: false, value: 0 },
      { id: 'r1', at: '2026-11-02T10:00:00Z', by: 'Osk', pass: true, value: 1 },
    ]
    s.repairs = [
      { id: 'f1', on: '2020-01-01', cause: 'before it left', fix: 'x', retest: [] },
      { id: 'f2', on: '2030-01-01', cause: 'a wire broke', fix: 'x', retest: [], place: `part:${s.parts[0]!.id}` },
    ]
    c.questions = [{ id: 'qa', text: 'How loud?', askedBy: 'client', blocks: false }]
    c.client.measures = 'inch'
    c.purpose = 'duelling'
    const l = learnedFrom(c)
    const of = (is: string) => l.happened.filter((h) => h.is === is).map((h) => h.what)
    expect(of('failed')).toContain(s.tests[0]!.what)
    expect(of('returned')).toEqual([expect.stringMatching(/: a wire broke$/)])
    expect(of('asked')).toEqual(['How loud?'])
    expect(l.habits).toEqual(expect.arrayContaining(['inches', 'duels']))
  })
})
