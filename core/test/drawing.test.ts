import { describe, expect, test } from '@jest/globals'
import { cadOf, drawSection, drawUnrolled, type Prim, type Scene } from '@nubrin/core/drawing'
import { fact, known } from '@nubrin/core/facts'
import { crossSectionAt, layOut, lieOf, spanOf } from '@nubrin/core/geometry'
import { kindRule, type Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { drawn } from './drawn'
import { kindOfOrder, ORDERS } from './orders'
import { demo, done, TODAY, tube } from './samples'

const VIEW = { width: 1240, height: 262 }
const sabers = demoCommissions(TODAY).flatMap((c) => c.sabers)
const mm = (v: number) => fact(v, 'mm', 'measured')
/** Height above the axis of a point on the page, mm. */
const up = (s: Scene, py: number) => (s.axisY - py) / s.scale
/** The box of a thing's own shapes, back in millimetres. */
function boxOf(s: Scene, ref: string, role?: string) {
  const prims = s.prims.filter(
    (p): p is Extract<Prim, { t: 'path' }> => p.t === 'path' && p.ref === ref && (!role || p.role === role),
  )
  const pts = prims.flatMap((p) => p.pts)
  if (!pts.length) return undefined
  const [xs, ys] = [pts.map((p) => s.mm(p[0])), pts.map((p) => up(s, p[1]))]
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) }
}

describe('the section, read back in millimetres', () => {
  test('each wall stands between bore and outside, over its section, above and below alike', () => {
    for (const s of sabers) {
      const scene = drawSection(MAKER, s, VIEW)
      for (const p of layOut(s.hilt).sections) {
        const ref = `section:${p.section.id}`
        const box = boxOf(scene, ref, 'wall')!
        const most = Math.max(...p.outer.flatMap((o) => [o.d0, o.d1])) / 2
        expect(box.x0).toBeCloseTo(p.x0, 6)
        expect(box.x1).toBeCloseTo(p.x1, 6)
        expect(box.y1).toBeCloseTo(most, 6)
        expect(box.y0).toBeCloseTo(-most, 6)
        for (const wall of scene.prims)
          if (wall.t === 'path' && wall.ref === ref && wall.role === 'wall')
            for (const [px, py] of wall.pts) {
              const at = scene.mm(px)
              const r = Math.abs(up(scene, py))
              const fits = (list: typeof p.outer) =>
                list.some(
                  (q) =>
                    at >= q.x0 - 1e-6 &&
                    at <= q.x1 + 1e-6 &&
                    Math.abs(r - (q.d0 + ((q.d1 - q.d0) * (at - q.x0)) / (q.x1 - q.x0 || 1)) / 2) < 1e-6,
                )
              expect(`${ref} ${fits(p.outer) || fits(p.bore)}`).toBe(`${ref} true`)
            }
      }
    }
  })
  test('a step is upright, a taper leans: a pommel of 30 that narrows to 20', () => {
    const s = tube([
      [40, 36, 20],
      [60, 34, 20],
    ])
    s.hilt.sections[0]!.outerProfile = [
      { x: 0, d: 36 },
      { x: 10, d: 36 },
      { x: 10, d: 30 },
      { x: 40, d: 24 },
    ]
    const scene = drawSection(MAKER, s, VIEW)
    const outline = scene.prims.find((p) => p.t === 'path' && p.role === 'outline') as Extract<Prim, { t: 'path' }>
    const pts = outline.pts.map(([px, py]) => [scene.mm(px), 2 * up(scene, py)].map((v) => Number(v.toFixed(4))))
    for (const [x, d] of [
      [0, 36],
      [10, 36],
      [10, 30],
      [40, 24],
    ])
      expect(pts).toContainEqual([x, d])
  })
  test('what is assumed is dashed, what is unknown dotted, what is measured drawn', () => {
    const s = tube([
      [40, 36, 20],
      [60, 34, 20],
      [null, 34, 20],
    ])
    s.hilt.sections[1]!.length = fact(60, 'mm', 'assumed')
    s.hilt.sections[0]!.length = mm(40)
    for (const x of s.hilt.sections) {
      x.outside = mm(34)
      x.bore = mm(20)
    }
    const roles = drawSection(MAKER, s, VIEW).prims.flatMap((p) =>
      p.t === 'path' && ['outline', 'assumed', 'unknown'].includes(p.role) ? [p.role] : [],
    )
    expect([...new Set(roles)]).toEqual(['outline', 'assumed', 'unknown'])
  })
  test('the dimension over each section says its length, with a mark where it is not measured', () => {
    const scene = drawSection(MAKER, demo('cinder-oath').sabers[0]!, VIEW)
    const said = scene.prims.flatMap((p) => (p.t === 'text' && p.role.startsWith('dimText') ? [[p.text, p.role]] : []))
    expect(said).toEqual(
      expect.arrayContaining([
        ['36', 'dimText'],
        ['≈ 108', 'dimTextAbout'],
        ['≈ 24', 'dimTextAbout'],
        ['58', 'dimText'],
      ]),
    )
  })
  test('a blade stands in its seat with its own diameter and runs off the page', () => {
    const s = done()
    const scene = drawSection(MAKER, s, { ...VIEW, blade: '#10d8b0' })
    const box = boxOf(scene, `blade:${s.blades[0]!.id}`)!
    const depth = known(s.hilt.sockets[0]!.depth)!
    expect(box.y1 - box.y0).toBeCloseTo(known(s.blades[0]!.outside)!, 6)
    expect(box.x0).toBeCloseTo(layOut(s.hilt).length - depth, 6)
    expect(box.x1).toBeGreaterThan(layOut(s.hilt).length + 40)
  })
  test('zoomed, a millimetre is that much larger and the wanted place is in sight', () => {
    const s = done()
    const [whole, close] = [drawSection(MAKER, s, VIEW), drawSection(MAKER, s, { ...VIEW, zoom: 3, centre: 120 })]
    expect(close.scale / whole.scale).toBeCloseTo(3, 6)
    expect(close.x(120)).toBeGreaterThan(0)
    expect(close.x(120)).toBeLessThan(VIEW.width)
    expect(close.mm(close.x(77))).toBeCloseTo(77, 9)
  })
  test('nothing at all is an axis; twelve sections without a size are still drawn', () => {
    expect(drawSection(MAKER, tube([]), VIEW).prims.map((p) => p.t === 'path' && p.role)).toEqual(['centre'])
    const twelve = tube(Array.from({ length: 12 }, (): [null, number, number] => [null, 34, 20]))
    for (const p of drawSection(MAKER, twelve, VIEW).prims)
      for (const v of p.t === 'path' ? p.pts.flat() : p.at) expect(Number.isFinite(v)).toBe(true)
  })
})

