import { describe, expect, test } from '@jest/globals'
import { fact, formatFact } from '@nubrin/core/facts'
import { inchFraction, MAKER, mmAndInch, parseMeasure, suggestCode, suggestNominal } from '@nubrin/core/units'
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
  })
})
