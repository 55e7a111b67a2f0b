import { describe, expect, test } from '@jest/globals'
import { cropped, drawSection, numbered, type Prim, type Scene } from '@nubrin/core/drawing'
import { actScenes, barShares, farthestOf, frozenOf, handedSaber, takenApart } from '@nubrin/core/handoff'
import { fontOf, type Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { tries } from './drawn'
import { playing } from './playing'
import { demo, done } from './samples'

const SIZE = { width: 900, height: 300 }
const words = (s: Scene) => s.prims.flatMap((p) => (p.t === 'text' ? [p.text] : []))
const numbers = (s: Scene) => words(s).filter((t) => /^\d+(, \d+)*$/.test(t))
const spot = (s: Scene, ref: string) => s.spots.find((x) => x.ref === ref)!
const ends = (p: Prim): [number, number][] =>
  p.t === 'path' ? (p.pts as [number, number][]) : [p.at as [number, number]]

describe('numbers on a drawing', () => {
  const scene = drawSection(MAKER, done(), { width: 900, height: 260 })
  const refs = scene.spots.map((x) => x.ref)
  /** The marks: a box and its words. */
  const marks = (s: Scene) => {
    const fresh = s.prims.slice(scene.prims.length)
    return fresh.flatMap((p) => (p.t === 'path' && p.role === 'metal' ? [{ x0: p.pts[0]![0], x1: p.pts[1]![0] }] : []))
  }
  test('each stands once above what it is of, several of one place in one mark, none on another, all on the page', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...refs), { minLength: 1, maxLength: 14 }), (list) => {
        const out = numbered(
          scene,
          list.map((ref, i) => ({ ref, n: i + 1 })),
        )
        const fresh = out.prims.slice(scene.prims.length).flatMap((p) => (p.t === 'text' ? [p.text] : []))
        expect(fresh.flatMap((t) => t.split(', ').map(Number)).sort((a, b) => a - b)).toEqual(list.map((_, i) => i + 1))
        expect(fresh).toHaveLength(new Set(list).size)
        const boxes = marks(out).sort((a, b) => a.x0 - b.x0)
        for (const [i, b] of boxes.entries()) {
          expect(b.x0).toBeGreaterThanOrEqual(0)
          if (i) expect(b.x0).toBeGreaterThan(boxes[i - 1]!.x1)
        }
      }),
    )
  })
  test('where there is room each stands straight above its own', () => {
    const out = numbered(scene, [
      { ref: 'part:rw-p2', n: 1 },
      { ref: 'part:rw-p6', n: 2 },
    ])
    const [cell, board] = marks(out)
    const middle = (ref: string) => (spot(scene, ref).x0 + spot(scene, ref).x1) / 2
    expect((cell!.x0 + cell!.x1) / 2).toBeCloseTo(middle('part:rw-p2'), 6)
    expect((board!.x0 + board!.x1) / 2).toBeCloseTo(middle('part:rw-p6'), 6)
  })
  test('what is drawn nowhere is not marked', () => {
    expect(numbered(scene, [{ ref: 'part:nowhere', n: 1 }]).prims).toEqual(scene.prims)
  })
})

describe('a drawing on no more paper than it needs', () => {
  const scene = drawSection(MAKER, done(), { width: 900, height: 400 })
  test('nothing but the axis reaches beyond it, nothing moves against anything else, and air is left round it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30 }), (air) => {
        const out = cropped(scene, air)
        const [dx, dy] = [
          ends(scene.prims[1]!)[0]![0] - ends(out.prims[1]!)[0]![0],
          ends(scene.prims[1]!)[0]![1] - ends(out.prims[1]!)[0]![1],
        ]
        let [top, bottom, moved] = [Infinity, -Infinity, 0]
        out.prims.forEach((p, i) => {
          const was = ends(scene.prims[i]!)
          ends(p).forEach(([x, y], k) => {
            moved = Math.max(moved, Math.abs(was[k]![0] - x - dx), Math.abs(was[k]![1] - y - dy))
            if (p.t === 'path' && p.role === 'centre') return
            top = Math.min(top, y)
            bottom = Math.max(bottom, y)
          })
        })
        expect(moved).toBeLessThan(1e-6)
        expect(out.height).toBeLessThan(scene.height)
        expect(top).toBeGreaterThanOrEqual(Math.min(air, 1))
        expect(out.height - bottom).toBeGreaterThanOrEqual(Math.min(air, 1))
        expect(out.axisY).toBeCloseTo(scene.axisY - dy, 6)
        expect(out.mm(out.x(40))).toBeCloseTo(40, 6)
      }),
      { numRuns: tries(20, 8) },
    )
  })
  test('it ends where what is drawn ends, and at its page', () => {
    const at = fc.tuple(fc.integer({ min: 0, max: 600 }), fc.integer({ min: 0, max: 300 }))
    const drawnOf = fc.array(fc.tuple(at, fc.constantFrom('line', 'circle', 'start', 'middle')), {
      ...{ minLength: 1, maxLength: 6 },
    })
    fc.assert(
      fc.property(drawnOf, fc.integer({ min: 0, max: 20 }), (list, air) => {
        // As far as each reaches to its four sides: a line of 40 × 10, a disk of 15, twenty letters of 5.6 in a line of 16.
        const reach = {
          line: [0, 40, 0, 10],
          circle: [15, 15, 15, 15],
          start: [112, 112, 8, 8],
          middle: [56, 56, 8, 8],
        }
        const prims = list.map(([[x, y], kind]): Prim => {
          if (kind === 'line')
            return {
              t: 'path',
              role: 'metal',
              closed: false,
              pts: [
                [x, y],
                [x + 40, y + 10],
              ],
            } as never
          if (kind === 'circle') return { t: 'circle', role: 'metal', at: [x, y], r: 15 } as never
          return { t: 'text', role: 'label', at: [x, y], text: 'a'.repeat(20), anchor: kind } as never
        })
        const far = (side: number, sign: 1 | -1) =>
          list.map(([p, kind]) => p[side < 2 ? 0 : 1]! + sign * reach[kind as 'line'][side]! + sign * air)
        const [left, right] = [Math.max(0, Math.min(...far(0, -1))), Math.min(900, Math.max(...far(1, 1)))]
        const [top, bottom] = [Math.max(0, Math.min(...far(2, -1))), Math.min(400, Math.max(...far(3, 1)))]
        const out = cropped({ ...scene, prims }, air)
        expect([out.width, out.height]).toEqual([expect.closeTo(right - left, 6), expect.closeTo(bottom - top, 6)])
        expect(out.x(10)).toBeCloseTo(scene.x(10) - left, 6)
      }),
      { numRuns: tries(200, 60) },
    )
  })
  test('an empty one stays as it is', () => {
    const empty = { ...scene, prims: [] }
    expect(cropped(empty, 4)).toBe(empty)
  })
})

