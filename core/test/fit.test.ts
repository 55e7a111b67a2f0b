import { describe, expect, test } from '@jest/globals'
import { drawSection, drawUnrolled, hatch, placeOf, svgOf } from '@nubrin/core/drawing'
import { fact } from '@nubrin/core/facts'
import {
  alternatives,
  axialSlack,
  balance,
  exchange,
  fitParts,
  judgeSocket,
  overlaps,
  standardKey,
  ventShare,
} from '@nubrin/core/fit'
import { boreAt, bundleDiameter, layOut, narrowest } from '@nubrin/core/geometry'
import { GENERIC_CATALOGUE } from '@nubrin/core/parts'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import fc from 'fast-check'
import { demo, done, tube } from './samples'

describe('wire bundles', () => {
  test('published packing of equal circles', () => {
    const k = [1, 2, 2.155, 2.414, 2.701, 3, 3, 3.304, 3.613, 3.813]
    k.forEach((v, i) => {
      expect(bundleDiameter(i + 1, 1.6)).toBeCloseTo(v * 1.6, 9)
    })
    expect(bundleDiameter(0, 1.6)).toBe(0)
  })
  test('more wires never need less', () => {
    for (let n = 1; n < 40; n++) expect(bundleDiameter(n + 1, 1)).toBeGreaterThanOrEqual(bundleDiameter(n, 1))
  })
  test('nonsense is refused', () => {
    expect(() => bundleDiameter(-1, 1)).toThrow(RangeError)
    expect(() => bundleDiameter(2.5, 1)).toThrow(RangeError)
    expect(() => bundleDiameter(2, 0)).toThrow(RangeError)
  })
})

describe('a tube in a socket', () => {
  test.each([
    [25.3, 25.4, 'willNotEnter'],
    [25.4, 25.4, 'tight'],
    [25.52, 25.4, 'snug'],
    [25.7, 25.4, 'loose'],
    [28.6, 25.4, 'wrongSize'],
  ])('%d for %d is %s', (socket, d, kind) => {
    expect(judgeSocket(socket, d).kind).toBe(kind)
  })
  test('what is taken off brings it to the target', () => {
    const f = judgeSocket(25.2, 25.4)
    expect(judgeSocket(25.2 + 2 * f.removePerSideMm, 25.4).clearanceMm).toBeCloseTo(0.12)
  })
  test('what is shimmed brings it back to the target', () => {
    const f = judgeSocket(25.8, 25.4)
    expect(judgeSocket(25.8 - 2 * f.shimPerSideMm, 25.4).clearanceMm).toBeCloseTo(0.12)
  })
  test('tip play follows the lever', () => {
    expect(judgeSocket(25.6, 25.4, 50, 850).tipPlayMm).toBeCloseTo(0.2 * 16)
    expect(judgeSocket(25.6, 25.4, undefined, 850).tipPlayMm).toBeUndefined()
  })
})

describe('screws', () => {
  test('keys by standard', () => {
    expect(standardKey('M3', 'set')).toBe('1.5 mm')
    expect(standardKey('#6-32', 'set')).toBe('1/16 in')
    expect(standardKey('M4', 'cap')).toBe('3 mm')
    expect(standardKey('M4', 'thumb')).toBe('by hand')
    expect(standardKey('M4', 'dummy')).toBeUndefined()
  })
})

