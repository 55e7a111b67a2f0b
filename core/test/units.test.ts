import { describe, expect, test } from '@jest/globals'
import { fact, formatFact } from '@nubrin/core/facts'
import {
  inchFraction,
  MAKER,
  mmAndInch,
  parseFaultText,
  parseMeasure,
  parseNumber,
  sizeText,
  suggestCode,
  suggestNominal,
} from '@nubrin/core/units'
import fc from 'fast-check'

const mm = (text: string) => {
  const r = parseMeasure(text, 'length')
  if (!r.ok) throw new Error(`${text}: ${r.code}`)
  return r
}

describe('reading lengths', () => {
  test.each([
    ['22.2', 22.2],
    ['22,2 mm', 22.2],
    ['7/8', 22.225],
    ['7/8 in', 22.225],
    ['0.875 in', 22.225],
    ['1 1/8"', 28.575],
    ['1-1/8 in', 28.575],
    ['1 in', 25.4],
    ['2 cm', 20],
    ['.5 in', 12.7],
  ])('%s is %d mm', (text, expected) => {
    expect(mm(text).value).toBeCloseTo(expected, 9)
  })
  test('a tolerance is read in its own or the main unit', () => {
    expect(mm('48 ± 0.2')).toMatchObject({ value: 48, tol: 0.2 })
    expect(mm('1 in +/- 0.1 mm').tol).toBeCloseTo(0.1)
    expect(mm('1 in ± 0.01').tol).toBeCloseTo(0.254)
  })
  test('a hedge is heard', () => {
    expect(mm('about 24').hedged).toBe(true)
    expect(mm('just under 1 in').hedged).toBe(true)
    expect(mm('24').hedged).toBe(false)
  })
  test.each([
    ['', 'empty'],
    ['wide', 'notANumber'],
    ['22.2.1', 'notANumber'],
    ['1.234,5', 'notANumber'],
    ['7/0', 'zeroDenominator'],
    ['-3', 'negative'],
    ['3 parsec', 'unknownUnit'],
    ['1 ± 2 ± 3', 'tooMany'],
  ])('%s is refused as %s', (text, code) => {
    expect(parseMeasure(text, 'length')).toMatchObject({ ok: false, code })
  })
  test('whatever is printed as a fraction reads back to the same length', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 640 }), (n) => {
        const length = (n / 64) * 25.4
        expect(mm(`${inchFraction(length)} in`).value).toBeCloseTo(length, 6)
      }),
    )
  })
  test('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom('length' as const, 'time' as const, 'angle' as const), (text, q) => {
        const r = parseMeasure(text, q)
        expect(r.ok ? Number.isFinite(r.value) : r.code.length > 0).toBe(true)
      }),
    )
  })
})

describe('other quantities', () => {
  test('currents in mA, charge in Ah, times in minutes are stored in one unit', () => {
    expect(parseMeasure('350 mA', 'current')).toMatchObject({ value: 0.35, unit: 'A' })
    expect(parseMeasure('3.4 Ah', 'charge')).toMatchObject({ value: 3400, unit: 'mAh' })
    expect(parseMeasure('2 min', 'time')).toMatchObject({ value: 120, unit: 's' })
    expect(parseMeasure('1 oz', 'mass')).toMatchObject({ unit: 'g' })
    expect(parseMeasure("3 o'clock", 'angle')).toMatchObject({ value: 90, unit: 'deg' })
    expect(parseMeasure('-12 dB', 'level')).toMatchObject({ value: -12 })
  })
})

describe('a field with a unit of its own', () => {
  test.each([
    ['12', 'current', 'mA', 12],
    ['0.012 A', 'current', 'mA', 12],
    ['900', 'time', 'ms', 900],
    ['0.9 s', 'time', 'ms', 900],
    ['40', 'resistance', 'mΩ', 40],
    ['7/8', 'length', 'mm', 22.225],
    ['16', 'length', 'mm', 16],
    ['3', 'count', 'Hz', 3],
  ] as const)('%s as %s in %s is %d', (text, quantity, unit, value) => {
    expect(parseMeasure(text, quantity, unit)).toMatchObject({ ok: true, unit, value: expect.closeTo(value, 9) })
  })
})

describe('a unit behind the tolerance', () => {
  test.each([
    ['0.875 ± 0.01 in', 'length', 22.225, 0.254],
    ['0.875 in ± 0.01', 'length', 22.225, 0.254],
    ['0.875 in ± 0.2 mm', 'length', 22.225, 0.2],
    ['48 ± 0.2', 'length', 48, 0.2],
    ['48 ± 0.2 mm', 'length', 48, 0.2],
    ['4.8 ± 0.1 cm', 'length', 48, 1],
    // A bare fraction is of an inch, whatever its tolerance is in.
    ['7/8 ± 0.2 mm', 'length', 22.225, 0.2],
    ['350 +/- 20 mA', 'current', 0.35, 0.02],
  ] as const)('%s', (text, quantity, value, tol) => {
    expect(parseMeasure(text, quantity)).toMatchObject({
      ok: true,
      value: expect.closeTo(value, 9),
      tol: expect.closeTo(tol, 9),
    })
  })
  test('in whatever unit a field is, both sides are in the unit that is typed once', () => {
    const units = fc.constantFrom(['mA', 1], ['A', 1000], ['µA', 0.001]) as fc.Arbitrary<[string, number]>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 90 }), units, (n, t, [unit, mA]) => {
        const r = parseMeasure(`${n} ± ${t} ${unit}`, 'current', 'mA')
        expect(r).toMatchObject({ ok: true, value: expect.closeTo(n * mA, 6), tol: expect.closeTo(t * mA, 6) })
        expect(parseMeasure(`${n} ${unit} ± ${t} ${unit}`, 'current', 'mA')).toEqual(r)
      }),
    )
  })
})

