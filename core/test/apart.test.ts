import { describe, expect, test } from '@jest/globals'
import { drawSection } from '@nubrin/core/drawing'
import { layOut, spanOf } from '@nubrin/core/geometry'
import { apartIn, type Body, errand, goalsOf, machineOf, runAll, type State } from '@nubrin/core/machine'
import type { Saber } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { drawn } from './drawn'
import { done, TODAY } from './samples'

const sabers = demoCommissions(TODAY).flatMap((c) => c.sabers.map((s): [string, Saber] => [s.name, s]))
const spansOf = (s: Saber) => new Map(layOut(s.hilt).sections.map((p) => [`section:${p.section.id}`, p]))
const apart = (s: Saber, off: string[], more: Partial<State> = {}) => {
  const { assembly, rest } = machineOf(s)
  return apartIn(s, assembly, { ...rest, off: [...rest.off, ...(off as Body[])], ...more })
}
const where = (s: Saber, a: ReturnType<typeof apart>, ref: string) => {
  const p = spansOf(s).get(ref) ?? spanOf(s.parts.find((x) => `part:${x.id}` === ref)!)!
  const dx = a.moved[ref]?.dx ?? 0
  return { x0: p.x0 + dx, x1: p.x1 + dx }
}

describe('a saber that lies apart', () => {
  test('closed it lies as it is, but for blades that are not in', () => {
    const a = apart(done(), [])
    expect(a.moved).toEqual({})
    expect(a.gone).toEqual(['blade:rw-b1'])
    expect([a.from, a.to]).toEqual([0, 255])
  })
  test('the cell lies between the hilt and the pommel, and nothing touches', () => {
    const s = done()
    const a = apart(s, ['section:rw-pommel', 'part:rw-p2'])
    const [pommel, cell, grip] = ['section:rw-pommel', 'part:rw-p2', 'section:rw-grip'].map((r) => where(s, a, r))
    expect(pommel!.x1).toBeLessThan(cell!.x0)
    expect(cell!.x1).toBeLessThan(grip!.x0)
    expect(a.from).toBeCloseTo(pommel!.x0, 9)
    // What is in the pommel goes with it: the speaker; its vents too.
    expect(a.moved['part:rw-p1']).toEqual(a.moved['section:rw-pommel'])
    expect(a.moved['opening:rw-o1']).toEqual({ dx: a.moved['section:rw-pommel']!.dx, dy: 0 })
    expect(a.moved['part:rw-p4']).toBeUndefined()
  })
  test('a chassis takes along what lies in it, and leaves the buttons in the wall', () => {
    const s = structuredClone(done())
    s.parts.find((p) => p.kind === 'chassis')!.removable = true
    const a = apart(s, ['section:rw-pommel', 'part:rw-p10', 'part:rw-p2'])
    const chassis = a.moved['part:rw-p10']!
    expect(chassis.dx).toBeLessThan(-100)
    for (const p of ['rw-p3', 'rw-p4', 'rw-p14']) expect(a.moved[`part:${p}`]).toEqual(chassis)
    for (const p of ['rw-p8', 'rw-p9', 'rw-p6']) expect(a.moved[`part:${p}`]).toBeUndefined()
    // Lifted out of it the cell lies above its place in it.
    const lifted = apartIn(
      s,
      (() => {
        const { assembly } = machineOf(s)
        const j = assembly.joints['part:rw-p2']!
        j.ways = j.ways.filter((w) => w.towards === 'aside')
        return assembly
      })(),
      { ...machineOf(s).rest, off: ['blade:rw-b1', 'section:rw-pommel', 'part:rw-p10', 'part:rw-p2'] },
    )
    expect(lifted.moved['part:rw-p2']!.dx).toBeCloseTo(lifted.moved['part:rw-p10']!.dx, 9)
    expect(lifted.moved['part:rw-p2']!.dy).toBeGreaterThan(20)
  })
  test('sections lie in the order of the hilt, however they came off', () => {
    const s = done()
    for (const off of [
      ['section:rw-neck', 'section:rw-shroud'],
      ['section:rw-shroud', 'section:rw-neck'],
    ]) {
      const a = apart(s, off)
      const [grip, neck, shroud, emitter] = ['grip', 'neck', 'shroud', 'emitter'].map((n) =>
        where(s, a, `section:rw-${n}`),
      )
      expect(grip!.x1).toBeLessThan(neck!.x0)
      expect(neck!.x1).toBeLessThan(shroud!.x0)
      // The emitter hangs on the shroud.
      expect(a.moved['section:rw-emitter']).toEqual(a.moved['section:rw-shroud'])
      expect(emitter!.x1).toBeCloseTo(a.to, 9)
    }
  })
  test('a loose screw stands out of its hole, one that is out further; both on their own side', () => {
    const s = done()
    const up = (how: 'loose' | 'out') => apart(s, [], { screws: { 'rw-f1': how } }).moved['fastener:rw-f1']!.dy
    expect(up('loose')).toBeGreaterThan(0)
    expect(up('out')).toBeGreaterThan(up('loose'))
    const draw = (screws: State['screws']) => {
      const a = apart(s, [], { screws })
      const scene = drawSection(MAKER, s, { width: 1240, height: 262, apart: a, from: a.from, to: a.to })
      return scene.spots.filter((p) => p.ref.startsWith('fastener:')).map((p) => [p.ref, (p.y0 + p.y1) / 2] as const)
    }
    const [tight, loose] = [new Map(draw({})), new Map(draw({ 'rw-f1': 'out', 'rw-f2': 'out' }))]
    expect(loose.get('fastener:rw-f1')!).toBeLessThan(tight.get('fastener:rw-f1')!)
    expect(loose.get('fastener:rw-f2')!).toBeGreaterThan(tight.get('fastener:rw-f2')!)
    expect(loose.get('fastener:rw-f3')).toBe(tight.get('fastener:rw-f3'))
  })
  test.each(drawn(sabers, 1 / 4))(
    '%s: in every state of every errand all that is drawn stands on the bench, apart, to scale',
    (_n, s) => {
      const { assembly, rest } = machineOf(s)
      for (const g of goalsOf(s, assembly)) {
        const e = errand(assembly, rest, g)
        if (!e.ok) continue
        for (let n = 0; n <= e.acts.length; n++) {
          const { state } = runAll(assembly, e.from, e.acts.slice(0, n))
          const a = apartIn(s, assembly, state)
          const off = state.off.filter((b) => b.startsWith('section:'))
          const lying = [...spansOf(s).keys()].map((r) => ({ r, ...where(s, a, r) })).sort((p, q) => p.x0 - q.x0)
          for (const [i, p] of lying.entries()) {
            expect(p.x0).toBeGreaterThanOrEqual(a.from - 1e-6)
            expect(p.x1).toBeLessThanOrEqual(a.to + 1e-6)
            const next = lying[i + 1]
            // Two that came apart have air between them; others stand in each other as they did.
            if (next && (a.moved[p.r]?.dx ?? 0) !== (a.moved[next.r]?.dx ?? 0))
              expect(next.x0 - p.x1).toBeGreaterThan(10)
          }
          if (!off.length) expect(lying.every((p) => !a.moved[p.r])).toBe(true)
          const scene = drawSection(MAKER, s, { width: 1240, height: 262, apart: a, from: a.from, to: a.to })
          for (const p of scene.prims)
            if (p.t === 'path') for (const q of p.pts) expect(Number.isFinite(q[0] + q[1])).toBe(true)
        }
      }
    },
  )
})
