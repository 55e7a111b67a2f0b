import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import {
  type Body,
  bodyOf,
  boreAt,
  bundleDiameter,
  cavityOf,
  earliest,
  type Interval,
  inWall,
  layOut,
  meet,
  needRadius,
  onAxis,
  passable,
  reachesOf,
  roundRoom,
  spareOf,
  startsOf,
  tightest,
} from '@nubrin/core/geometry'
import type { FittedPart, Saber } from '@nubrin/core/record'
import fc from 'fast-check'
import { done, tube } from './samples'

const mm = (v: number) => fact(v, 'mm', 'measured')
const put = (
  s: Saber,
  id: string,
  kind: FittedPart['kind'],
  at: number,
  specs: FittedPart['specs'],
  more: Partial<FittedPart> = {},
) => s.parts.push({ id, kind, name: id, specs, at: mm(at), ...more })
/** A hilt with a step, a taper, a chassis, and a button and a display in its wall. */
function rich(): Saber {
  const s = tube([
    [40, 38, 30],
    [80, 36, 28],
    [30, 34, 22],
  ])
  s.hilt.clearance = mm(0.4)
  s.hilt.sections[1]!.boreProfile = [
    { x: 0, d: 28 },
    { x: 40, d: 28 },
    { x: 80, d: 24 },
  ]
  put(s, 'ch', 'chassis', 20, { length: mm(50), wall: mm(1.5) })
  put(s, 'button', 'switch', 90, { length: mm(8), width: mm(8), height: mm(9) }, { clock: fact(0, 'deg', 'measured') })
  put(
    s,
    'display',
    'display',
    50,
    { length: mm(20), width: mm(10), height: mm(4) },
    { clock: fact(180, 'deg', 'measured') },
  )
  return s
}
/** The free radius at x, worked out anew: bore, less the chassis where it stands, less the clearance. */
const radius = (s: Saber, x: number) => boreAt(layOut(s.hilt), x)! / 2 - (x > 20 && x < 70 ? 1.5 : 0) - 0.4
/** How near to the axis something reaches at x, by hand: the button 9 under the outside, the display flat in the bore. */
const reach = (x: number) =>
  x > 90 && x < 98
    ? { clock: 0, inner: 18 - 9 - 0.4 }
    : x > 50 && x < 70
      ? { clock: 180, inner: Math.sqrt(14 ** 2 - 5 ** 2) - 0.4 - 4 - 0.4 }
      : undefined

const body: fc.Arbitrary<Body> = fc.oneof(
  fc.record({ kind: fc.constant('round' as const), d: fc.double({ min: 4, max: 30, noNaN: true }) }),
  fc.record({ kind: fc.constant('coaxial' as const), d: fc.double({ min: 4, max: 30, noNaN: true }) }),
  fc.record({
    kind: fc.constant('slab' as const),
    w: fc.double({ min: 2, max: 28, noNaN: true }),
    t: fc.double({ min: 1, max: 20, noNaN: true }),
  }),
)

