import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import {
  type Cavity,
  type CavityPiece,
  type CrossSection,
  cavityOf,
  crossSectionAt,
  earliest,
  freeCircle,
  type Lying,
  layWires,
  meet,
  passable,
  profileFaults,
  profileFaultText,
  roughlyFree,
  sectionFaults,
  startsOf,
} from '@nubrin/core/geometry'
import type { FittedPart, Saber } from '@nubrin/core/record'
import fc from 'fast-check'
import { tries } from './drawn'
import { tube } from './samples'

const mm = (v: number | null) => fact(v, 'mm', v === null ? 'unknown' : 'measured')
const part = (kind: FittedPart['kind'], specs: Record<string, number>, more: Partial<FittedPart> = {}): FittedPart => ({
  id: kind,
  kind,
  name: kind,
  specs: Object.fromEntries(Object.entries(specs).map(([k, v]) => [k, mm(v)])),
  at: mm(40),
  ...more,
})
const hilt = (...parts: FittedPart[]): Saber => {
  const s = tube([[100, 36, 30]])
  s.hilt.clearance = mm(0)
  s.parts = parts
  return s
}

describe('a profile, point by point', () => {
  const told = (points: [number, number][], length = 50) =>
    profileFaults(
      points.map(([x, d]) => ({ x, d })),
      length,
      'bore',
    ).map((f) => [f.code, f.point ?? 0, f.got, f.than].join(' '))
  const cases: [string, [number, number][], string[]][] = [
    [
      'sound',
      [
        [0, 20],
        [50, 22],
      ],
      [],
    ],
    [
      'sound, a step',
      [
        [0, 20],
        [25, 20],
        [25, 22],
        [50, 22],
      ],
      [],
    ],
    [
      'sound, within a hair of its ends',
      [
        [1e-10, 20],
        [50 - 1e-10, 22],
      ],
      [],
    ],
    [
      'sound, within a hair beyond its end',
      [
        [0, 20],
        [50 + 1e-10, 22],
      ],
      [],
    ],
    ['empty', [], ['tooFew 0  ']],
    ['one point', [[0, 20]], ['tooFew 0  ']],
    [
      'a size of nothing',
      [
        [0, 20],
        [50, 0],
      ],
      ['notPositive 2 0 '],
    ],
    [
      'below nothing',
      [
        [0, -1],
        [50, 20],
      ],
      ['notPositive 1 -1 '],
    ],
    [
      'before the section',
      [
        [-1, 20],
        [50, 20],
      ],
      ['outside 1 -1 50'],
    ],
    [
      'after it',
      [
        [0, 20],
        [51, 20],
      ],
      ['outside 2 51 50'],
    ],
    [
      'back',
      [
        [0, 20],
        [30, 20],
        [20, 20],
        [50, 20],
      ],
      ['order 3 20 30'],
    ],
    [
      'back by a hair is no way back',
      [
        [0, 20],
        [30, 20],
        [30 - 1e-10, 20],
        [50, 20],
      ],
      [],
    ],
    [
      'open at the beginning',
      [
        [5, 20],
        [50, 20],
      ],
      ['gap 0 0 5'],
    ],
    [
      'open at the end',
      [
        [0, 20],
        [45, 20],
      ],
      ['gap 0 45 50'],
    ],
    [
      'open at both',
      [
        [5, 20],
        [45, 20],
      ],
      ['gap 0 0 5', 'gap 0 45 50'],
    ],
    [
      'all at once',
      [
        [60, -2],
        [-3, 20],
      ],
      ['notPositive 1 -2 ', 'outside 1 60 50', 'outside 2 -3 50', 'order 2 -3 60', 'gap 0 0 60', 'gap 0 -3 50'],
    ],
  ]
  test.each(cases)('%s', (_what, points, faults) => expect(told(points)).toEqual(faults))
  test('each fault in words', () => {
    const say = (f: object) => profileFaultText({ which: 'bore', ...f } as never)
    expect(say({ code: 'tooFew' })).toBe('the bore profile needs at least two points')
    expect(say({ code: 'notPositive', point: 2, got: 0, which: 'outer' })).toBe(
      'outside point 2: a diameter of 0 mm is no size',
    )
    expect(say({ code: 'outside', point: 1, got: -1, than: 50 })).toBe(
      'bore point 1: -1 mm lies outside the section (0 to 50)',
    )
    expect(say({ code: 'order', point: 3, got: 20, than: 30 })).toBe(
      'bore point 3: 20 mm lies behind the point before it (30)',
    )
    expect(say({ code: 'gap', got: 45, than: 50 })).toBe('the bore profile leaves 45 to 50 mm open')
    expect(say({ code: 'boreWider', at: 20, got: 30, than: 29 })).toBe(
      'at 20 mm the bore (30) is not narrower than the outside (29)',
    )
  })
  test('a bore as wide as the outside, at the first place where it is', () => {
    const s = tube([[50, 36, 30]]).hilt.sections[0]!
    expect(sectionFaults(s)).toEqual([])
    // Without a profile the plain sizes are another check's.
    expect(sectionFaults({ ...s, bore: mm(40) })).toEqual([])
    const waist = {
      ...s,
      outerProfile: [
        { x: 0, d: 36 },
        { x: 20, d: 30 },
        { x: 40, d: 28 },
        { x: 50, d: 36 },
      ],
    }
    expect(sectionFaults(waist)).toEqual([{ code: 'boreWider', which: 'bore', at: 20, got: 30, than: 30 }])
    const neck = {
      ...s,
      outerProfile: [
        { x: 0, d: 36 },
        { x: 20, d: 30.01 },
        { x: 50, d: 36 },
      ],
    }
    expect(sectionFaults(neck)).toEqual([])
    const flared = {
      ...s,
      boreProfile: [
        { x: 0, d: 30 },
        { x: 50, d: 36.5 },
      ],
    }
    expect(sectionFaults(flared)).toEqual([{ code: 'boreWider', which: 'bore', at: 50, got: 36.5, than: 36 }])
    // A faulty profile is said first, and a section without a length is not judged.
    expect(sectionFaults({ ...flared, boreProfile: [{ x: 0, d: 30 }] }).map((f) => f.code)).toEqual(['tooFew'])
    expect(sectionFaults({ ...flared, length: mm(null) })).toEqual([])
  })
})

