import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import { fitParts } from '@nubrin/core/fit'
import {
  BESIDE_GAP,
  type Body,
  crossSectionAt,
  lay,
  lieOf,
  needRadius,
  type Reach,
  spareOf,
} from '@nubrin/core/geometry'
import type { FittedPart, Saber } from '@nubrin/core/record'
import fc from 'fast-check'
import { tries } from './drawn'
import { tube } from './samples'

const mm = (v: number) => fact(v, 'mm', 'measured')
const deg = (v: number) => fact(v, 'deg', 'measured')
type Point = [x: number, y: number]
const dir = (clock: number): Point => [Math.sin((clock * Math.PI) / 180), Math.cos((clock * Math.PI) / 180)]
/** Points on the border of a body lying at (aside, height) before it is turned: circles by sixty points, boxes by their corners. */
function border(body: Body, aside: number, height: number, turn = 0): Point[] {
  const round = (d: number): Point[] =>
    Array.from({ length: 60 }, (_, k) => {
      const a = (k * Math.PI) / 30
      return [aside + (d / 2) * Math.cos(a), height + (d / 2) * Math.sin(a)]
    })
  const box = (w: number, low: number, high: number): Point[] =>
    [-w / 2, w / 2].flatMap((x): Point[] => [
      [aside + x, low],
      [aside + x, high],
    ])
  const flat =
    body.kind === 'slab'
      ? box(body.w, height - body.t / 2, height + body.t / 2)
      : body.kind === 'pair'
        ? [
            ...round(body.d),
            ...box(body.w, height + body.d / 2 + BESIDE_GAP, height + body.d / 2 + BESIDE_GAP + body.t),
          ]
        : round(body.d)
  const [s, c] = dir(turn)
  return flat.map(([x, y]) => [x * c + y * s, -x * s + y * c])
}
/** How far all of it stays inside the circle and before what reaches in; negative where it does not. */
const air = (points: Point[], radius: number, reaches: readonly Reach[]) =>
  Math.min(
    ...points.map(([x, y]) => radius - Math.hypot(x, y)),
    ...reaches.flatMap((k) => points.map(([x, y]) => k.inner - (x * dir(k.clock)[0] + y * dir(k.clock)[1]))),
  )

const size = fc.double({ min: 2, max: 24, noNaN: true })
const thin = fc.double({ min: 1, max: 9, noNaN: true })
const bodies: fc.Arbitrary<Body> = fc.oneof(
  fc.record({ kind: fc.constant('round' as const), d: size }),
  fc.record({ kind: fc.constant('coaxial' as const), d: size }),
  fc.record({ kind: fc.constant('slab' as const), w: size, t: thin }),
  fc.record({ kind: fc.constant('pair' as const), d: size, w: size, t: thin }),
)
const reaches = fc.array(
  fc.record({ inner: fc.double({ min: 2, max: 16, noNaN: true }), clock: fc.integer({ min: 0, max: 359 }) }),
  { maxLength: 3 },
)
const radius = fc.double({ min: 4, max: 18, noNaN: true })

