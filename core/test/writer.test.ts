import { describe, expect, test } from '@jest/globals'
import {
  correct,
  type Fact,
  fact,
  formatFact,
  known,
  type NumberFact,
  printable,
  retract,
  SOURCES,
  setAnew,
  settle,
  standBehind,
  state,
  stated,
} from '@nubrin/core/facts'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'

const by = (who: string, on: string, more: Partial<NumberFact> = {}) => ({ by: who, on, ...more })
const OSK = by('Osk', '2026-11-20')
const ANSA = by('Ansa', '2026-11-20')
const LATER = by('Osk', '2026-11-21')
const saying = fc.record({
  value: fc.integer({ min: 0, max: 30 }),
  source: fc.constantFrom(...SOURCES.filter((s) => s !== 'unknown')),
  by: fc.constantFrom('Osk', 'Ansa'),
  on: fc.constantFrom('2026-11-20', '2026-11-21'),
})
const make = (s: { value: number; source: (typeof SOURCES)[number]; by: string; on: string }) =>
  fact(s.value, 'mm', s.source, { by: s.by, on: s.on })
/** Every value that a fact still knows of. */
const values = (f: NumberFact) => [
  f.value,
  ...(f.rivals ?? []).map((r) => r.value),
  ...(f.trail ?? []).map((t) => t.value),
]

describe('stating', () => {
  test('36.2 over a datasheet’s 24 is a measured 36.2 against a datasheet 24', () => {
    const f = state(fact(24, 'mm', 'datasheet', { with: 'sheet 3' }), fact(36.2, 'mm', 'measured', OSK))
    expect(f).toMatchObject({ value: 24, source: 'datasheet', with: 'sheet 3' })
    expect(f.rivals).toEqual([{ value: 36.2, source: 'measured', ...OSK }])
    expect(settle(f, 1)).toEqual(
      fact(36.2, 'mm', 'measured', {
        ...OSK,
        trail: [{ value: 24, source: 'datasheet', with: 'sheet 3', gaveWay: 'settled' }],
      }),
    )
  })
  test('the same reading written anew is a slip; another day, person, means or source is another reading', () => {
    const first = fact(30, 'mm', 'measured', { ...OSK, with: 'calliper' })
    const again = (more: Partial<NumberFact>) => state(first, { ...first, value: 33, ...more })
    expect(again({})).toMatchObject({ value: 33, trail: [{ value: 30, gaveWay: 'mistyped' }] })
    expect(again({}).rivals).toBeUndefined()
    for (const other of [LATER, ANSA, { with: 'rule' }, { source: 'client' as const }])
      expect(again(other)).toMatchObject({ value: 30, rivals: [{ value: 33 }] })
  })
  test('without a day nothing is one and the same reading', () => {
    expect(
      state(fact(30, 'mm', 'measured', { by: 'Osk' }), fact(33, 'mm', 'measured', { by: 'Osk' })).rivals,
    ).toHaveLength(1)
  })
  test('an assumption yields, and is kept; but not while others already differ', () => {
    const yielded = state(fact(30, 'mm', 'assumed', { with: 'model sheet' }), fact(33, 'mm', 'measured', OSK))
    expect(yielded).toMatchObject({
      value: 33,
      source: 'measured',
      trail: [{ value: 30, with: 'model sheet', gaveWay: 'assumed' }],
    })
    expect(yielded.rivals).toBeUndefined()
    const disputed: Fact<'mm'> = { ...fact(30, 'mm', 'assumed'), rivals: [{ value: 31, source: 'client' as const }] }
    expect(state(disputed, fact(33, 'mm', 'measured', OSK))).toMatchObject({
      value: 30,
      rivals: [{ value: 31 }, { value: 33 }],
    })
  })
  test('within the wider tolerance they agree: the better source stays, the other is remembered only when it gave way', () => {
    const loose = fact(24, 'mm', 'recalled', { tol: 1 })
    expect(state(loose, fact(24.9, 'mm', 'measured', OSK))).toMatchObject({
      value: 24.9,
      source: 'measured',
      trail: [{ value: 24, source: 'recalled' }],
    })
    expect(state(fact(24.9, 'mm', 'measured', OSK), loose)).toEqual(fact(24.9, 'mm', 'measured', OSK))
    expect(state(loose, fact(25.1, 'mm', 'measured', OSK)).rivals).toHaveLength(1)
    expect(state(fact(24, 'mm', 'measured', { ...OSK, tol: 0.2 }), fact(24.2, 'mm', 'client')).rivals).toBeUndefined()
  })
  test('a rival saying again better takes the place of its own, a mistyped one is corrected', () => {
    const two = state(fact(24, 'mm', 'measured', OSK), fact(26, 'mm', 'recalled', ANSA))
    const better = state(two, fact(26, 'mm', 'client', LATER))
    expect(better.rivals).toEqual([{ value: 26, source: 'client', ...LATER }])
    expect(better.trail).toEqual([{ value: 26, source: 'recalled', ...ANSA }])
    expect(state(two, fact(26, 'mm', 'assumed', LATER))).toBe(two)
    const mended = state(two, fact(27, 'mm', 'recalled', ANSA))
    expect(mended.rivals).toEqual([{ value: 27, source: 'recalled', ...ANSA }])
    expect(mended.trail).toEqual([{ value: 26, source: 'recalled', ...ANSA, gaveWay: 'mistyped' }])
  })
  test('a statement without a value changes nothing; 0 is a value; nothing is changed in place', () => {
    const f = fact(24, 'mm', 'measured', OSK)
    const before = structuredClone(f)
    expect(state(f, fact(null, 'mm'))).toBe(f)
    expect(state(fact(null, 'mm'), fact(0, 'mm', 'measured', OSK))).toEqual(fact(0, 'mm', 'measured', OSK))
    expect(state(undefined, f)).toBe(f)
    state(f, fact(9, 'mm', 'client'))
    expect(f).toEqual(before)
  })
  test('whatever is saying in whatever order, every value is still known of, and twelve rivals are the most', () => {
    fc.assert(
      fc.property(fc.array(saying, { minLength: 1, maxLength: 40 }), (list) => {
        let f: NumberFact = make(list[0]!)
        for (const s of list.slice(1)) f = state(f, make(s))
        for (const s of list) expect(values(f)).toContain(s.value)
        expect((f.rivals ?? []).length).toBeLessThanOrEqual(12)
        const standing = [f.value, ...(f.rivals ?? []).map((r) => r.value)]
        expect(new Set(standing).size).toBe(standing.length)
      }),
      { numRuns: 300 },
    )
  })
})

