import { describe, expect, test } from '@jest/globals'
import { drawSection, drawUnrolled } from '@nubrin/core/drawing'
import { fact, known } from '@nubrin/core/facts'
import {
  adapterFor,
  adapterText,
  balance,
  balanceWhatIfs,
  bladeDifferenceText,
  chanceToClose,
  clampOf,
  conductorsOf,
  DENSITY,
  demoAgainstShipped,
  duelReasonText,
  grilleAir,
  gripMiddle,
  judgeDuel,
  overClosing,
  shoppingList,
  shoppingNeedText,
  stringSums,
  swingRoom,
  tightestWires,
  wireRoom,
  wiresBlocked,
} from '@nubrin/core/fit'
import {
  bundleDiameter,
  type CrossSection,
  crossSectionAt,
  freeCircle,
  layOut,
  layWires,
  profileFaults,
  profileFaultText,
  sectionFaults,
} from '@nubrin/core/geometry'
import { fitFrom, GENERIC_CATALOGUE } from '@nubrin/core/parts'
import type { Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { tries } from './drawn'
import { demo, done, tube } from './samples'

const mm = (v: number, tol?: number) => fact(v, 'mm', 'measured', tol === undefined ? {} : { tol })
const part = (s: Saber, kind: string) => s.parts.find((p) => p.kind === kind)!

const slices: fc.Arbitrary<CrossSection> = fc
  .record({
    free: fc.double({ min: 8, max: 18, noNaN: true }),
    cell: fc.double({ min: 4, max: 9, noNaN: true }),
    w: fc.double({ min: 4, max: 16, noNaN: true }),
    h: fc.double({ min: 1, max: 6, noNaN: true }),
    x: fc.double({ min: -4, max: 4, noNaN: true }),
    turn: fc.constantFrom(0, 30, 90, 180),
  })
  .map(({ free, cell, w, h, x, turn }) => ({
    ...{ x: 0, outer: 2 * free + 6, bore: 2 * free + 1, wall: 0, clearance: 0.5, free },
    lying: [
      { shape: 'circle', ref: 'part:a', name: 'cell', kind: 'cell', x, y: -free + cell, r: cell },
      { shape: 'box', ref: 'part:b', name: 'board', kind: 'board', x: 0, y: cell / 2, w, h, turn },
    ],
  }))

/** Whether a point is free, written again from the pictures: inside the circle, outside what lies there. */
function free(s: CrossSection, x: number, y: number, r: number): boolean {
  if (Math.hypot(x, y) + r > s.free + 1e-6) return false
  return s.lying.every((l) => {
    if (l.shape === 'circle') return Math.hypot(x - l.x, y - l.y) >= l.r + r - 1e-6
    // Turned clockwise on the page: turn the point back and hold it against the upright box.
    const a = (l.turn * Math.PI) / 180
    const [u, v] = [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)]
    const nearX = Math.min(Math.max(u, l.x - l.w / 2), l.x + l.w / 2)
    const nearY = Math.min(Math.max(v, l.y - l.h / 2), l.y + l.h / 2)
    return Math.hypot(u - nearX, v - nearY) >= r - 1e-6
  })
}