describe('how a body lies beside what reaches in', () => {
  test('where it is laid it really is inside, by points on its border', () => {
    fc.assert(
      fc.property(bodies, radius, reaches, (body, r, list) => {
        const at = lay(body, r, list)
        if (at) expect(air(border(body, at.aside, at.height, at.turn), r, list)).toBeGreaterThan(-1e-6)
      }),
      { numRuns: tries(500, 150) },
    )
  })
  test('and it is laid wherever trying every place of a raster finds one', () => {
    fc.assert(
      fc.property(bodies, radius, reaches, (body, r, list) => {
        const found = () => {
          if (body.kind === 'coaxial') return air(border(body, 0, 0), r, list) > 0.02
          if (body.kind === 'pair') {
            for (let y = body.d / 2 - r; y < r; y += 0.02) if (air(border(body, 0, y), r, list) > 0.03) return true
            return false
          }
          for (let x = -r; x <= r; x += 0.8)
            for (let y = -r; y <= r; y += 0.8) if (air(border(body, x, y), r, list) > 0.03) return true
          return false
        }
        if (found()) expect(lay(body, r, list)).toBeDefined()
      }),
      { numRuns: tries(120, 25) },
    )
  })
  test('a round thing gives way no further than it must', () => {
    fc.assert(
      fc.property(size, radius, reaches, (d, r, list) => {
        const at = lay({ kind: 'round', d }, r, list)
        if (!at) return
        const off = Math.hypot(at.aside, at.height)
        // Between two points of its border a round thing reaches further out by that.
        const sag = (d / 2) * (1 - Math.cos(Math.PI / border({ kind: 'round', d }, 0, 0).length))
        // No place of a raster nearer to the axis would do.
        for (let x = -off; x <= off; x += off / 5 || 1)
          for (let y = -off; y <= off; y += off / 5 || 1)
            if (Math.hypot(x, y) < off - 1e-3)
              expect(air(border({ kind: 'round', d }, x, y), Infinity, list)).toBeLessThan(1e-3 + sag)
      }),
      { numRuns: tries(80, 25) },
    )
  })
  test('the least radius and the spare are the borders of going in', () => {
    fc.assert(
      fc.property(bodies, radius, reaches, (body, r, list) => {
        const need = needRadius(body, list)
        if (need === Infinity) expect(lay(body, 400, list)).toBeUndefined()
        else {
          expect(lay(body, need + 1e-6, list)).toBeDefined()
          expect(lay(body, need - 1e-6, list)).toBeUndefined()
        }
        const e = spareOf(body, r, list) / 2
        const by = (v: number) =>
          lay(
            body,
            r - v,
            list.map((k) => ({ ...k, inner: k.inner - v })),
          )
        expect(by(e - 1e-6)).toBeDefined()
        expect(by(e + 1e-6)).toBeUndefined()
        expect(e > 1e-6).toBe(
          lay(
            body,
            r - 1e-6,
            list.map((k) => ({ ...k, inner: k.inner - 1e-6 })),
          ) !== undefined && e > 1e-6,
        )
        // What reaches in never helps, and a smaller body has more air.
        expect(needRadius(body)).toBeLessThanOrEqual(need + 1e-9)
        expect(spareOf(body, r)).toBeGreaterThanOrEqual(2 * e - 1e-6)
      }),
      { numRuns: tries(200, 60) },
    )
  })
  test('worked by hand', () => {
    // One thing 3 deep in a radius of 10.5: the cell of 18 just goes beside it.
    expect(needRadius({ kind: 'round', d: 18 }, [{ inner: 7.5, clock: 0 }])).toBeCloseTo(10.5, 7)
    expect(needRadius({ kind: 'coaxial', d: 18 }, [{ inner: 9, clock: 40 }])).toBe(9)
    expect(needRadius({ kind: 'coaxial', d: 18 }, [{ inner: 8.9, clock: 40 }])).toBe(Infinity)
    // Two opposite ones leave what is between them.
    const two = (inner: number) => [
      { inner, clock: 0 },
      { inner, clock: 180 },
    ]
    expect(needRadius({ kind: 'round', d: 18 }, two(9))).toBe(9)
    expect(needRadius({ kind: 'round', d: 18 }, two(8.99))).toBe(Infinity)
    // A cell of 18.6 and a board of 18.2 × 4.4 on it: its upper corners.
    const k = 18.6 + BESIDE_GAP + 4.4
    expect(2 * needRadius({ kind: 'pair', d: 18.6, w: 18.2, t: 4.4 })).toBeCloseTo((9.1 ** 2 + k ** 2) / k, 9)
    // A wide board low on a thin cell: its lower corners lift both until the board lies across the middle.
    expect(needRadius({ kind: 'pair', d: 4, w: 20, t: 1 })).toBeCloseTo(Math.hypot(20, 1) / 2, 9)
    expect(lay({ kind: 'pair', d: 4, w: 20, t: 1 }, 10.5, [])!.height).toBeCloseTo(-Math.sqrt(10.5 ** 2 - 100) - 2.5, 9)
    // A board edge-on to what reaches in, when only so it goes.
    expect(lay({ kind: 'slab', w: 16, t: 4 }, 9, [{ inner: 3, clock: 90 }])).toMatchObject({ turn: 90 })
  })
})