describe('correcting, taking back, settling', () => {
  test('a correction keeps what it was; one that changes nothing is none', () => {
    const f = fact(24, 'mm', 'measured', OSK)
    expect(correct(f, { value: 24 })).toBe(f)
    expect(correct(f, { source: 'datasheet' })).toEqual({
      ...f,
      source: 'datasheet',
      trail: [{ value: 24, source: 'measured', ...OSK, gaveWay: 'corrected' }],
    })
    expect(correct(f, { value: 42 })).toMatchObject({ value: 42, source: 'measured', ...OSK })
  })
  test('taken back it is unknown, and all that was said of it is kept with the reason', () => {
    const two = state(fact(24, 'mm', 'measured', OSK), fact(26, 'mm', 'client', ANSA))
    const gone = retract(two)
    expect(gone).toMatchObject({ value: null, source: 'unknown', unit: 'mm' })
    expect(gone.rivals).toBeUndefined()
    expect(gone.trail!.map((t) => [t.value, t.gaveWay])).toEqual([
      [24, 'takenBack'],
      [26, 'takenBack'],
    ])
    expect(gone.by ?? gone.on ?? gone.with).toBeUndefined()
    expect(retract(fact(null, 'mm')).trail).toBeUndefined()
  })
  test('settling for any claim leaves that one, without rivals, and loses none', () => {
    fc.assert(
      fc.property(fc.array(saying, { minLength: 1, maxLength: 10 }), fc.nat(11), (list, n) => {
        let f: NumberFact = make(list[0]!)
        for (const s of list.slice(1)) f = state(f, make(s))
        const claims = [f, ...(f.rivals ?? [])]
        if (n >= claims.length) {
          expect(() => settle(f, n)).toThrow(RangeError)
          return
        }
        const done = settle(f, n)
        expect(done).toMatchObject({ value: claims[n]!.value, source: claims[n]!.source, unit: 'mm' })
        expect(done.rivals).toBeUndefined()
        expect(new Set(values(done))).toEqual(new Set(values(f)))
        expect(
          done.trail!.slice(-(claims.length - 1) || done.trail!.length).every((t) => t.gaveWay === 'settled') ||
            claims.length === 1,
        ).toBe(true)
      }),
    )
    expect(() => settle(fact(1, 'mm'), -1)).toThrow(RangeError)
  })
})