describe('a saber taken apart', () => {
  const far = (s: Saber) => farthestOf(frozenOf(MAKER, s), s.id)!
  const drawnOf = (s: Saber) => takenApart(MAKER, s, far(s), SIZE)
  test('as its procedure leaves it: pommel, chassis and cell, numbered as the hands go', () => {
    const scene = drawnOf(done())
    expect(
      numbers(scene)
        .flatMap((x) => x.split(', '))
        .sort(),
    ).toEqual(['1', '2', '3', '4'])
    // The cell lies above the chassis that it came out of, the pommel before both.
    const [pommel, chassis, cell] = ['section:rw-pommel', 'part:rw-p10', 'part:rw-p2'].map((r) => spot(scene, r))
    expect(cell!.y1).toBeLessThan(chassis!.y1)
    expect(pommel!.x1).toBeLessThan(chassis!.x0)
    expect(chassis!.x1).toBeLessThan(spot(scene, 'section:rw-grip').x0)
  })
  test('it is drawn from what was issued, on the saber as a client’s page has it', () => {
    const s = done()
    expect(takenApart(MAKER, handedSaber(s), far(s), SIZE).spots.map((x) => x.ref)).toEqual(
      drawnOf(s).spots.map((x) => x.ref),
    )
  })
  test('where nothing comes out by the client’s hands there is nothing to draw', () => {
    const s: Saber = demo('first-lantern').sabers[0]!
    s.access = []
    s.hilt.sections = []
    expect(far(s)).toBeUndefined()
  })
  test('each act is drawn as it lies after it, all to one scale', () => {
    const s = done()
    const scenes = actScenes(MAKER, s, far(s), SIZE)
    expect(scenes).toHaveLength(far(s).acts.length)
    expect(new Set(scenes.map((x) => x.scale.toFixed(6))).size).toBe(1)
    const chassis = scenes.map((x) => spot(x, 'part:rw-p10').x0)
    expect(chassis[2]!).toBeLessThan(chassis[1]! - 20)
    expect(chassis.at(-1)).toBeCloseTo(chassis[0]!, 6)
  })
})

describe('what is heard on the client’s page', () => {
  test('sounds travel only where their licence lets them be copied, and without their names', () => {
    const s = done()
    s.presets.forEach((p, i) => {
      const sound = {
        id: `snd-${i}`,
        event: 'ignite' as const,
        name: 'secret-take.wav',
        media: 'a'.repeat(64),
        peakDb: -1,
      }
      playing(s, p, [sound], i === 1 ? { mayCopy: true } : {})
    })
    const handed = handedSaber(s)
    const heard = handed.presets.map((p) => fontOf(handed, p)!.sounds)
    expect(heard.map((x) => x.length)).toEqual([0, 1, 0])
    expect(heard[1]!).toEqual([{ id: 'snd-1', event: 'ignite', name: '', media: 'a'.repeat(64) }])
    expect(JSON.stringify(handed)).not.toContain('secret-take')
  })
})

describe('the bar of a test', () => {
  const number = fc.double({ min: -1e6, max: 1e6, noNaN: true })
  test('what is larger stands further right, all of it within the bar; good is what lies within what was wanted', () => {
    fc.assert(
      fc.property(number, number, number, number, (a, b, computed, found) => {
        const [min, max] = [Math.min(a, b), Math.max(a, b)]
        const s = barShares({ min, max, computed, found })
        const all = [s.from, s.to, s.computed!, s.found!]
        for (const x of all) expect(x >= 0 && x <= 1).toBe(true)
        expect(s.from).toBeLessThanOrEqual(s.to)
        if (found < computed) expect(s.found!).toBeLessThanOrEqual(s.computed!)
        expect(s.good).toBe(found >= min && found <= max)
      }),
    )
  })
  test('an open end reaches the edge; nothing found is not good', () => {
    expect(barShares({ min: 2, found: 3 })).toMatchObject({ to: 1, good: true })
    expect(barShares({ max: 2, found: 3 })).toMatchObject({ from: 0, good: false })
    expect(barShares({ min: 1, max: 2 }).good).toBe(false)
  })
})
