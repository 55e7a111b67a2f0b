import { describe, expect, test } from '@jest/globals'
import {
  another,
  asked,
  BEGINS,
  below,
  calendarFor,
  calendarOf,
  DAY,
  dayOf,
  doneAt,
  firstWork,
  forecast,
  guessesFrom,
  inOrder,
  lasting,
  learnt,
  logOf,
  NEVER,
  type Open,
  planOf,
  quantile,
  type ShopState,
  shareOf,
  typicalCourse,
  type Work,
  type Worker,
} from '@nubrin/core/schedule'
import { dayAfter, weekdayOf } from '@nubrin/core/units'
import fc from 'fast-check'
import { tries } from './drawn'
import { literalRun } from './literal-run'

const LITERAL_DAYS = 45

const TODAY = '2026-11-24'
const WEEK = [8, 8, 8, 8, 8, 0, 0]
const worker = (id: string, more: Partial<Worker> = {}): Worker => ({
  ...{ id, name: id, week: WEEK, skills: [], off: [] },
  ...more,
})
const work = (key: string, more: Partial<Work> = {}): Work => ({
  ...{ key, kind: 'wire', job: 'install', spent: 0, after: [], waits: [], cures: 0 },
  ...more,
})
const open = (id: string, list: Work[], promise?: string): Open => ({
  ...{ id, title: id, work: list },
  ...(promise ? { promise } : {}),
})
const shop = (more: Partial<ShopState> = {}): ShopState => ({
  ...{ today: TODAY, minute: 0, people: [worker('maren'), worker('ilse')], open: [], coming: [] },
  ...more,
})
const guesses = guessesFrom({})