describe('what lies in a cut', () => {
  const seen = (x: number, ...parts: FittedPart[]) => crossSectionAt(hilt(...parts), x)!.lying.map((l) => l.kind)
  const disc = (kind: FittedPart['kind'], more: Partial<FittedPart> = {}) =>
    part(kind, { length: 20, diameter: 10, height: 2, width: 5 }, more)
  test.each([
    [39.9, []],
    [40, ['spacer']],
    [50, ['spacer']],
    [60, ['spacer']],
    [60.1, []],
  ])('from face to face: at %d', (x, kinds) => expect(seen(x, disc('spacer'))).toEqual(kinds))
  test('things inside only: no strip, no dots but accent lights, no tools; what hangs in the wall comes first', () => {
    expect(seen(50, disc('strip'), disc('charger'), disc('chassis'))).toEqual([])
    expect(seen(50, disc('accentLed'))).toEqual(['accentLed'])
    expect(seen(50, disc('resistor'))).toEqual([])
    expect(seen(50, disc('cell'), disc('switch', { clock: fact(0, 'deg', 'measured') }))).toEqual(['switch', 'cell'])
  })
  test('a ring has a hole two millimetres within; a disc has none; a flat one without a height is not drawn', () => {
    const [ring] = crossSectionAt(hilt(disc('spacer')), 50)!.lying
    expect(ring).toMatchObject({ shape: 'circle', r: 5, hole: 3 })
    const [thin] = crossSectionAt(hilt(part('spacer', { length: 20, diameter: 3 })), 50)!.lying
    expect(thin).toMatchObject({ r: 1.5, hole: 0 })
    const [cell] = crossSectionAt(hilt(disc('cell')), 50)!.lying
    expect(cell).not.toHaveProperty('hole')
    expect(seen(50, part('board', { length: 20, width: 10 }))).toEqual([])
    expect(seen(50, part('board', { length: 20, width: 10, height: 2 }))).toEqual(['board'])
  })
  test('figures of the cut itself', () => {
    const s = hilt(part('chassis', { length: 30, wall: 1.5 }, { at: mm(30) }))
    s.hilt.clearance = mm(0.25)
    expect(crossSectionAt(s, 40)).toMatchObject({ outer: 36, bore: 30, wall: 1.5, clearance: 0.25, free: 13.25 })
    expect(crossSectionAt(s, 80)).toMatchObject({ wall: 0, free: 14.75 })
    expect(crossSectionAt(s, -0.1)).toBeUndefined()
    expect(crossSectionAt(s, 100.1)).toBeUndefined()
  })
})