describe('room in a cut', () => {
  test('the free circle is free, and no raster finds one noticeably larger', () => {
    fc.assert(
      fc.property(slices, (s) => {
        const c = freeCircle(s)
        if (c.r > 0) expect(free(s, c.x, c.y, c.r - 1e-6)).toBe(true)
        const larger = c.r + 0.15
        const found: number[][] = []
        for (let x = -s.free; x <= s.free; x += 0.4)
          for (let y = -s.free; y <= s.free; y += 0.4) if (free(s, x, y, larger)) found.push([x, y])
        expect(found).toEqual([])
      }),
      { numRuns: tries(60, 20) },
    )
  })
  test('wires laid singly lie free of everything and of one another', () => {
    fc.assert(
      fc.property(slices, fc.array(fc.constantFrom(0.8, 1.2, 1.8), { minLength: 1, maxLength: 14 }), (s, wires) => {
        const laid = layWires(s, wires)
        expect(laid.length).toBeLessThanOrEqual(wires.length)
        laid.forEach((a, i) => {
          expect(free(s, a.x, a.y, a.r)).toBe(true)
          for (const b of laid.slice(i + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(a.r + b.r - 1e-6)
        })
      }),
      { numRuns: tries(60, 20) },
    )
  })
  test('a pair lies as the radial rule says: cell on the wall, board on it, under the switch line', () => {
    const s = crossSectionAt(done(), 60)!
    expect(s.free).toBeCloseTo(31 / 2 - 1.4 - 0.3)
    const [cell, board] = [s.lying.find((l) => l.kind === 'cell')!, s.lying.find((l) => l.kind === 'board')!]
    expect(cell).toMatchObject({ x: 0, y: expect.closeTo(-s.free + 9.3, 6), r: 9.3 })
    expect(board).toMatchObject({ y: expect.closeTo(-s.free + 18.6 + 0.5 + 2.2, 6), w: 18.2, h: 4.4 })
  })
  test('off the hilt there is no cut', () => {
    expect(crossSectionAt(done(), -1)).toBeUndefined()
    expect(wireRoom(done(), 400)).toBeUndefined()
  })
})

describe('wires are counted from what is connected', () => {
  test('the finished saber, counted by hand', () => {
    const { list, unplaced } = conductorsOf(done())
    expect(unplaced).toEqual([])
    const by = (ref: string) => list.filter((c) => c.ref === ref).reduce((n, c) => n + c.count, 0)
    // Cell 2, speaker 2, display 4, kill switch 2, first button 2 and second 1 (shared ground), crystal pixel 3.
    expect(['rw-p2', 'rw-p1', 'rw-p5', 'rw-p7', 'rw-p8', 'rw-p9'].map((p) => by(`part:${p}`))).toEqual([
      2, 2, 4, 2, 2, 1,
    ])
    expect(by('part:rw-p14')).toBe(3)
    expect(by('zone:rw-z2')).toBe(0)
    expect(by('blade:rw-b1')).toBe(3)
    // The lit connector has a data lead of its own.
    expect(by('part:rw-p6')).toBe(1)
  })
  test('two gauges need no more than side by side, nor than all of the thicker', () => {
    const w = wireRoom(done(), 100)!
    const [power, signal] = [
      w.gauges.find((g) => g.carries === 'power')!,
      w.gauges.find((g) => g.carries === 'signal')!,
    ]
    expect(w.bundleMm).toBeCloseTo(
      Math.min(
        bundleDiameter(power.count, 1.8) + bundleDiameter(signal.count, 1.2),
        bundleDiameter(power.count + signal.count, 1.8),
      ),
    )
  })
  test('what has no place is named, and a board without a place stops the count', () => {
    const s = done()
    delete part(s, 'display').at
    expect(conductorsOf(s).unplaced).toContain('Display 0.69 in')
    delete part(s, 'board').at
    expect(conductorsOf(s)).toMatchObject({ list: [], unplaced: ['Sound board, medium'] })
  })
  test('wires too thick for the ring round the chamber are stopped there, thin ones pass', () => {
    const s = done()
    expect(wiresBlocked(s)).toBeUndefined()
    expect(tightestWires(s)!.goes).not.toBe('no')
    for (const w of s.parts.filter((p) => p.kind === 'wire')) w.specs.diameter = mm(4)
    const blocked = wiresBlocked(s)!
    expect(blocked.goes).toBe('no')
    expect(blocked.laid.length).toBeLessThan(blocked.gauges.reduce((n, g) => n + g.count, 0))
  })
})

describe('whether it closes', () => {
  /** Φ by Abramowitz and Stegun 7.1.26, good to 1.5e-7. */
  const phi = (z: number) => {
    const x = Math.abs(z) / Math.SQRT2
    const t = 1 / (1 + 0.3275911 * x)
    const erf =
      1 -
      ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-x * x)
    return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2
  }
  test('drawing lengths agrees with the normal distribution of their sum', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.array(fc.double({ min: 0.05, max: 0.8, noNaN: true }), { minLength: 1, maxLength: 8 }),
        (room, tols) => {
          const c = chanceToClose(room, tols, 20_000, 7)
          expect(Math.abs(c.share - phi((3 * room) / Math.hypot(...tols)))).toBeLessThan(0.015)
          expect(c.p1).toBeLessThanOrEqual(c.p50)
          expect(c.histogram.counts.reduce((a, b) => a + b, 0)).toBe(20_000)
        },
      ),
      { numRuns: 8 },
    )
  })
  test('the same seed draws the same; without tolerances it is all or none', () => {
    expect(chanceToClose(0.1, [0.2, 0.3], 1000, 3)).toEqual(chanceToClose(0.1, [0.2, 0.3], 1000, 3))
    expect(chanceToClose(0, [0, 0], 100).share).toBe(1)
    expect(chanceToClose(-0.01, [], 100).share).toBe(0)
    expect(() => chanceToClose(Number.NaN, [])).toThrow('must be a number')
  })
  test('a chassis held by length: clamp by hand, and the spacer it asks for brings it right', () => {
    const s = tube([
      [20, 36, 30],
      [100, 36, 30],
    ])
    s.parts = [
      {
        id: 'ch',
        kind: 'chassis',
        name: 'Chassis',
        specs: { length: mm(117.5), wall: mm(1.2) },
        at: mm(1),
        heldBy: 'length',
      },
      { id: 'c', kind: 'cell', name: 'Cell', specs: { length: mm(65), diameter: mm(18.5) }, at: mm(20) },
      { id: 'k', kind: 'connector', name: 'Plug', specs: { length: mm(2), diameter: mm(20) }, at: mm(118.2) },
    ]
    const c = clampOf(s)!
    // 117.5 + 2 − 120; the cell travels inside the chassis.
    expect(c.clamp.ok && c.clamp.value).toBeCloseTo(-0.5)
    expect(c.changeMm).toBeCloseTo(0.85)
    s.parts.push({
      ...{ id: 'sp', kind: 'spacer', name: 'Spacer', at: mm(0) },
      specs: { length: mm(c.changeMm!), diameter: mm(24) },
    })
    expect(clampOf(s)!.changeMm).toBe(0)
    delete s.parts[0]!.heldBy
    expect(clampOf(s)).toBeUndefined()
  })
  test('the face of a speaker against the grille, and a thread that nothing stops', () => {
    const s = done()
    expect(grilleAir(s)[0]!.air).toMatchObject({ ok: true, value: 11 })
    s.hilt.openings.push({
      ...{ id: 'g', name: 'grille', kind: 'grille', clock: fact(0, 'deg'), width: mm(20) },
      ...{ at: mm(10), length: mm(6) },
    })
    expect(grilleAir(s)[0]).toMatchObject({ before: 'grille', air: { value: 1 } })
    expect(overClosing(s)).toEqual([])
    s.hilt.sections[0]!.joint = { kind: 'thread', stop: false, overTravel: mm(2) }
    expect(overClosing(s)[0]).toMatchObject({ travelMm: 2, leftMm: expect.any(Number) })
    s.hilt.sections[0]!.joint.lockedForLife = true
    expect(overClosing(s)).toEqual([])
  })
})