describe('the hilt as geometry', () => {
  test('sections lie end to end and the narrowest bore is found', () => {
    const s = tube([
      [30, 36, 30],
      [100, 34, 28],
      [50, 38, 25.5],
    ])
    const shape = layOut(s.hilt)
    expect(shape.length).toBe(180)
    expect(boreAt(shape, 30)).toBe(28)
    expect(narrowest(shape, 10, 140)).toMatchObject({ d: 25.5, x: 130 })
    expect(narrowest(shape, 10, 100)?.d).toBe(28)
    expect(narrowest(shape, 10, 300)).toBeUndefined()
  })
  test('an unknown length is drawn, and never computed with', () => {
    const s = tube([
      [30, 36, 30],
      [null, 34, 28],
    ])
    expect(layOut(s.hilt).complete).toBe(false)
    expect(axialSlack({ ...s, parts: done().parts }).nominal.ok).toBe(false)
  })
  test('the part that is too wide says by how much and where', () => {
    const s = tube([
      [30, 36, 30],
      [100, 34, 28],
    ])
    s.parts = [
      {
        id: 'p1',
        kind: 'speaker',
        name: 'Speaker',
        specs: { diameter: fact(28, 'mm'), length: fact(6, 'mm') },
        at: fact(40, 'mm'),
      },
    ]
    expect(fitParts(s)[0]).toMatchObject({ spareMm: expect.closeTo(-0.6, 6), at: { d: 28, x: 40 } })
    s.parts[0]!.at = fact(10, 'mm')
    expect(fitParts(s)[0]!.spareMm).toBeCloseTo(1.4)
  })
  test('the pair of a board and a cell is judged by the corner rule', () => {
    const s = tube([[200, 36, 31]])
    s.parts = [
      {
        id: 'c',
        kind: 'cell',
        name: 'Cell',
        specs: { diameter: fact(18.6, 'mm'), length: fact(69, 'mm') },
        at: fact(20, 'mm'),
      },
      {
        id: 'b',
        kind: 'board',
        name: 'Board',
        specs: { length: fact(35, 'mm'), width: fact(18.2, 'mm'), height: fact(4.4, 'mm') },
        at: fact(30, 'mm'),
        beside: 'c',
      },
    ]
    expect(fitParts(s)[1]).toMatchObject({
      besideOf: 'c',
      spareMm: expect.closeTo(31 - 0.6 - (9.1 ** 2 + 23.5 ** 2) / 23.5, 9),
    })
    expect(overlaps(s)).toEqual([])
    delete s.parts[1]!.beside
    expect(overlaps(s)[0]?.mm).toBeCloseTo(35)
  })
  test('axial slack is the sum done by hand, with its tolerances', () => {
    const s = tube([
      [30, 36, 30],
      [100, 34, 28],
    ])
    s.parts = [
      {
        id: 'c',
        kind: 'cell',
        name: 'Cell',
        specs: { diameter: fact(18, 'mm'), length: fact(70, 'mm', 'datasheet', { tol: 0.3 }) },
      },
    ]
    s.hilt.sections[0]!.length.tol = 0.4
    const slack = axialSlack(s)
    expect(slack.nominal).toMatchObject({ ok: true, value: 60 })
    expect(slack.worst).toBeCloseTo(0.7)
    expect(slack.rss).toBeCloseTo(0.5)
  })
  test('vents against the cone', () => {
    const s = tube([[30, 36, 30]])
    s.parts = [
      {
        id: 'p',
        kind: 'speaker',
        name: 'S',
        specs: { diameter: fact(28, 'mm'), length: fact(6, 'mm'), coneArea: fact(400, 'mm²') },
        at: fact(10, 'mm'),
      },
    ]
    s.hilt.openings = [
      {
        id: 'o',
        name: 'vent',
        kind: 'vent',
        at: fact(5, 'mm'),
        clock: fact(0, 'deg'),
        length: fact(5, 'mm'),
        width: fact(20, 'mm'),
      },
    ]
    expect(ventShare(s)).toMatchObject({ ok: true, value: 25 })
  })
})