describe('room for wires', () => {
  const lies: fc.Arbitrary<Lying> = fc
    .record({
      box: fc.boolean(),
      x: fc.integer({ min: -8, max: 8 }),
      y: fc.integer({ min: -8, max: 8 }),
      w: fc.integer({ min: 2, max: 12 }),
      h: fc.integer({ min: 1, max: 8 }),
      turn: fc.constantFrom(0, 0, 30, 90, 200),
      hole: fc.boolean(),
    })
    .map(({ box, x, y, w, h, turn, hole }): Lying => {
      const base = { ref: 'part:p' as const, name: 'p', kind: 'spacer' as const, x, y }
      return box
        ? { ...base, shape: 'box', w, h, turn }
        : { ...base, shape: 'circle', r: w / 2, ...(hole ? { hole: w / 2 - 1 } : {}) }
    })
  const cut = (free: number, lying: Lying[]): CrossSection => ({
    x: 0,
    outer: 40,
    bore: 30,
    wall: 0,
    clearance: 0,
    free,
    lying,
  })
  /** Whether a point is taken, by asking each thing about itself in its own frame. */
  const taken = (s: CrossSection, x: number, y: number) =>
    Math.hypot(x, y) > s.free ||
    s.lying.some((l) => {
      if (l.shape === 'circle') {
        const d = Math.hypot(x - l.x, y - l.y)
        return d < l.r && (l.hole === undefined || d > l.hole)
      }
      // Turned back: clockwise by so much brings it to where it is, so anticlockwise brings the point to it.
      const a = (-l.turn * Math.PI) / 180
      const [px, py] = [x * Math.cos(a) + y * Math.sin(a), -x * Math.sin(a) + y * Math.cos(a)]
      return Math.abs(px - l.x) < l.w / 2 && Math.abs(py - l.y) < l.h / 2
    })
  const disc = (x: number, y: number, r: number) =>
    Array.from(
      { length: 48 },
      (_, k) => [x + r * Math.cos((k * Math.PI) / 24), y + r * Math.sin((k * Math.PI) / 24)] as const,
    )
  const clear = (s: CrossSection, c: { x: number; y: number; r: number }) =>
    [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.999].every((share) =>
      disc(c.x, c.y, c.r * share).every(([x, y]) => !taken(s, x, y)),
    )

  test('the largest free circle is free, on its side, and no raster point has a larger one', () => {
    fc.assert(
      fc.property(fc.array(lies, { maxLength: 3 }), fc.constantFrom(0, 1, -1), (lying, side) => {
        const s = cut(12, lying)
        const c = freeCircle(s, side as 0 | 1 | -1)
        if (c.r === 0) return
        expect(clear(s, c)).toBe(true)
        if (side !== 0) expect(side * c.x - c.r).toBeGreaterThan(-1e-6)
        // Far from a border nothing half a millimetre larger may be found.
        for (let x = -11; x <= 11; x += 2.2)
          for (let y = -11; y <= 11; y += 2.2)
            if (side === 0 || side * x >= c.r + 0.5) expect(clear(s, { x, y, r: c.r + 0.5 })).toBe(false)
        if (side === 0) {
          expect(roughlyFree(s)).toBeLessThanOrEqual(c.r + 1e-6)
          expect(roughlyFree(s)).toBeGreaterThan(c.r - 1.5)
        }
      }),
      { numRuns: tries(60, 20) },
    )
  })
  test('wires that are laid lie free and beside each other, thickest first', () => {
    fc.assert(
      fc.property(
        fc.array(lies, { maxLength: 2 }),
        fc.array(fc.integer({ min: 4, max: 30 }), { minLength: 1, maxLength: 7 }),
        (lying, tenths) => {
          const s = cut(10, lying)
          const laid = layWires(
            s,
            tenths.map((t) => t / 10),
          )
          expect(laid.map((c) => c.r * 2)).toEqual(
            tenths
              .map((t) => t / 10)
              .sort((a, b) => b - a)
              .slice(0, laid.length),
          )
          for (const [i, a] of laid.entries()) {
            expect(clear(s, a)).toBe(true)
            for (const b of laid.slice(i + 1))
              expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(a.r + b.r - 1e-9)
          }
          if (laid.length < tenths.length && !lying.length) expect(laid.length).toBeGreaterThan(3)
        },
      ),
      { numRuns: 40 },
    )
  })
  test('the empty cut, and one that is full', () => {
    expect(freeCircle(cut(10, []))).toMatchObject({ x: 0, y: 0, r: 10 })
    expect(freeCircle(cut(10, []), 1)).toMatchObject({ x: expect.closeTo(5, 1), r: expect.closeTo(5, 1) })
    expect(freeCircle(cut(10, []), -1)).toMatchObject({ x: expect.closeTo(-5, 1), r: expect.closeTo(5, 1) })
    expect(roughlyFree(cut(10, []))).toBe(10)
    const plug: Lying = { shape: 'circle', ref: 'part:p', name: 'p', kind: 'cell', x: 0, y: 0, r: 10 }
    expect(freeCircle(cut(10, [plug])).r).toBe(0)
    expect(roughlyFree(cut(10, [plug]))).toBe(0)
    expect(layWires(cut(10, [plug]), [1])).toEqual([])
    expect(layWires(cut(-1, []), [1])).toEqual([])
    expect(layWires(cut(1, []), [2])).toEqual([{ x: 0, y: 0, r: 1 }])
  })
})