describe('blades', () => {
  test('contact is judged with reasons, and never certified', () => {
    const s = done()
    const b = s.blades[0]!
    expect(judgeDuel(s, b)).toMatchObject({ verdict: 'lightContact', against: [] })
    s.hilt.sockets[0]!.depth = mm(30)
    s.hilt.fasteners[0]!.looseNow = true
    const j = judgeDuel(s, b)
    expect(j.verdict).toBe('notForContact')
    expect(j.against.map(duelReasonText).join()).toMatch(/seat is 30 mm.*38.1 mm.*loose/)
    s.hilt.sockets[0]!.depth = fact(null, 'mm')
    s.hilt.fasteners[0]!.looseNow = false
    expect(judgeDuel(s, b)).toMatchObject({ verdict: 'unknown', unknown: [{ code: 'unknownDepth' }] })
  })
  test('an adapter for a thinner tube closes up on both sides', () => {
    const s = done()
    s.blades[0]!.outside = mm(22.225)
    const a = adapterFor(s, s.blades[0]!)!
    expect(a.outsideMm).toBeCloseTo(25.52 - 0.12)
    expect(a.insideMm).toBeCloseTo(22.225 + 0.12)
    expect(a.wallMm).toBeCloseTo((25.4 - 22.345) / 2)
    expect(adapterText(a)).toContain('7/8 to 1 in')
    s.blades[0]!.outside = mm(25.4)
    expect(adapterFor(s, s.blades[0]!)).toBeUndefined()
  })
  test('a string blade adds up or says by how much it does not', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 4, max: 40 }),
        fc.integer({ min: -3, max: 3 }),
        (g, n, d) => {
          const b = {
            ...done().blades[0]!,
            kind: 'string' as const,
            groups: fact(g, '×'),
            ledsPerGroup: fact(n, '×'),
            ledsTotal: fact(g * n + d, '×'),
            groupCurrent: fact(350, 'mA'),
          }
          const s = stringSums(b)
          expect(s.agrees).toBe(d === 0)
          expect(s.differsBy).toBe(d)
          expect(s.current.ok && s.current.value).toBeCloseTo(g * 0.35)
        },
      ),
    )
  })
  test('the shopping list says what a shop needs, and what is not said yet', () => {
    const s = done()
    s.blades[0]!.use = 'toBuy'
    expect(shoppingList(s)[0]).toMatchObject({ needs: [], socket: 'emitter' })
    expect(shoppingList(s)[0]!.lines.join('; ')).toMatch(
      /25.4 mm · 1 in.*920 mm.*874 mm outside.*144 a metre.*2 strips/,
    )
    s.blades[0]!.length = fact(null, 'mm')
    expect(shoppingList(s)[0]!.needs.map(shoppingNeedText)).toContain('its length')
    expect(shoppingList(demo('crosswind').sabers[0]!).length).toBeGreaterThan(1)
  })
  test('the bench’s blade is held against the shipped one', () => {
    const s = done()
    s.blades.push({ ...structuredClone(s.blades[0]!), id: 'demo', name: 'bench', use: 'demo', length: mm(810) })
    expect(demoAgainstShipped(s)[0]!.differs.map(bladeDifferenceText)).toEqual(['length 810 on the bench, 920 shipped'])
  })
  test('room to swing: reach, hilt ahead of the hand, blade outside', () => {
    const s = done()
    const r = swingRoom(s, s.blades[0]!)
    expect(r.ok && r.value).toBeCloseTo(1100 + (255 - 90) + (920 - 46))
    expect(r.ok && r.about).toBe(true)
  })
})