describe('the cavity', () => {
  test('has at each place the radius and the depth that are worked out by hand', () => {
    const s = rich()
    const cavity = cavityOf(s)
    expect(cavity.needs).toEqual([])
    expect(cavity.pieces[0]!.x0).toBe(0)
    expect(cavity.pieces.at(-1)!.x1).toBe(150)
    for (const [i, p] of cavity.pieces.entries()) {
      if (i) expect(p.x0).toBeCloseTo(cavity.pieces[i - 1]!.x1, 9)
      for (const f of [0.1, 0.5, 0.9]) {
        const x = p.x0 + f * (p.x1 - p.x0)
        expect(p.r0 + f * (p.r1 - p.r0)).toBeCloseTo(radius(s, x), 6)
        const [one, ...more] = reachesOf(p)
        expect(more).toEqual([])
        expect(one?.clock).toBe(reach(x)?.clock)
        if (one) expect(one.inner).toBeCloseTo(reach(x)!.inner, 9)
      }
    }
  })
  test('knows at which clock angle something reaches in; what takes itself out does not stand in its own way', () => {
    const cavity = cavityOf(rich())
    expect(cavity.keeps.map((k) => [k.ref, k.clock, k.x0, k.x1])).toEqual([
      ['part:button', 0, 90, 98],
      ['part:display', 180, 50, 70],
    ])
    const under = cavity.pieces.find((p) => p.keeps.length)!
    expect(reachesOf(under, under.keeps[0]!.ref)).toEqual([])
    expect(roundRoom(under)).toBe(Math.min(under.r0, under.r1, reachesOf(under)[0]!.inner))
    expect(cavityOf(rich(), new Set(['button', 'display', 'ch'])).keeps).toEqual([])
  })
  test('names what must be known first', () => {
    const s = rich()
    s.hilt.sections[1]!.length = fact(null, 'mm')
    s.hilt.clearance = fact(null, 'mm')
    s.hilt.sections[2]!.bore = fact(null, 'mm')
    expect(cavityOf(s).needs.map((n) => n.name)).toEqual([
      'the length of section 1',
      'the bore of section 2',
      'the clearance',
    ])
    expect(cavityOf(tube([])).needs.map((n) => n.name)).toContain('the hilt sections')
  })
  test('ends at the back of the main socket', () => {
    const s = done()
    const depth = s.hilt.sockets[0]!.depth.value!
    expect(cavityOf(s).x1).toBeCloseTo(layOut(s.hilt).length - depth, 9)
  })
})

describe('where a body goes', () => {
  test('it passes just where its radius is there, and may begin just where all of it lies there: by a fine raster', () => {
    const s = rich()
    const cavity = cavityOf(s)
    fc.assert(
      fc.property(body, fc.double({ min: 1, max: 60, noNaN: true }), (b, length) => {
        const free = passable(cavity, b)
        const starts = startsOf(cavity, b, length)
        const within = (list: Interval[], x: number) => list.some((p) => x >= p.lo - 1e-6 && x <= p.hi + 1e-6)
        const fits = (x: number) => {
          const p = cavity.pieces.find((q) => q.x0 <= x && q.x1 >= x)!
          const r = p.r0 + ((p.r1 - p.r0) * (x - p.x0)) / (p.x1 - p.x0)
          return r - needRadius(b, reachesOf(p))
        }
        const wrong: number[] = []
        for (let x = 0.25; x < 150; x += 0.5) {
          const spare = fits(x)
          if (Math.abs(spare) > 1e-6 && within(free, x) !== spare > 0) wrong.push(x)
        }
        for (let x = 0.25; x + length < 150; x += 4) {
          let least = Infinity
          for (let k = 0; k <= 40; k++) least = Math.min(least, fits(x + (length * k) / 40))
          if (within(starts, x) ? least <= -1e-6 : least > 0.2) wrong.push(x)
        }
        expect(wrong).toEqual([])
      }),
      { numRuns: 40 },
    )
  })
  test('the tightest place is the least spare of a fine raster, with its bore and what stands in the way', () => {
    const s = rich()
    const [cavity, shape] = [cavityOf(s), layOut(s.hilt)]
    fc.assert(
      fc.property(
        body,
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 5, max: 45, noNaN: true }),
        (b, x0, length) => {
          const t = tightest(cavity, shape, b, x0, x0 + length)!
          const spare = (x: number) => {
            const p = cavity.pieces.find((q) => q.x0 <= x && q.x1 > x)!
            const r = p.r0 + ((p.r1 - p.r0) * (x - p.x0)) / (p.x1 - p.x0)
            return spareOf(b, r, reachesOf(p))
          }
          const raster = Array.from({ length: 400 }, (_, k) => spare(x0 + (length * (k + 0.5)) / 400))
          expect(t.spareMm).toBeLessThanOrEqual(Math.min(...raster) + 1e-6)
          // It is really there: the spare on one side of the place that it names.
          const sides = [t.x - 1e-7, t.x + 1e-7].filter((x) => x > x0 && x < x0 + length)
          expect(Math.min(...sides.map((x) => Math.abs(spare(x) - t.spareMm)))).toBeLessThan(1e-3)
          expect(t.x).toBeGreaterThanOrEqual(x0 - 1e-9)
          expect(t.x).toBeLessThanOrEqual(x0 + length + 1e-9)
        },
      ),
      { numRuns: 60 },
    )
    expect(tightest(cavity, shape, { kind: 'round', d: 5 }, 200, 210)).toBeUndefined()
    expect(tightest(cavity, shape, { kind: 'coaxial', d: 20 }, 89, 99)!.under!.ref).toBe('part:button')
    expect(tightest(cavity, shape, { kind: 'coaxial', d: 20 }, 89, 99, 'part:button')!.under).toBeUndefined()
  })
  test('two conditions on one start, and the first start not before a place: by trying', () => {
    const gaps = fc
      .array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 15 })), { maxLength: 4 })
      .map((list) => list.map(([lo, w]) => ({ lo, hi: lo + w })).sort((p, q) => p.lo - q.lo))
    fc.assert(
      fc.property(gaps, gaps, fc.integer({ min: -10, max: 10 }), (a, b, offset) => {
        const inside = (list: Interval[], x: number) => list.some((p) => x >= p.lo && x <= p.hi)
        const both = meet(a, b, offset)
        const tried = Array.from({ length: 110 }, (_, k) => k - 20)
        expect(tried.filter((x) => inside(both, x))).toEqual(tried.filter((x) => inside(a, x) && inside(b, x + offset)))
        for (const x of [-5, 0, 7, 30, 80]) {
          const first = Array.from({ length: 120 }, (_, k) => x + k).find((y) => inside(a, y)) ?? Infinity
          expect(Math.ceil(earliest(a, x))).toBe(first)
        }
      }),
    )
  })
})