describe('the cavity as intervals', () => {
  test('the main socket takes its depth from the end; without a depth the cavity says so', () => {
    const s = hilt()
    s.hilt.sockets.push({
      id: 'k',
      name: 'mouth',
      section: 's0',
      bore: mm(25.5),
      depth: mm(30),
      insertion: 'straight',
      retention: [],
    })
    expect(cavityOf(s)).toMatchObject({ x0: 0, x1: 70, needs: [] })
    s.hilt.sockets[0]!.depth = mm(null)
    expect(cavityOf(s)).toMatchObject({ x1: 100, needs: [{ name: 'the depth of the mouth socket', ref: 'socket:k' }] })
    s.hilt.sockets = []
    expect(cavityOf(s)).toMatchObject({ x1: 100, needs: [] })
  })
  const piece = (x0: number, x1: number, r0: number, r1 = r0): CavityPiece => ({
    x0,
    x1,
    r0,
    r1,
    keeps: [],
    clearance: 0,
    section: 's',
  })
  const cavity = (...pieces: CavityPiece[]): Cavity => ({ pieces, x0: 0, x1: 100, keeps: [], needs: [] })
  const round = (d: number) => ({ kind: 'round' as const, d })
  test.each([
    ['all of it', 20, [{ lo: 0, hi: 100 }]],
    ['exactly as wide as the narrowest', 24, [{ lo: 0, hi: 100 }]],
    // Half the way down a taper from 26 to 24 over 40 mm; the wide end after it.
    [
      'into the taper as far as it goes',
      25,
      [
        { lo: 0, hi: 60 },
        { lo: 80, hi: 100 },
      ],
    ],
    [
      'the wide parts only',
      26,
      [
        { lo: 0, hi: 40 },
        { lo: 80, hi: 100 },
      ],
    ],
    ['the widest', 27, [{ lo: 80, hi: 100 }]],
    ['nowhere', 31, []],
  ])('a body passes %s', (_what, d, where) => {
    const c = cavity(piece(0, 40, 13), piece(40, 80, 13, 12), piece(80, 100, 15))
    const got = passable(c, round(d))
    expect(got.length).toBe(where.length)
    for (const [i, w] of where.entries()) {
      expect(got[i]!.lo).toBeCloseTo(w.lo, 6)
      expect(got[i]!.hi).toBeCloseTo(w.hi, 6)
    }
    for (const l of [0, 15, 30])
      expect(startsOf(c, round(d), l).length).toBe(where.filter((w) => w.hi - w.lo >= l).length)
  })
  test('pieces that do not touch stay apart', () => {
    expect(passable(cavity(piece(0, 40, 13), piece(41, 80, 13)), round(20))).toEqual([
      { lo: 0, hi: 40 },
      { lo: 41, hi: 80 },
    ])
  })
  test('two conditions on one start, and the first start not before a place', () => {
    const a = [
      { lo: 0, hi: 10 },
      { lo: 20, hi: 30 },
    ]
    expect(meet(a, [{ lo: 5, hi: 25 }])).toEqual([
      { lo: 5, hi: 10 },
      { lo: 20, hi: 25 },
    ])
    expect(meet(a, [{ lo: 15, hi: 40 }], 10)).toEqual([
      { lo: 5, hi: 10 },
      { lo: 20, hi: 30 },
    ])
    expect(meet(a, [{ lo: 10, hi: 20 }])).toEqual([
      { lo: 10, hi: 10 },
      { lo: 20, hi: 20 },
    ])
    expect(meet(a, [{ lo: 11, hi: 19 }])).toEqual([])
    expect([-5, 0, 4, 10, 11, 20, 30, 31].map((x) => earliest(a, x))).toEqual([0, 0, 4, 10, 20, 20, 30, Infinity])
  })
})