describe('will the bigger one go in?', () => {
  const troubled = () => demo('cinder-oath').sabers[0]!
  test('every verdict is that of the saber with the part really exchanged', () => {
    for (const id of ['cinder-oath', 'reed-warden', 'crosswind', 'ember-fair'])
      for (const s of demo(id).sabers)
        for (const p of s.parts.filter((q) => ['cell', 'speaker', 'connector', 'board'].includes(q.kind)))
          for (const alt of alternatives(s, p.id, GENERIC_CATALOGUE)) {
            const next = exchange(s, p.id, alt.row)
            const judged = fitParts(next).filter((f) => f.part.id === p.id || f.besideOf === p.id)
            const spare = judged.every((f) => f.spareMm !== undefined)
              ? Math.min(...judged.map((f) => f.spareMm!))
              : undefined
            expect(alt.spareMm).toEqual(spare)
            const shared = overlaps(next).filter((o) => o.a.id === p.id || o.b.id === p.id)
            if (alt.fits) expect([spare! >= 0, shared.length]).toEqual([true, 0])
            expect(alt.row.kind).toBe(p.kind)
          }
  })
  test('of two speakers of one length the wider never has more room', () => {
    const list = alternatives(troubled(), 'co-p1', GENERIC_CATALOGUE).filter((a) => a.spareMm !== undefined)
    for (const a of list)
      for (const b of list)
        if (a.row.specs.diameter!.value! > b.row.specs.diameter!.value!)
          expect(a.spareMm!).toBeLessThanOrEqual(b.spareMm! + 1e-9)
    expect(list.find((a) => a.row.id === 'speaker-24-8-2')).toMatchObject({ fits: true })
    expect(list.find((a) => a.row.id === 'speaker-28-4-3')).toMatchObject({
      fits: false,
      spareMm: expect.closeTo(-1.4, 6),
    })
  })
  test('a cell of more capacity and the same resistance wins runtime, and the saber itself is untouched', () => {
    const s = done()
    const before = JSON.stringify(s)
    const row = GENERIC_CATALOGUE.find((r) => r.id === 'cell-18650-p15')!
    const more = { ...row, id: 'more', specs: { ...row.specs, capacity: fact(4000, 'mAh') } }
    const [same, bigger] = alternatives(s, 'rw-p2', [row, more])
    expect(same!.runtimeMin).toBeCloseTo(0, 6)
    expect(bigger!.runtimeMin).toBeGreaterThan(10)
    expect(JSON.stringify(s)).toBe(before)
    expect(exchange(s, 'rw-p2', more).parts.find((p) => p.id === 'rw-p2')).not.toHaveProperty('landmark')
  })
  test('a part that is not there is a broken contract', () => {
    expect(() => alternatives(done(), 'nope', GENERIC_CATALOGUE)).toThrow(RangeError)
  })
})

describe('balance', () => {
  test('a plain tube balances at its middle, with the mass of its volume', () => {
    const s = tube([[100, 30, 20]])
    const b = balance(s)
    expect(b.centre).toMatchObject({ ok: true, about: true })
    expect(b.centre.ok && b.centre.value).toBeCloseTo(50, 9)
    expect(b.mass.ok && b.mass.value).toBeCloseTo((Math.PI / 4) * (30 ** 2 - 20 ** 2) * 100 * 0.0027, 6)
  })
  test('moving a part forward moves the balance by its share', () => {
    const s = tube([[200, 30, 20]])
    const at = (x: number) => {
      s.parts = [
        {
          id: 'c',
          kind: 'cell',
          name: 'C',
          specs: { length: fact(60, 'mm'), diameter: fact(18, 'mm'), mass: fact(50, 'g') },
          at: fact(x, 'mm'),
        },
      ]
      const b = balance(s)
      return b.centre.ok && b.mass.ok ? b : (undefined as never)
    }
    const [a, b] = [at(20), at(80)]
    expect((b.centre as { value: number }).value - (a.centre as { value: number }).value).toBeCloseTo(
      (60 * 50) / (a.mass as { value: number }).value,
      6,
    )
  })
})