describe('balance', () => {
  test('moment about the grip by hand', () => {
    const b = balance(done())
    if (!b.mass.ok || !b.centre.ok || !b.moment.ok) throw new Error('not calculable')
    expect(gripMiddle(done())).toBe(32 + 58)
    expect(b.moment.value).toBeCloseTo((b.mass.value / 1000) * 9.80665 * ((b.centre.value - 90) / 10))
  })
  test('what it is made of adds up to it; a plug counts only when it is in, on the bottom of the socket', () => {
    const s = done()
    const plug = fitFrom(GENERIC_CATALOGUE.find((r) => r.id === 'plug-1')!, 'plug')
    s.parts.push(plug)
    const [bare, plugged, bladed] = [balance(s), balance(s, [], plug), balance(s, [s.blades[0]!])]
    for (const b of [bare, plugged, bladed]) {
      if (!b.mass.ok || !b.centre.ok) throw new Error('not calculable')
      const mass = b.loads.reduce((m, l) => m + l.mass, 0)
      expect(mass).toBeCloseTo(b.mass.value, 9)
      expect(b.loads.reduce((m, l) => m + l.mass * l.x, 0) / mass).toBeCloseTo(b.centre.value, 9)
    }
    expect(bare.mass).toMatchObject({ value: (balance(done()).mass as { value: number }).value })
    // The socket is 46 deep in a hilt of 255: the plug stands from 209 on, 48 long, 24 g.
    expect(plugged.loads.find((l) => l.ref === 'part:plug')).toMatchObject({ mass: 24, x: 255 - 46 + 24 })
    delete plug.specs.mass
    expect(balance(s, [], plug).mass).toMatchObject({ ok: false })
  })
  test('arms of a crossguard and the blades in them weigh where the arms stand', () => {
    const s = demo('crosswind').sabers[0]!
    const shape = layOut(s.hilt)
    const cross = (shape.sections.at(-1)!.x0 + shape.sections.at(-1)!.x1) / 2
    const arms = s.hilt.sections.filter((q) => q.role === 'quillon')
    expect(arms.length).toBe(2)
    const [bare, all] = [balance(s), balance(s, s.blades.slice(0, 3))]
    for (const q of arms) {
      const ring = (Math.PI / 4) * (known(q.outside)! ** 2 - known(q.bore)! ** 2) * known(q.length)!
      expect(bare.loads.find((l) => l.ref === `section:${q.id}`)).toMatchObject({
        x: cross,
        mass: expect.closeTo((ring / 1000) * DENSITY[q.material]!, 6),
        about: true,
      })
    }
    const arm = all.loads.filter((l) => ['blade:cw-b2', 'blade:cw-b3'].includes(l.ref))
    expect(arm.map((l) => l.x)).toEqual([cross, cross])
    if (!all.mass.ok || !bare.mass.ok || !bare.centre.ok || !all.centre.ok) throw new Error('not calculable')
    const held = all.loads.filter((l) => l.ref.startsWith('blade:'))
    const mass = held.reduce((m, l) => m + l.mass, 0)
    expect(all.mass.value).toBeCloseTo(bare.mass.value + mass, 6)
    expect(all.centre.value * all.mass.value).toBeCloseTo(
      bare.centre.value * bare.mass.value + held.reduce((m, l) => m + l.mass * l.x, 0),
      3,
    )
  })
  test('what a change would do is what it does', () => {
    const s = done()
    const before = balance(s).centre
    const said = balanceWhatIfs(s)
    const moved = (run: (x: Saber) => void) => {
      const t = done()
      run(t)
      const c = balance(t).centre
      return c.ok && before.ok ? c.value - before.value : Number.NaN
    }
    const cell = moved((t) => void (part(t, 'cell').at!.value! -= 10))
    const buttons = moved((t) => {
      for (const p of t.parts) if (p.kind === 'switch') p.at!.value! += 10
    })
    expect(said.find((w) => w.what.code === 'cellBack')!.moves).toBeCloseTo(cell, 9)
    expect(said.find((w) => w.what.code === 'buttonsForward')!.moves).toBeCloseTo(buttons, 9)
    expect(said.find((w) => w.what.code === 'heavier' && w.what.end === 'pommel')!.moves).toBeLessThan(0)
    s.hilt.sections[1]!.bore = fact(null, 'mm')
    expect(balanceWhatIfs(s)).toEqual([])
  })
})

