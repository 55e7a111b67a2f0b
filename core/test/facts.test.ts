import { describe, expect, test } from '@jest/globals'
import {
  type Claim,
  choiceFactOf,
  fact,
  factOf,
  Gather,
  isFact,
  printable,
  SOURCES,
  settle,
  state,
  textFactOf,
  unitOf,
} from '@nubrin/core/facts'
import { makeAjv } from '@nubrin/core/import'
import { diffOps } from '@nubrin/core/record/ops'
import fc from 'fast-check'

const claim = fc.record({
  value: fc.integer({ min: 0, max: 500 }),
  source: fc.constantFrom(...SOURCES.filter((s) => s !== 'unknown' && s !== 'assumed')),
})

describe('stating values', () => {
  test('an unknown is simply replaced', () => {
    expect(state(fact(null, 'mm'), fact(24, 'mm'))).toEqual(fact(24, 'mm'))
  })
  test('an equal value keeps the better source, and the other in the trail', () => {
    const f = state(fact(24, 'mm', 'recalled'), fact(24, 'mm', 'measured'))
    expect(f.source).toBe('measured')
    expect(f.trail).toEqual([{ value: 24, source: 'recalled' }])
    expect(state(fact(24, 'mm', 'measured'), fact(24, 'mm', 'recalled')).source).toBe('measured')
  })
  test('of two as sure of one value the later stands, as a fact and among its rivals, and the earlier is in the trail', () => {
    const on = (day: string, value = 24) => fact(value, 'mm', 'measured', { on: `2026-11-${day}`, by: `who ${day}` })
    const f = state(on('01'), on('02'))
    expect(f).toMatchObject({ value: 24, on: '2026-11-02', trail: [{ value: 24, on: '2026-11-01' }] })
    const rivals = state(state(on('01'), on('03', 30)), on('04', 30))
    expect(rivals).toMatchObject({ on: '2026-11-01', rivals: [{ value: 30, on: '2026-11-04' }] })
    expect(rivals.trail).toMatchObject([{ value: 30, on: '2026-11-03' }])
  })
  test('values within their tolerances agree, others contradict', () => {
    expect(state(fact(24, 'mm', 'measured', { tol: 0.2 }), fact(24.1, 'mm', 'client')).rivals).toBeUndefined()
    expect(state(fact(24, 'mm'), fact(25, 'mm', 'client')).rivals).toEqual([{ value: 25, source: 'client' }])
  })
  test('settling keeps every loser, whichever wins', () => {
    fc.assert(
      fc.property(fc.array(claim, { minLength: 2, maxLength: 6 }), fc.nat(), (claims, pick) => {
        const distinct = claims.filter((c, i) => claims.findIndex((d) => d.value === c.value) === i)
        let f = fact(distinct[0]!.value, 'mm', distinct[0]!.source)
        for (const c of distinct.slice(1)) f = state(f, fact(c.value, 'mm', c.source))
        const choice = pick % distinct.length
        const done = settle(f, choice)
        expect(done.value).toBe(distinct[choice]!.value)
        expect(done.rivals).toBeUndefined()
        const left = (done.trail ?? []).map((t: Claim) => t.value).sort()
        expect(left).toEqual(
          distinct
            .filter((_, i) => i !== choice)
            .map((c) => c.value)
            .sort(),
        )
      }),
    )
  })
  test('a choice that does not exist is a broken contract', () => {
    expect(() => settle(fact(1, 'mm'), 3)).toThrow(RangeError)
  })
})

describe('the schemas of facts', () => {
  const takes = (schema: object, v: unknown) => makeAjv().compile(schema)(v)
  const said = { value: 'brass', source: 'client' }
  test('a number in its unit, words, one of some choices; nothing else, no other unit, no unknown property', () => {
    expect(takes(factOf('mm'), fact(24, 'mm'))).toBe(true)
    expect(takes(factOf('mm'), fact(24, 'V'))).toBe(false)
    expect(takes(factOf('mm'), { ...fact(24, 'mm'), of: 'x' })).toBe(false)
    expect(takes(textFactOf(5), said)).toBe(true)
    expect(takes(textFactOf(4), said)).toBe(false)
    expect(takes(textFactOf(), { ...said, unit: 'mm' })).toBe(false)
    expect(takes(choiceFactOf(['brass', 'steel']), said)).toBe(true)
    expect(takes(choiceFactOf(['steel']), said)).toBe(false)
    expect(takes(choiceFactOf(['brass']), { ...said, more: 1 })).toBe(false)
    expect(takes(textFactOf(), { value: null, source: 'unknown' })).toBe(true)
  })
  test('only a number has a unit', () => {
    expect(unitOf(factOf('mAh'))).toBe('mAh')
    expect(unitOf(textFactOf())).toBeUndefined()
    expect(unitOf(choiceFactOf(['a']))).toBeUndefined()
    expect(unitOf({} as never)).toBeUndefined()
  })
  test('a fact is known by its shape, whatever it is of, and changes as one thing', () => {
    expect([fact(1, 'mm'), said, fact(null, 'V')].map(isFact)).toEqual([true, true, true])
    expect([null, undefined, 3, 'value', [], {}, { value: 1 }, { source: 'client' }].map(isFact)).toEqual(
      Array(8).fill(false),
    )
    expect(diffOps({ a: said }, { a: { ...said, value: 'steel' } }).map((o) => o.at)).toEqual(['/a'])
  })
  test('unknown prints not at all, whichever way it is said', () => {
    expect(printable({ value: null, source: 'measured' })).toBe('none')
    expect(printable({ value: 3, source: 'unknown' })).toBe('none')
    expect(printable({ value: 3, source: 'measured', rivals: [{ value: 4, source: 'measured' }] })).toBe('about')
  })
  test('a figure is "about" when one of its inputs is', () => {
    const about = (...sources: ('measured' | 'recalled')[]) => {
      const g = new Gather()
      for (const [i, s] of sources.entries()) g.take(`x${i}`, fact(1, 'mm', s))
      const f = g.figure('mm', 'sum', 'sums', () => 2)
      return f.ok && f.about
    }
    expect([about('measured', 'recalled'), about('measured', 'measured'), about('recalled')]).toEqual([
      true,
      false,
      true,
    ])
  })
})