describe('drawings', () => {
  test('hatch lines are a gap apart and anchored to the page: what is cut in two is hatched as one', () => {
    const box = (x0: number, x1: number): [number, number][] => [
      [x0, 3],
      [x1, 3],
      [x1, 21],
      [x0, 21],
    ]
    const keys = (x0: number, x1: number, lean: 1 | -1) =>
      hatch(box(x0, x1), 5, lean).map(([a]) => Number((a![0] + lean * a![1]).toFixed(6)))
    for (const lean of [1, -1] as const) {
      const whole = keys(2, 40, lean)
      expect(whole.length).toBeGreaterThan(8)
      expect(whole).toEqual(whole.map((_, i) => whole[0]! + 5 * i))
      for (const k of whole) expect(Math.abs(k % 5)).toBe(0)
      expect([...new Set([...keys(2, 17, lean), ...keys(17, 40, lean)])].sort((a, b) => a - b)).toEqual(whole)
    }
  })
  test('hatch lines stay inside a convex polygon and lean as asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 200, noNaN: true }),
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.constantFrom(1 as const, -1 as const),
        (w, h, lean) => {
          const lines = hatch(
            [
              [0, 0],
              [w, 0],
              [w, h],
              [0, h],
            ],
            6,
            lean,
          )
          expect(lines.length).toBeGreaterThan(1)
          for (const [a, b] of lines as [[number, number], [number, number]][]) {
            for (const [x, y] of [a, b]) expect(x >= -1e-6 && x <= w + 1e-6 && y >= -1e-6 && y <= h + 1e-6).toBe(true)
            expect(a[0] + lean * a[1]).toBeCloseTo(b[0] + lean * b[1], 6)
          }
        },
      ),
    )
  })
  test('the section drawing is true to scale along and across, and knows every placed thing', () => {
    for (const c of demoCommissions('2026-11-24'))
      for (const s of c.sabers) {
        const scene = drawSection(MAKER, s, { width: 1240, height: 270 })
        expect(scene.x(100) - scene.x(0)).toBeCloseTo(100 * scene.scale, 6)
        expect(scene.mm(scene.x(77.7))).toBeCloseTo(77.7, 6)
        for (const p of scene.prims)
          for (const [x, y] of p.t === 'path' ? p.pts : [p.at])
            expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
        for (const x of s.hilt.sections) expect(scene.spots.some((q) => q.ref === `section:${x.id}`)).toBe(true)
        for (const f of s.hilt.fasteners)
          expect(scene.spots.find((q) => q.ref === `fastener:${f.id}`)?.name).toBe(f.name)
        expect(drawUnrolled(MAKER, s, { width: 600, height: 200 }).spots.length).toBeGreaterThan(0)
      }
  })
  test('an empty hilt draws an axis, and names are escaped in the file', () => {
    const s = tube([])
    expect(drawSection(MAKER, s, { width: 400, height: 200 }).spots).toEqual([])
    const odd = tube([[30, 36, 30]])
    odd.hilt.sections[0]!.name = '<pommel & "co">'
    const svg = svgOf(drawSection(MAKER, odd, { width: 400, height: 200 }), 'a', 'b')
    expect(svg).not.toContain('<pommel')
    expect(svg).toContain('role="img"')
  })
  test('a place is where the figures say', () => {
    const s = done()
    expect(placeOf(s, 'section:rw-grip')).toEqual({ x0: 32, x1: 148 })
    expect(placeOf(s, 'part:rw-p1')).toMatchObject({ x0: 14 })
    expect(placeOf(s, 'fastener:nope')).toBeUndefined()
  })
})