describe('profiles', () => {
  test('each fault is named by its point', () => {
    const code = (points: { x: number; d: number }[]) => profileFaults(points, 50, 'bore').map((f) => f.code)
    expect(code([{ x: 0, d: 20 }])).toContain('tooFew')
    expect(
      code([
        { x: 0, d: 20 },
        { x: 60, d: 20 },
      ]),
    ).toContain('outside')
    expect(
      code([
        { x: 0, d: 20 },
        { x: 30, d: 0 },
        { x: 50, d: 20 },
      ]),
    ).toEqual(['notPositive'])
    expect(
      code([
        { x: 0, d: 20 },
        { x: 30, d: 20 },
        { x: 10, d: 20 },
        { x: 50, d: 20 },
      ]),
    ).toEqual(['order'])
    expect(
      code([
        { x: 5, d: 20 },
        { x: 40, d: 20 },
      ]),
    ).toEqual(['gap', 'gap'])
    expect(
      profileFaults(
        [
          { x: 0, d: 20 },
          { x: 10, d: -1 },
        ],
        10,
        'outer',
      )[0],
    ).toMatchObject({ point: 2 })
  })
  test('points in order from end to end are always sound', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 49.9, noNaN: true }), { maxLength: 6 }),
        fc.double({ min: 1, max: 60, noNaN: true }),
        (xs, d) => {
          const points = [0, ...xs.sort((a, b) => a - b), 50].map((x) => ({ x, d }))
          expect(profileFaults(points, 50, 'outer')).toEqual([])
        },
      ),
    )
  })
  test('a bore that breaks through the outside is found where it does', () => {
    const s = tube([[50, 36, 30]]).hilt.sections[0]!
    expect(sectionFaults(s)).toEqual([])
    s.outerProfile = [
      { x: 0, d: 36 },
      { x: 20, d: 29 },
      { x: 50, d: 36 },
    ]
    expect(sectionFaults(s)[0]).toMatchObject({ code: 'boreWider' })
    expect(profileFaultText(sectionFaults(s)[0]!)).toContain('at 20 mm')
  })
})