/** Shops of any shape: some people, some commissions whose work waits for earlier work, parts that come. */
const anyShop = fc
  .record({
    people: fc.array(
      fc.record({
        week: fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 7, maxLength: 7 }),
        skills: fc.subarray(['wire', 'film', 'bore'] as const, { minLength: 0 }),
        off: fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    open: fc.array(
      fc.record({
        part: fc.boolean(),
        work: fc.array(
          fc.record({
            kind: fc.constantFrom('wire', 'film', 'bore', 'toDo'),
            hours: fc.integer({ min: 1, max: 14 }),
            cures: fc.constantFrom(0, 0, 5, 24),
            after: fc.array(fc.nat(6), { maxLength: 2 }),
            on: fc.option(fc.integer({ min: 0, max: 6 }), { nil: undefined }),
          }),
          { minLength: 1, maxLength: 5 },
        ),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    minute: fc.integer({ min: 0, max: 1439 }),
  })
  .map(({ people, open: list, minute }) =>
    shop({
      minute,
      people: people.map((p, i) =>
        worker(`p${i}`, {
          ...{ week: p.week, skills: [...p.skills] },
          off: p.off.map((d) => ({ from: dayAfter(TODAY, d), to: dayAfter(TODAY, d) })),
        }),
      ),
      open: list.map((o, k) =>
        open(
          `o${k}`,
          o.work.map((w, i) =>
            work(`w${i}`, {
              ...{ kind: w.kind as Work['kind'], hours: w.hours, cures: w.cures },
              after: w.after.filter((a) => a < i).map((a) => `w${a}`),
              ...(w.on === undefined ? {} : { on: dayAfter(TODAY, w.on) }),
              waits: i === 0 && o.part ? [{ kind: 'part', id: 'cell', what: 'cell' }] : [],
            }),
          ),
        ),
      ),
      coming: list.map((_, k) => ({ commission: `o${k}`, part: 'cell', orderedOn: dayAfter(TODAY, -3) })),
    }),
  )

describe('chance', () => {
  // Abramowitz & Stegun, table 26.1.
  test.each([
    [0, 0.5],
    [1, 0.8413447461],
    [1.96, 0.9750021049],
    [-2.5, 0.0062096653],
  ])('the normal distribution below %p', (z, share) => {
    expect(Math.abs(below(z) - share)).toBeLessThan(1e-7)
    expect(Math.abs(quantile(share) - z)).toBeLessThan(1e-6)
  })

  test('shares fall evenly, and the same for the same two numbers', () => {
    const tens = Array.from({ length: 10 }, () => 0)
    let product = 0
    for (let d = 0; d < 20_000; d++) {
      const u = shareOf(d, 12345)
      tens[Math.floor(u * 10)]!++
      product += (u - 0.5) * (shareOf(d, 12346) - 0.5)
    }
    for (const n of tens) expect(Math.abs(n - 2000)).toBeLessThan(200)
    // Two things have nothing to do with each other: of variance 1/144/20000.
    expect(Math.abs(product / 20_000)).toBeLessThan(0.003)
    expect(shareOf(7, 9)).toBe(shareOf(7, 9))
  })

  test('what has lasted longer than its median goes on, and never less than it has taken', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 1.05, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.double({ min: 0.001, max: 0.999, noNaN: true }),
        (median, spread, already, u) => {
          const all = lasting({ median, spread }, already, u)
          expect(all).toBeGreaterThanOrEqual(already)
          expect(all).toBeGreaterThanOrEqual(lasting({ median, spread }, 0, u) * (1 - 1e-6))
        },
      ),
      { numRuns: tries(2000, 400) },
    )
    // Of those that last longer than already, half are done by then: the share below lies half way from what is gone to all.
    const gone = below(Math.log(9 / 6) / Math.log(1.6))
    const half = below(Math.log(lasting({ median: 6, spread: 1.6 }, 9, 0.5) / 6) / Math.log(1.6))
    expect(half).toBeCloseTo((1 + gone) / 2, 5)
    expect(lasting({ median: 6, spread: 1.6 }, 0, 0.5)).toBeCloseTo(6, 6)
    expect(lasting({ median: 6, spread: 2 }, 0, below(1))).toBeCloseTo(12, 4)
  })
})

describe('a log is learnt from', () => {
  test('fewer than five say nothing; what is not above zero is passed over', () => {
    expect(learnt([1, 2, 3, 4])).toBeUndefined()
    expect(learnt([1, 2, 3, 4, 0, -2])).toBeUndefined()
  })
  test('median and spread of five, worked out by hand', () => {
    // Logarithms to the base 2 are 0, 1, 2, 3, 4: mean 2, variance 2.5; (1 + 1/5) · 4/2 = 2.4, and 2.5 · 2.4 = 6.
    const g = learnt([1, 2, 4, 8, 16])!
    expect(g.median).toBeCloseTo(4, 9)
    expect(Math.log2(g.spread)).toBeCloseTo(Math.sqrt(6), 9)
  })
  test('what was said of this one comes first, then the log of such jobs, then of the kind, then a rule of thumb', () => {
    const hours = [
      ...[2, 2, 2, 2, 2].map((h) => ({ kind: 'wire' as const, job: 'repair' as const, hours: h })),
      ...[9, 9, 9, 9].map((h) => ({ kind: 'wire' as const, job: 'install' as const, hours: h })),
    ]
    const g = guessesFrom(logOf({ hours, leads: [], answers: [] }))
    const of = (more: Partial<Work>) => g.hoursOf(work('w', more))
    expect(of({ job: 'repair' })).toMatchObject({ median: expect.closeTo(2, 9), n: 5, from: 'log' })
    expect(of({ job: 'install' })).toMatchObject({ n: 9, from: 'log' })
    expect(of({ kind: 'film' })).toMatchObject({ n: 0, from: 'thumb' })
    expect(of({ job: 'repair', hours: 40 })).toMatchObject({ median: 40, from: 'said' })
  })
})

describe('a calendar', () => {
  test('nights, weekends and days off pass without work', () => {
    expect(weekdayOf('2026-11-24')).toBe(1)
    const c = calendarOf({ week: WEEK, off: new Set([1]) }, weekdayOf(TODAY))
    const at = (d: number, h: number) => d * DAY + h * 60
    expect(firstWork(c, 0)).toBe(BEGINS)
    expect(firstWork(c, at(0, 17))).toBe(at(2, 9))
    expect(doneAt(c, at(0, 9), 8 * 60)).toBe(at(0, 17))
    // Tuesday, then Thursday and Friday, then Monday: 8 + 8 + 8 + 1 hours.
    expect(doneAt(c, at(0, 9), 25 * 60)).toBe(at(6, 10))
    expect(dayOf(at(1, 0))).toBe(0)
  })
  test('who never works is never done', () => {
    const c = calendarOf({ week: [0, 0, 0, 0, 0, 0, 0], off: new Set() }, 0)
    expect(firstWork(c, 5)).toBe(NEVER)
  })
})

describe('the course of work', () => {
  test('is that of the rule, carried out minute by minute', () => {
    fc.assert(
      fc.property(anyShop, (state) => {
        const plan = planOf(state, guesses)
        const fast = typicalCourse(plan)
        // Carried out for so many days: what ends later is not compared.
        const ends = new Map(fast.map((s) => [s.item, s.day]))
        expect(fast.filter((s) => ends.get(s.item)! < LITERAL_DAYS)).toEqual(literalRun(state, guesses, LITERAL_DAYS))
      }),
      { numRuns: tries(400, 60) },
    )
  })

  test('one person does one thing at a time, within his hours, and nothing before what it waits for', () => {
    fc.assert(
      fc.property(anyShop, (state) => {
        const plan = planOf(state, guesses)
        const course = typicalCourse(plan)
        for (const p of state.people) {
          const mine = course.filter((s) => s.person === p.name)
          for (const [i, s] of mine.entries()) {
            expect(s.to - s.from).toBeGreaterThan(0)
            const last = mine[i - 1]
            if (last?.day === s.day) expect(s.from).toBeGreaterThanOrEqual(last.to)
            expect(s.from).toBeGreaterThanOrEqual(BEGINS)
            const hours = p.week[(weekdayOf(TODAY) + s.day) % 7]!
            expect(s.to).toBeLessThanOrEqual(BEGINS + 60 * hours)
            expect(p.off.some((o) => o.from === dayAfter(TODAY, s.day))).toBe(false)
          }
        }
        const ends = new Map<string, number>()
        const begins = new Map<string, number>()
        for (const s of course) {
          const { open: k, work: w } = plan.items[s.item]!
          const key = `${k} ${w.key}`
          ends.set(key, Math.max(ends.get(key) ?? 0, s.day * DAY + s.to))
          begins.set(key, Math.min(begins.get(key) ?? NEVER, s.day * DAY + s.from))
        }
        for (const item of plan.items)
          for (const a of item.work.after) {
            const begun = begins.get(`${item.open} ${item.work.key}`)
            if (begun === undefined) continue
            const before = plan.items.find((x) => x.open === item.open && x.work.key === a)!
            expect(begun).toBeGreaterThanOrEqual(ends.get(`${item.open} ${a}`)! + before.work.cures * 60)
          }
      }),
      { numRuns: tries(400, 80) },
    )
  })
})

describe('the forecast', () => {
  const two = shop({
    open: [
      open('a', [work('wire', { hours: 20 })], '2026-11-26'),
      open('b', [work('wire', { hours: 20 }), work('film', { kind: 'film', after: ['wire'] })], '2026-12-04'),
    ],
  })
  test('is the same for the same seed, and another for another', () => {
    const plan = planOf(two, guesses)
    expect(forecast(plan, { draws: 200 })).toEqual(forecast(plan, { draws: 200 }))
    expect(forecast(plan, { draws: 200, seed: 2 })).not.toEqual(forecast(plan, { draws: 200 }))
  })

  test('more hours never end later', () => {
    fc.assert(
      fc.property(anyShop, fc.integer({ min: 0, max: 5 }), fc.nat(2), (state, day, who) => {
        const plan = planOf(state, guesses)
        const p = state.people[who % state.people.length]!
        const before = forecast(plan, { draws: 24 })
        const after = forecast(plan, { draws: 24, more: [{ person: p.id, day, hours: 3 }] })
        if (before.all) expect(after.all! <= before.all).toBe(true)
      }),
      { numRuns: tries(200, 40) },
    )
  })

  test('where the rule alone would end later with more hours, the plan without them counts', () => {
    const half = [4, 4, 4, 4, 4, 0, 0]
    const chain = (kinds: [Work['kind'], number][]) =>
      kinds.map(([kind, hours], i) => work(`w${i}`, { kind, hours, after: i ? [`w${i - 1}`] : [] }))
    // Found by search: with three hours more on the first day p0 takes up what p1 would have done sooner in the end.
    const state = shop({
      people: [worker('p0', { week: half }), worker('p1', { week: half, skills: ['wire', 'film'] })],
      open: [
        open(
          'a',
          chain([
            ['wire', 7],
            ['wire', 2],
            ['bore', 4],
          ]),
        ),
        open(
          'b',
          chain([
            ['bore', 4],
            ['wire', 6],
            ['film', 5],
          ]),
        ),
      ],
    })
    const plan = planOf(
      { ...state, people: [worker('p0', { week: half, skills: ['wire', 'film', 'bore'] }), state.people[1]!] },
      guesses,
    )
    const more = [{ person: 'p0', day: 0, hours: 3 }]
    const end = (c: ReturnType<typeof typicalCourse>) => Math.max(...c.map((s) => s.day * DAY + s.to))
    const taken = plan.items.map((_, i) => typicalCourse(plan, more).find((s) => s.item === i)!.person)
    expect(taken).toEqual(plan.items.map((_, i) => typicalCourse(plan).find((s) => s.item === i)!.person))
    expect(end(typicalCourse(plan, more))).toBe(end(typicalCourse(plan)))
    // Greedy alone would be later: the same people with that day as their usual one.
    const greedy = {
      ...plan,
      bench: {
        ...plan.bench,
        people: plan.people.map((p, k) =>
          p.name === 'p0' ? calendarFor(p, TODAY, new Map([[0, 3]])) : plan.bench.people[k]!,
        ),
      },
    }
    expect(end(typicalCourse(greedy))).toBeGreaterThan(end(typicalCourse(plan)))
    const [was, is] = [forecast(plan, { draws: 200 }), forecast(plan, { draws: 200, more })]
    expect(is.all! <= was.all!).toBe(true)
  })

  test('what nothing holds up is held up by nobody, late in the day as well', () => {
    const one = shop({ minute: 15 * 60, people: [worker('maren')], open: [open('a', [work('wire')], '2026-12-24')] })
    expect(forecast(planOf(one, guesses), { draws: 64 }).outlooks[0]).not.toHaveProperty('held')
  })

  test('a part that comes a week later ends its commission later and no other one', () => {
    const waits: Work['waits'] = [{ kind: 'part', id: 'cell', what: 'cell' }]
    const state = shop({
      open: [open('a', [work('wire', { waits })], '2026-12-24'), open('b', [work('wire')], '2026-12-24')],
      coming: [{ commission: 'a', part: 'cell', orderedOn: '2026-11-20', expected: '2026-11-27' }],
    })
    const then = asked(state, { late: [{ commission: 'a', part: 'cell', days: 7 }] })
    const [was, is] = [state, then.shop].map((s) => forecast(planOf(s, guesses), { draws: 300 }).outlooks)
    expect(is![0]!.likely! > was![0]!.likely!).toBe(true)
    expect(is![1]).toEqual(was![1])
    expect(is![0]!.held).toMatchObject({ by: 'wait' })
  })

  test('the one that goes first is done no later, and a day off makes nothing sooner than it was for one person', () => {
    const one = { ...two, people: [worker('maren')] }
    const done = (s: ShopState, more: Parameters<typeof asked>[1]) =>
      forecast(planOf(asked(s, more).shop, guesses), { draws: 200 }).outlooks
    const usual = done(one, {})
    const first = done(one, { first: 'b' })
    expect(first.find((o) => o.id === 'b')!.likely! < usual[1]!.likely!).toBe(true)
    expect(first.find((o) => o.id === 'a')!.likely! > usual[0]!.likely!).toBe(true)
    const off = done(one, { off: [{ person: 'maren', from: TODAY, to: dayAfter(TODAY, 1) }] })
    expect(off[0]!.likely! > usual[0]!.likely!).toBe(true)
    expect(off[0]!.chance!).toBeLessThan(usual[0]!.chance!)
  })

  test('one more of a kind ends after the rest, and takes nothing from what is promised', () => {
    const one = { ...two, people: [worker('maren')] }
    const plain = forecast(planOf(one, guesses), { draws: 200 }).outlooks
    const withOne = forecast(planOf(asked(one, { another: 'install' }).shop, guesses), { draws: 200 }).outlooks
    expect(withOne.at(-1)!.id).toBe('another')
    expect(withOne.at(-1)!.likely! > withOne[1]!.likely!).toBe(true)
    expect(withOne.slice(0, 2).map((o) => o.surely)).toEqual(plain.map((o) => o.surely))
    expect(another('model').work).toEqual([])
  })

  test('what waits for itself, and what nobody can do, is never promised, and said', () => {
    const state = shop({
      people: [worker('maren', { skills: ['wire'] })],
      open: [
        open('a', [work('x', { after: ['y'] }), work('y', { after: ['x'] })], '2026-12-01'),
        open('b', [work('film', { kind: 'film' })], '2026-12-01'),
        open('c', [work('wire', { person: 'nobody here' })], '2026-12-01'),
        open('d', [work('wire')], '2026-12-01'),
      ],
    })
    const plan = planOf(state, guesses)
    expect(plan.unplanned).toEqual([
      { why: 'loop', commission: 'a', keys: ['x', 'y', 'x'] },
      { why: 'nobody', commission: 'b', key: 'film', kind: 'film' },
      { why: 'nobody', commission: 'c', key: 'wire', kind: 'wire', person: 'nobody here' },
    ])
    const f = forecast(plan, { draws: 50 })
    expect(f.outlooks.map((o) => [o.likely, o.chance])).toEqual([
      [undefined, 0],
      [undefined, 0],
      [undefined, 0],
      [expect.any(String), 1],
    ])
    expect(f.all).toBeUndefined()
  })

  test('nothing to do, nobody there', () => {
    expect(forecast(planOf(shop(), guesses))).toMatchObject({ outlooks: [] })
    expect(forecast(planOf(shop({ people: [] }), guesses))).toMatchObject({ outlooks: [], busy: [] })
    const none = forecast(planOf(shop({ open: [open('a', [], '2026-12-01')] }), guesses), { draws: 20 })
    expect(none.outlooks).toEqual([{ id: 'a', likely: TODAY, surely: TODAY, chance: 1 }])
  })

  test('whose hours are short is named', () => {
    const busy = shop({
      people: [worker('maren', { skills: ['wire'] }), worker('ilse', { skills: ['film'] })],
      open: ['a', 'b', 'c', 'd', 'e', 'f'].map((id) =>
        open(id, [work('wire', { hours: 20 }), work('film', { kind: 'film', after: ['wire'] })], '2026-12-04'),
      ),
    })
    const f = forecast(planOf(busy, guesses), { draws: 100 })
    expect(f.outlooks.at(-1)!.held).toMatchObject({ by: 'person', person: 'maren' })
    const [ilse, maren] = f.busy.toSorted((a, b) => a.share - b.share)
    expect([ilse!.person, maren!.person]).toEqual(['ilse', 'maren'])
    expect(maren!.share).toBeGreaterThan(0.95)
  })
})

describe('the order', () => {
  test('is the shop’s own; the rest stands where its promise puts it, and what is not promised comes last', () => {
    const all = [
      { id: 'late', promise: '2026-12-30' },
      { id: 'soon', promise: '2026-12-01' },
      { id: 'mid', promise: '2026-12-10' },
      { id: 'none' },
    ]
    const ids = (byHand: string[]) => inOrder(all, byHand).map((o) => o.id)
    expect(ids([])).toEqual(['soon', 'mid', 'late', 'none'])
    expect(ids(['late', 'soon'])).toEqual(['mid', 'late', 'soon', 'none'])
    expect(ids(['none', 'gone'])).toEqual(['soon', 'mid', 'late', 'none'])
  })
})