describe('a setting decided anew', () => {
  const was = stated<string>('#ff0000', 'configured', { on: '2026-11-01', by: 'Osk' })
  test('stands at once; what it was before is in the trail, and what others said is still to be settled', () => {
    const next = stated<string>('#00ff00', 'configured', { on: '2026-11-20', by: 'Maren' })
    const said = state(was, stated<string>('#0000ff', 'client', { on: '2026-11-10', by: 'Edda' }))
    expect(said.rivals).toHaveLength(1)
    const now = setAnew(said, next)
    expect(now).toMatchObject({ value: '#00ff00', by: 'Maren', rivals: [{ value: '#0000ff' }] })
    expect(now.trail).toEqual([{ ...was, gaveWay: 'setAnew' }])
    // Set to what somebody else had said: nothing is left to settle.
    expect(setAnew(said, { ...next, value: '#0000ff' }).rivals).toBeUndefined()
  })
  test('what is set to what it was is left as it is, and nothing is needed before', () => {
    expect(setAnew(was, { ...was, on: '2026-11-20' })).toBe(was)
    expect(setAnew(undefined, was)).toBe(was)
  })
})

describe('standing behind a value', () => {
  const taken = fact(224, 'mm', 'assumed', { tol: 0.5, with: 'set on the drawing', on: '2026-11-20' })
  test('it is the same value by whoever says so now, and how it was set at first is kept', () => {
    const said = standBehind(taken, { source: 'measured', by: 'Osk', on: '2026-11-24' })
    expect(said).toEqual({
      ...{ value: 224, unit: 'mm', tol: 0.5, source: 'measured', by: 'Osk', on: '2026-11-24' },
      trail: [
        { value: 224, tol: 0.5, source: 'assumed', with: 'set on the drawing', on: '2026-11-20', gaveWay: 'assumed' },
      ],
    })
    const again = standBehind(said, { source: 'datasheet', by: 'Maren', on: '2026-11-25' })
    expect(again.trail!.map((t) => t.gaveWay)).toEqual(['assumed', 'corrected'])
  })
  test('the same source said again, or nothing to stand behind, changes nothing; who contradicts goes on to', () => {
    expect(standBehind(taken, { source: 'assumed', by: 'Osk' })).toBe(taken)
    const none = fact(null, 'mm')
    expect(standBehind(none, { source: 'measured' })).toBe(none)
    const disputed = { ...taken, rivals: [{ value: 230, source: 'client' as const }] }
    expect(standBehind(disputed, { source: 'measured' }).rivals).toEqual(disputed.rivals)
  })
})

describe('printing', () => {
  test('each source prints as firmly as it is', () => {
    const printed = SOURCES.map((s) => [s, printable({ ...fact(5, 'mm', 'measured'), source: s })])
    expect(Object.fromEntries(printed)).toEqual({
      ...{ measured: 'plain', read: 'plain', datasheet: 'plain', configured: 'plain', computed: 'plain' },
      ...{ client: 'about', recalled: 'about', believed: 'about', assumed: 'about', unknown: 'none' },
    })
    expect(printable({ ...fact(5, 'mm'), rivals: [{ value: 6, source: 'client' }] })).toBe('about')
    expect(printable(fact(null, 'mm'))).toBe('none')
  })
  test('value, tolerance and unit, as a reader writes them', () => {
    expect(formatFact(MAKER, fact(22.225, 'mm', 'measured', { tol: 0.05 }))).toBe('22.23 ± 0.05 mm')
    expect(formatFact(MAKER, fact(22.225, 'mm'), 1)).toBe('22.2 mm')
    expect(formatFact(MAKER, fact(90, 'deg', 'recalled'))).toBe('about 90°')
    expect(formatFact(MAKER, fact(3, '×'))).toBe('3')
    expect(formatFact(MAKER, fact(0, 'mA'))).toBe('0 mA')
    expect(formatFact(MAKER, undefined)).toBe('not recorded')
    expect(known(fact(0, 'mm'))).toBe(0)
    expect(known(undefined)).toBeUndefined()
  })
})
