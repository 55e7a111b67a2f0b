import { describe, expect, test } from '@jest/globals'
import { type Claim, fact, SOURCES, settle, state } from '@nubrin/core/facts'
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
        const done = settle(f, choice, 'measured again')
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
    expect(() => settle(fact(1, 'mm'), 3, '')).toThrow(RangeError)
  })
})