describe('drawings to scale', () => {
  test('zooming keeps x true, and the middle where it was asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.double({ min: 60, max: 200, noNaN: true }),
        (zoom, centre) => {
          const whole = drawSection(MAKER, done(), { width: 1240, height: 262 })
          const scene = drawSection(MAKER, done(), { width: 1240, height: 262, zoom, centre })
          expect(scene.scale).toBeCloseTo(whole.scale * zoom, 6)
          expect(scene.mm(scene.x(centre))).toBeCloseTo(centre, 6)
          if (zoom > 4.2) expect(Math.abs(scene.x(centre) - 620)).toBeLessThan(1)
        },
      ),
    )
  })
  test('the surface is true both ways, and a point leads back to its clock angle', () => {
    const s = done()
    const u = drawUnrolled(MAKER, s, { width: 700, height: 260 })
    const window = u.spots.find((q) => q.ref === 'opening:rw-o3')!
    expect(window.x1 - window.x0).toBeCloseTo(27 * u.scale, 6)
    expect(window.y1 - window.y0).toBeCloseTo(12 * u.scale, 6)
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.double({ min: 40, max: 140, noNaN: true }), (deg, x) => {
        s.hilt.fasteners[0]!.clock = fact(deg, 'deg')
        s.hilt.fasteners[0]!.at = mm(x)
        const scene = drawUnrolled(MAKER, s, { width: 700, height: 260 })
        const spot = scene.spots.find((q) => q.ref === 'fastener:rw-f1')!
        const back = scene.clock((spot.x0 + spot.x1) / 2, (spot.y0 + spot.y1) / 2)!
        expect(Math.min(Math.abs(back - deg), 360 - Math.abs(back - deg))).toBeLessThan(1e-6)
      }),
    )
    expect(u.clock(0, 0)).toBeUndefined()
  })
  test('what lies across the half-turn shows at both edges, whole together; figures stand over what they measure', () => {
    const s = done()
    const u = drawUnrolled(MAKER, s, { width: 700, height: 260, lit: 'fastener:rw-f3' })
    const halves = u.spots.filter((q) => q.ref === 'opening:rw-o2')
    expect(halves).toHaveLength(2)
    const wide = halves.reduce((sum, h) => sum + h.y1 - h.y0, 0)
    const vent = s.hilt.openings.find((o) => o.id === 'rw-o2')!
    expect(wide).toBeCloseTo(known(vent.width)! * u.scale, 6)
    for (const h of halves) {
      expect(u.clock((h.x0 + h.x1) / 2, h.y0 + 1e-6)).toBeDefined()
      expect(u.clock((h.x0 + h.x1) / 2, h.y1 - 1e-6)).toBeDefined()
    }
    const texts = u.prims.flatMap((p) => (p.t === 'text' && p.ref ? [p] : []))
    const over = texts.find((p) => p.ref === 'fastener:rw-f3' && p.text === '194')!
    expect(u.mm(over.at[0])).toBeCloseTo(194, 6)
    // 90° of the 37 mm shroud: a quarter of its round.
    expect(u.prims.some((p) => p.t === 'text' && p.text === `${((Math.PI * 37) / 4).toFixed(1)} mm round, 90°`)).toBe(
      true,
    )
  })
})