describe('a comma before three digits', () => {
  test.each([
    ['3,500 mAh', 'charge', ['3.5', '3500']],
    ['about 1,125 in', 'length', ['1.125', '1125']],
    ['12,500', 'length', ['12.5', '12500']],
    ['48 ± 1,000', 'length', ['1', '1000']],
  ] as const)('%s can be either, and is asked', (text, quantity, accepts) => {
    const r = parseMeasure(text, quantity)
    expect(r).toMatchObject({ ok: false, code: 'either', accepts })
    expect(r.ok ? '' : parseFaultText(r)).toBe(`can be ${accepts.join(' or ')}: write it without the comma`)
  })
  test.each([
    ['0,875 in', 22.225],
    ['22,2', 22.2],
    ['22,25', 22.25],
    ['1,1250 in', 28.575],
    [',875 in', 22.225],
    ['3.500', 3.5],
  ])('%s is one thing only', (text, value) => {
    expect(parseMeasure(text, 'length')).toMatchObject({ ok: true, value: expect.closeTo(value, 9) })
  })
  test.each([
    ['12', { ok: true, value: 12 }],
    [' 2,5 ', { ok: true, value: 2.5 }],
    ['-4', { ok: true, value: -4 }],
    ['1/2', { ok: true, value: 0.5 }],
    ['1,250', { ok: false, code: 'either', accepts: ['1.25', '1250'] }],
    ['-1,250', { ok: false, code: 'either', accepts: ['-1.25', '-1250'] }],
    ['', { ok: false, code: 'empty' }],
    ['ten', { ok: false, code: 'notANumber' }],
    ['12 mm', { ok: false, code: 'notANumber' }],
    ['1/0', { ok: false, code: 'zeroDenominator' }],
  ])('as a plain number: %s', (text, says) => {
    expect(parseNumber(text)).toMatchObject(says)
  })
})

describe('asking back', () => {
  test('a 6 3/4 in tube is a slip for 3/4 in', () => {
    expect(suggestNominal(6.75 * 25.4, 'tube')?.nearest?.text).toBe('3/4 in')
  })
  test('standard tubes pass, a lost decimal point does not', () => {
    for (const d of [19.05, 22.2, 25.4]) expect(suggestNominal(d, 'tube')).toBeUndefined()
    expect(suggestNominal(2.54, 'tube')?.nearest?.text).toBe('1 in')
    expect(suggestNominal(1160, 'sectionLength')?.nearest?.value).toBe(116)
    expect(suggestNominal(130, 'bladeTube')?.usual).toEqual([150, 1400])
    expect(suggestNominal(130, 'armTube')).toBeUndefined()
    expect(suggestNominal(90_000, 'sectionLength')).toEqual({ code: 'implausible', got: '90000 mm', usual: [2, 260] })
  })
  test.each([
    ['1835', 'cell', '18350'],
    ['632', 'screw', '#6-32'],
    ['m4', 'screw', undefined],
  ] as const)('%s as a %s', (text, kind, nearest) => {
    expect(suggestCode(text, kind)?.nearest?.text).toBe(nearest)
  })
  test('something unlike any code is doubted without a guess', () => {
    expect(suggestCode('banana', 'cell')).toEqual({ code: 'unknownCode', got: 'banana' })
  })
})

describe('printing', () => {
  test('only what is known prints plainly', () => {
    expect(formatFact(MAKER, fact(24, 'mm', 'measured', { tol: 0.1 }))).toBe('24 ± 0.1 mm')
    for (const source of ['recalled', 'assumed', 'client'] as const)
      expect(formatFact(MAKER, fact(24, 'mm', source))).toBe('about 24 mm')
    expect(formatFact(MAKER, fact(null, 'mm'))).toBe('not recorded')
    expect(formatFact(MAKER, { ...fact(24, 'mm'), rivals: [{ value: 25, source: 'client' }] })).toMatch(/^about/)
  })
  test('both readings of a length', () => {
    expect(mmAndInch(MAKER, 22.225)).toBe('22.23 mm · 7/8 in')
    expect(mmAndInch(MAKER, 23)).toBe('23 mm · 29/32 in')
    expect(mmAndInch(MAKER, 47.7)).toMatch(/ in$/)
    expect(mmAndInch(MAKER, 99.7)).toBe('99.7 mm · 3.925 in')
    expect(mmAndInch(MAKER, 255)).toBe('255 mm · 10.04 in')
  })
})

test('a size that somebody wrote is read in every language', () => {
  const read = (text: string) => [MAKER, { language: 'de' } as const].map((r) => sizeText(r, text))
  expect(read('1.5 mm')).toEqual(['1.5 mm', '1,5 mm'])
  expect(read('0,9 mm')).toEqual(['0.9 mm', '0,9 mm'])
  expect(read('1/16 in')).toEqual(['1/16 in', '1/16 Zoll'])
  expect(read('hex 2.5, in the box')).toEqual(['hex 2.5, in the box', 'hex 2,5, in the box'])
})