describe('one rule says where a part lies', () => {
  const boxed = (s: Saber) =>
    s.parts.filter((p) => {
      const { glyph, inside } = kindRule(p.kind)
      return (
        spanOf(p) &&
        inside &&
        !['dot', 'frame', 'knob'].includes(glyph) &&
        known(p.specs.diameter ?? p.specs.height) !== undefined
      )
    })
  test('section, cut and CAD put every part of every demo saber at the same height', () => {
    let seen = 0
    for (const s of sabers) {
      const scene = drawSection(MAKER, s, VIEW)
      const cad = cadOf(s).entities.flatMap((e) => (e.t === 'poly' && e.layer === 'PARTS' ? [e.pts] : []))
      for (const p of boxed(s)) {
        const span = spanOf(p)!
        const spot = scene.spots.find((q) => q.ref === `part:${p.id}`)!
        const drawn = (up(scene, spot.y0) + up(scene, spot.y1)) / 2
        const { height, turn } = lieOf(s, p)
        expect(`${p.name} ${drawn.toFixed(4)}`).toBe(
          `${p.name} ${(height * Math.sign(Math.cos((turn * Math.PI) / 180)) || 0).toFixed(4)}`,
        )
        for (const at of [span.x0 + 0.1, (span.x0 + span.x1) / 2, span.x1 - 0.1]) {
          const lying = crossSectionAt(s, at)?.lying.find((l) => l.ref === `part:${p.id}`)
          if (lying) expect(`${p.name} ${lying.y.toFixed(6)}`).toBe(`${p.name} ${height.toFixed(6)}`)
        }
        expect(
          cad.some(
            (pts) =>
              pts.some(([x]) => Math.abs(x - span.x0) < 1e-6) && Math.abs((pts[0]![1] + pts[2]![1]) / 2 - drawn) < 1e-6,
          ),
        ).toBe(true)
        seen++
      }
    }
    expect(seen).toBeGreaterThan(20)
  })
  const hilt = () => {
    const s = tube([[200, 36, 31]])
    s.hilt.clearance = mm(0.5)
    const put = (
      id: string,
      kind: 'cell' | 'board' | 'display' | 'speaker',
      specs: Saber['parts'][number]['specs'],
      more = {},
    ) => s.parts.push({ id, kind, name: id, specs, at: mm(40), ...more })
    return { s, put, of: (id: string) => lieOf(s, s.parts.find((p) => p.id === id)!) }
  }
  const CELL = { diameter: mm(18), length: mm(65) }
  const BOARD = { length: mm(50), width: mm(20), height: mm(4) }
  test('a lone cell is on the axis; one with a board lies on the wall, the board on it', () => {
    const { put, of } = hilt()
    put('cell', 'cell', CELL)
    expect(of('cell').height).toBe(0)
    put('board', 'board', BOARD, { beside: 'cell' })
    // Free radius 31/2 − 0.5 = 15: the cell of 9 lies at −6, its top at 3; then air and half the board.
    expect(of('cell').height).toBeCloseTo(-6, 9)
    expect(of('board').height).toBeGreaterThan(3 + 2)
    expect(of('board').height).toBeLessThan(3 + 2 + 1)
  })
  test('a lone cell gives way to what reaches in, only as far as it must, and away from where it hangs', () => {
    const { s, put, of } = hilt()
    put('cell', 'cell', CELL)
    put('display', 'display', { length: mm(30), width: mm(12), height: mm(9) }, { clock: fact(0, 'deg', 'measured') })
    // The display's edges rest on the bore of 31; 0.4 of air, 9 of display and 0.5 of clearance under them; the cell needs 9.
    const face = Math.sqrt(15.5 ** 2 - 6 ** 2) - 0.4 - 9 - 0.5
    expect(of('cell').height).toBeCloseTo(-(9 - face), 6)
    s.parts.find((p) => p.id === 'display')!.clock = fact(180, 'deg', 'measured')
    expect(of('cell').height).toBeCloseTo(9 - face, 6)
    s.parts.find((p) => p.id === 'display')!.at = mm(150)
    expect(of('cell').height).toBe(0)
  })
  test('a speaker stays on the axis whatever reaches in; a part without a place lies nowhere else', () => {
    const { s, put, of } = hilt()
    put('cone', 'speaker', { diameter: mm(24), length: mm(6) })
    put('display', 'display', { length: mm(30), width: mm(12), height: mm(9) }, { clock: fact(0, 'deg', 'measured') })
    expect(of('cone').height).toBe(0)
    delete s.parts[0]!.at
    expect(of('cone')).toEqual({ height: 0, aside: 0, turn: 0 })
  })
  test('a chassis takes its wall from the room that the cell lies in', () => {
    const { s, put, of } = hilt()
    put('cell', 'cell', CELL)
    put('board', 'board', BOARD, { beside: 'cell' })
    s.parts.push({ id: 'ch', kind: 'chassis', name: 'ch', specs: { length: mm(120), wall: mm(2) }, at: mm(20) })
    expect(of('cell').height).toBeCloseTo(-4, 9)
  })
})