describe('what lies where', () => {
  test('in the wall, or on the axis, by kind and clock angle', () => {
    const part = (kind: FittedPart['kind'], clock?: number): FittedPart => ({
      ...{ id: 'x', kind, name: 'x', specs: {} },
      ...(clock === undefined ? {} : { clock: fact(clock, 'deg', 'measured') }),
    })
    for (const kind of ['switch', 'display'] as const) expect(inWall(part(kind))).toBe(true)
    for (const kind of ['chargePort', 'killSwitch'] as const) {
      expect(inWall(part(kind))).toBe(false)
      expect(inWall(part(kind, 90))).toBe(true)
      expect(onAxis(part(kind, 90))).toBe(false)
    }
    for (const kind of ['cell', 'speaker', 'board', 'connector', 'chamber', 'killKey'] as const)
      expect(onAxis(part(kind))).toBe(true)
    for (const kind of ['strip', 'wire', 'switch', 'charger', 'tube'] as const) expect(onAxis(part(kind))).toBe(false)
  })
  test('the shape that a part shows to the bore', () => {
    const s = tube([[100, 36, 30]])
    put(s, 'cell', 'cell', 0, { diameter: mm(18), length: mm(65) })
    put(s, 'board', 'board', 0, { width: mm(20), height: mm(4) }, { beside: 'cell' })
    put(s, 'bare', 'board', 0, { width: mm(20), height: mm(4) })
    put(s, 'cone', 'speaker', 0, { diameter: mm(24) })
    put(s, 'none', 'board', 0, { width: mm(20) })
    expect(s.parts.map((p) => bodyOf(p, s))).toEqual([
      { kind: 'round', d: 18 },
      { kind: 'pair', d: 18, w: 20, t: 4 },
      { kind: 'slab', w: 20, t: 4 },
      { kind: 'coaxial', d: 24 },
      undefined,
    ])
  })
  test('the radius that each shape needs, by hand', () => {
    expect(needRadius({ kind: 'round', d: 18 })).toBe(9)
    expect(needRadius({ kind: 'slab', w: 6, t: 8 })).toBe(5)
    // A cell of 18, half a millimetre of air, a board of 4 thick and 10 wide: corners at 22.5 over the bottom.
    expect(needRadius({ kind: 'pair', d: 18, w: 10, t: 4 })).toBeCloseTo((22.5 ** 2 + 25) / 45, 9)
    expect(bundleDiameter(7, 2)).toBe(6)
    expect(bundleDiameter(1, 2)).toBe(2)
    expect(bundleDiameter(0, 2)).toBe(0)
  })
})