describe('the middle of what is turned, against thin slices', () => {
  const taper = (outer: [number, number][], bore: [number, number][]) => {
    const s = tube([[100, 40, 20]])
    s.hilt.sections[0]!.outerProfile = outer.map(([x, d]) => ({ x, d }))
    s.hilt.sections[0]!.boreProfile = bore.map(([x, d]) => ({ x, d }))
    return s
  }
  /** Σ slices of the wall, each a millionth of the length thick. */
  const sliced = (outer: [number, number][], bore: [number, number][]) => {
    const at = (list: [number, number][], x: number) => {
      const i = list.findIndex(([q], k) => k > 0 && x <= q && list[k - 1]![0] < q)
      const [[x0, d0], [x1, d1]] = [list[i - 1]!, list[i]!]
      return d0 + ((d1 - d0) * (x - x0)) / (x1 - x0)
    }
    let [m, mx] = [0, 0]
    for (let k = 0; k < 20_000; k++) {
      const x = (k + 0.5) / 200
      const wall = at(outer, x) ** 2 - at(bore, x) ** 2
      m += wall
      mx += wall * x
    }
    return mx / m
  }
  const straight: [number, number][] = [
    [0, 20],
    [100, 20],
  ]
  test.each<[string, [number, number][], [number, number][]]>([
    [
      'a tube',
      [
        [0, 40],
        [100, 40],
      ],
      straight,
    ],
    [
      'a cone',
      [
        [0, 30],
        [100, 44],
      ],
      straight,
    ],
    [
      'a step',
      [
        [0, 30],
        [60, 30],
        [60, 44],
        [100, 44],
      ],
      straight,
    ],
    [
      'a bore that opens',
      [
        [0, 44],
        [100, 44],
      ],
      [
        [0, 12],
        [40, 12],
        [40, 30],
        [100, 36],
      ],
    ],
  ])('%s', (_what, outer, bore) => {
    const s = taper(outer, bore)
    for (const weighed of [false, true]) {
      if (weighed) s.hilt.sections[0]!.mass = fact(200, 'g', 'measured')
      const b = balance(s)
      expect(b.centre.ok && b.centre.value).toBeCloseTo(sliced(outer, bore), 2)
    }
  })
  test('what is not weighed, or has no place, is said; a tool is no part of the weight', () => {
    const s = done()
    const notes = () => {
      const b = balance(s)
      return b.centre.ok
        ? b.centre.inputs.filter((i) => i.text.endsWith('not counted')).map((i) => `${i.name}: ${i.text}`)
        : []
    }
    expect(notes()).toEqual([])
    const cell = s.parts.find((p) => p.kind === 'cell')!
    const mass = cell.specs.mass!
    delete cell.specs.mass
    s.parts.push({ id: 'tool', kind: 'tool', name: 'a key', specs: {} })
    expect(notes()).toEqual([`${cell.name}: not weighed: not counted`])
    expect(balance(s).centre).toMatchObject({ about: true })
    cell.specs.mass = mass
    delete cell.at
    expect(notes()).toEqual([`${cell.name}: without a place: not counted`])
  })
})

describe('a blade on the balance', () => {
  /** A tube of 200 mm with a socket of 30 mm at its emitter end, and a weighed blade in it. */
  function laden(mass: number, length: number) {
    const s = tube([[200, 34, 26]])
    s.hilt.sections[0]!.mass = fact(300, 'g', 'measured')
    s.hilt.sockets.push({ ...structuredClone(done().hilt.sockets[0]!), id: 'k', section: 's0', retention: [] })
    s.hilt.sockets[0]!.depth = fact(30, 'mm', 'measured')
    const blade = { ...structuredClone(done().blades[0]!), id: 'b', socket: 'k' }
    return { s, blade: { ...blade, mass: fact(mass, 'g', 'measured'), length: fact(length, 'mm', 'measured') } }
  }
  const centre = (b: ReturnType<typeof balance>) => (b.centre.ok ? b.centre.value : Number.NaN)
  test('lies before the hilt: from the bottom of its socket on towards its tip', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 400 }), fc.integer({ min: 100, max: 1100 }), (mass, length) => {
        const { s, blade } = laden(mass, length)
        // By hand: the hilt in its middle, the tube in its own, which begins 30 mm behind the rim.
        expect(centre(balance(s, [blade]))).toBeCloseTo((300 * 100 + mass * (170 + length / 2)) / (300 + mass), 6)
      }),
    )
  })
  test('and so does the tube that nobody weighed, by its size', () => {
    const { s, blade } = laden(1, 800)
    const { mass: _m, ...tubeAlone } = blade
    const whole = { ...tubeAlone, outside: fact(25.4, 'mm', 'measured'), wall: fact(2, 'mm', 'measured') }
    const grams = (Math.PI / 4) * (2.54 ** 2 - 2.14 ** 2) * 80 * 1.2
    expect(centre(balance(s, [whole]))).toBeCloseTo((300 * 100 + grams * 570) / (300 + grams), 6)
  })
})