describe('the unrolled surface', () => {
  test('a screw stands where its place and clock angle put it; the switch line is 0', () => {
    const s = done()
    const scene = drawUnrolled(MAKER, s, { width: 900, height: 226 })
    for (const f of s.hilt.fasteners) {
      const spot = scene.spots.find((q) => q.ref === `fastener:${f.id}`)!
      const at = (spot.x0 + spot.x1) / 2
      expect(scene.mm(at)).toBeCloseTo(known(f.at)!, 6)
      const clock = scene.clock(at, (spot.y0 + spot.y1) / 2)!
      const off = ((((clock - known(f.clock)!) % 360) + 540) % 360) - 180
      expect(Math.abs(off)).toBeLessThan(0.01)
    }
  })
})

describe('words on a drawing', () => {
  /** The boxes of what is written, a little within what its letters take, px. */
  const written = (scene: Scene) =>
    scene.prims.flatMap((p) => {
      if (p.t !== 'text') return []
      const wide = p.text.length * 5
      const x0 = p.anchor === 'start' ? p.at[0] : p.anchor === 'end' ? p.at[0] - wide : p.at[0] - wide / 2
      return [{ text: p.text, x0, x1: x0 + wide, y0: p.at[1] - 7, y1: p.at[1] }]
    })
  const faults = (scene: Scene) => {
    const all = written(scene)
    return [
      ...all.filter((a) => a.x0 < 0 || a.x1 > scene.width).map((a) => `${a.text} leaves the page`),
      ...all.flatMap((a, i) =>
        all
          .slice(i + 1)
          .filter((b) => a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1)
          .map((b) => `${a.text} over ${b.text}`),
      ),
    ]
  }
  test.each(drawn(ORDERS, 1 / 2, (o) => [kindOfOrder(o as never)]))('%s: none lie over others', (_what, make) => {
    for (const s of make().sabers)
      for (const [width, height] of [
        [1240, 262],
        [720, 240],
      ] as const) {
        expect([width, faults(drawSection(MAKER, s, { width, height }))]).toEqual([width, []])
        expect([width, faults(drawUnrolled(MAKER, s, { width, height }))]).toEqual([width, []])
      }
  })
})