describe('in a hilt', () => {
  const hilt = (bore = 30) => {
    const s = tube([[200, 40, bore]])
    s.hilt.clearance = mm(0)
    const put = (id: string, kind: FittedPart['kind'], specs: FittedPart['specs'], more: Partial<FittedPart> = {}) =>
      s.parts.push({ id, kind, name: id, specs, at: mm(40), ...more })
    return { s, put }
  }
  const CELL = { diameter: mm(22), length: mm(65) }
  const display = (w: number, h = 5) => ({ length: mm(30), width: mm(w), height: mm(h) })
  const spare = (s: Saber, id: string) => fitParts(s).find((f) => f.part.id === id)!.spareMm!
  test('two displays across from each other, five deep each, leave no room for a cell of 22 in a bore of 30', () => {
    const { s, put } = hilt()
    put('cell', 'cell', CELL)
    put('a', 'display', display(0.001), { clock: deg(0) })
    // 30 − 5.4 under one display: the cell moves aside.
    expect(spare(s, 'cell')).toBeCloseTo(30 - 5.4 - 22, 2)
    put('b', 'display', display(0.001), { clock: deg(180) })
    expect(spare(s, 'cell')).toBeCloseTo(30 - 2 * 5.4 - 22, 2)
    // Beside each other they count less, at one place once.
    s.parts.at(-1)!.clock = deg(90)
    expect(spare(s, 'cell')).toBeGreaterThan(30 - 2 * 5.4 - 22)
    expect(spare(s, 'cell')).toBeLessThan(30 - 5.4 - 22)
    s.parts.at(-1)!.clock = deg(0)
    expect(spare(s, 'cell')).toBeCloseTo(30 - 5.4 - 22, 2)
  })
  test('a flat display stands off a round bore by its chord, drawn as it is judged', () => {
    const { s, put } = hilt()
    put('cell', 'cell', CELL)
    put('wide', 'display', display(16), { clock: deg(0) })
    const inner = Math.sqrt(15 ** 2 - 8 ** 2) - 0.4 - 5
    expect(spare(s, 'cell')).toBeCloseTo(15 + inner - 22, 3)
    expect(lieOf(s, s.parts[1]!).height).toBeCloseTo(inner + 2.5, 9)
    const cut = crossSectionAt(s, 50)!
    const box = cut.lying.find((l) => l.ref === 'part:wide')!
    if (box.shape !== 'box') throw new Error('a display is a box')
    expect(Math.hypot(box.w / 2, box.y + box.h / 2)).toBeLessThanOrEqual(15)
    const cell = cut.lying.find((l) => l.ref === 'part:cell')!
    expect(cell.y + 11).toBeLessThanOrEqual(box.y - box.h / 2 + 1e-6)
  })
  test('clearance and the chassis wall are taken once, not again before what reaches in', () => {
    const { s, put } = hilt()
    s.hilt.clearance = mm(0.5)
    put('cell', 'cell', { diameter: mm(18), length: mm(65) })
    put('ch', 'chassis', { length: mm(120), wall: mm(1.5) }, { at: mm(20) })
    put('a', 'display', display(0.001, 6), { clock: deg(0) })
    // Below: bore, less wall and clearance. Above: the display's face, less clearance.
    expect(spare(s, 'cell')).toBeCloseTo(15 - 1.5 - 0.5 + (15 - 6.4 - 0.5) - 18, 2)
  })
  test('over a step a button reaches as near as it is, whichever bore it hangs over', () => {
    const { s, put } = hilt()
    s.hilt.sections[0]!.boreProfile = [
      { x: 0, d: 34 },
      { x: 50, d: 34 },
      { x: 50, d: 26 },
      { x: 200, d: 26 },
    ]
    put('cell', 'cell', { diameter: mm(20), length: mm(30) })
    put('knob', 'switch', { length: mm(10), diameter: mm(8), height: mm(9) }, { at: mm(46), clock: deg(0) })
    // Outside 40, body of 9: its face is 11 from the axis. In the bore of 26 that leaves 13 + 11 for a cell of 20.
    expect(spare(s, 'cell')).toBeCloseTo(13 + 11 - 20, 3)
    s.parts[0]!.at = mm(18)
    expect(spare(s, 'cell')).toBeCloseTo(17 + 11 - 20, 3)
  })
  test('a cell beside a button at three o’clock moves to nine, in the cut as in the sum', () => {
    const { s, put } = hilt()
    put('cell', 'cell', CELL)
    put('knob', 'switch', { length: mm(10), diameter: mm(8), height: mm(12) }, { clock: deg(90) })
    const lie = lieOf(s, s.parts[0]!)
    // Its face is 8 from the axis; the cell of 11 goes 3 to the other side.
    expect(lie).toEqual({ aside: expect.closeTo(-3, 9), height: 0, turn: 0 })
    expect(crossSectionAt(s, 45)!.lying.find((l) => l.ref === 'part:cell')).toMatchObject({ x: expect.closeTo(-3, 9) })
  })
  test('a display under the cell of a pair lifts it, and the board with it', () => {
    const { s, put } = hilt()
    put('cell', 'cell', { diameter: mm(14), length: mm(50) })
    put('board', 'board', { length: mm(40), width: mm(14), height: mm(3) }, { beside: 'cell' })
    const board = () => lieOf(s, s.parts[1]!).height - lieOf(s, s.parts[0]!).height
    const gap = board()
    expect(lieOf(s, s.parts[0]!).height).toBe(-8)
    put('low', 'display', display(0.001), { clock: deg(180) })
    expect(lieOf(s, s.parts[0]!).height).toBeCloseTo(-(15 - 5.4 - 7), 6)
    expect(board()).toBeCloseTo(gap, 9)
  })
})
