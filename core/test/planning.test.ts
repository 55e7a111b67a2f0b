import { describe, expect, test } from '@jest/globals'
import { fact, known } from '@nubrin/core/facts'
import {
  axialSlack,
  changeText,
  gapsAlong,
  gaveUpWords,
  type Layout,
  type LayoutProblem,
  layoutFacts,
  layoutWords,
  reviewLayout,
  seatAll,
  spacersFor,
  verdictWords,
} from '@nubrin/core/fit'
import { cavityOf, spanOf } from '@nubrin/core/geometry'
import { readCommission } from '@nubrin/core/import'
import { fitFrom, GENERIC_CATALOGUE } from '@nubrin/core/parts'
import { blankCommission, nameOf, type Saber } from '@nubrin/core/record'
import fc from 'fast-check'
import { demo, done, TODAY, tube } from './samples'

const mm = (v: number) => fact(v, 'mm')
const row = (id: string) => GENERIC_CATALOGUE.find((r) => r.id === id)!
const ids = () => {
  let n = 0
  return () => `new-${n++}`
}
/** A plain tube with spacers of some thickness at some places, which may lie over one another. */
const stack = (lies: readonly { x: number; l: number }[], bore = 30): Saber => {
  const s = tube([
    [40, 36, bore],
    [160, 36, bore],
  ])
  s.hilt.clearance = mm(0)
  s.parts = lies.map(({ x, l }, i) => ({
    ...{ id: `d${i}`, kind: 'spacer', name: `disc ${i}` },
    ...{ specs: { length: mm(l), diameter: mm(20) }, at: mm(x) },
  }))
  return s
}
const lying = fc.array(fc.record({ x: fc.integer({ min: 0, max: 190 }), l: fc.integer({ min: 1, max: 60 }) }), {
  maxLength: 6,
})

describe('gaps and spacers', () => {
  test('every half millimetre of the axis is in a gap or under something, and in one only', () => {
    fc.assert(
      fc.property(lying, (lies) => {
        const gaps = gapsAlong(stack(lies))
        const wrong: number[] = []
        for (let x = 0.25; x < 200; x += 0.5) {
          const under = lies.some((q) => x > q.x && x < q.x + q.l)
          if (gaps.filter((g) => x > g.lo && x < g.hi).length !== (under ? 0 : 1)) wrong.push(x)
        }
        expect(wrong).toEqual([])
        for (const g of gaps) expect(g.hi).toBeGreaterThan(g.lo)
      }),
    )
  })
  test('filled, no gap of two millimetres is left, and none is filled beyond what closes', () => {
    fc.assert(
      fc.property(lying, fc.double({ min: 0, max: 3, noNaN: true }), (lies, tol) => {
        // Only stacks in which nothing lies over anything or sticks out: the others do not close at all.
        const sorted = lies.toSorted((a, b) => a.x - b.x)
        fc.pre(sorted.every((q, i) => q.x + q.l <= (sorted[i + 1]?.x ?? 200)))
        const s = stack(lies)
        s.hilt.sections[1]!.length.tol = tol
        const put = spacersFor(s, ids(), TODAY)
        const filled = { ...s, parts: [...s.parts, ...put] }
        const [before, after] = [axialSlack(s), axialSlack(filled)]
        if (!before.nominal.ok || !after.nominal.ok) throw new Error('not calculable')
        expect(after.nominal.value).toBeGreaterThanOrEqual(Math.min(before.nominal.value, tol) - 1e-6)
        for (const p of put) {
          const { x0, x1 } = spanOf(p)!
          for (const q of s.parts) {
            const o = spanOf(q)!
            expect(Math.min(x1, o.x1) - Math.max(x0, o.x0)).toBeLessThan(1e-6)
          }
          expect(known(p.specs.diameter)).toBeCloseTo(29.6, 6)
          expect(p.name).toContain(String(known(p.specs.length)))
        }
        // Each spacer gives up at most a tenth to rounding, and one gives up the tolerance.
        for (const g of gapsAlong(filled)) expect(g.hi - g.lo).toBeLessThan(2 + tol + 0.1 * put.length + 1e-6)
      }),
    )
  })
  test('where a bore is not measured nothing is cut', () => {
    const s = stack([{ x: 10, l: 20 }])
    s.hilt.sections[1]!.bore = fact(null, 'mm')
    expect(spacersFor(s, ids(), TODAY)).toEqual([])
  })
  test('a spacer passes under what reaches in from the wall', () => {
    const s = stack([{ x: 0, l: 20 }])
    s.parts.push({
      ...{ id: 'sw', kind: 'switch', name: 'button', at: mm(90), clock: fact(0, 'deg') },
      specs: { length: mm(10), diameter: mm(10), height: mm(9) },
    })
    // 9 under an outside of 36: 9 from the axis; 2 · 9 − 0.4 of air.
    expect(cavityOf(s).keeps).toMatchObject([{ inner: 9 }])
    expect(known(spacersFor(s, ids(), TODAY)[0]!.specs.diameter)).toBeCloseTo(17.6, 6)
  })
})

describe('a chosen layout rests on its facts', () => {
  test('each of them, changed, is named with its place, and nothing else is', () => {
    const chosen = () => {
      const s = done()
      s.decisions = [
        { ...{ id: 'choice', on: TODAY, by: 'Osk', chose: 'as drawn', why: 'it fits' }, layout: layoutFacts(s) },
      ]
      return s
    }
    const facts = Object.entries(layoutFacts(done())).filter(([, v]) => typeof v === 'number')
    expect(facts.length).toBeGreaterThan(20)
    for (const [key, value] of facts) {
      const s = chosen()
      const [ref, field] = [key.slice(0, key.lastIndexOf('.')), key.slice(key.lastIndexOf('.') + 1)]
      const [kind, id] = ref.split(':')
      const list: { id: string }[] =
        kind === 'section' ? s.hilt.sections : kind === 'socket' ? s.hilt.sockets : (s.parts as { id: string }[])
      const thing = list.find((x) => x.id === id) as Record<string, unknown> & { specs?: Record<string, unknown> }
      const holder = field !== 'at' && thing.specs?.[field] ? thing.specs : thing
      holder[field] = mm(Number(value) + 0.7)
      const { changed } = reviewLayout(s)!
      expect(changed).toMatchObject([{ ref }])
      expect(changeText(changed[0]!)).toMatch(/ → /)
      expect(changeText(changed[0]!).startsWith(nameOf(s, ref)!)).toBe(true)
    }
  })
  test('another part, a part gone, and a part come in', () => {
    const s = done()
    s.decisions = [
      { ...{ id: 'choice', on: TODAY, by: 'Osk', chose: 'as drawn', why: 'it fits' }, layout: layoutFacts(s) },
    ]
    const speaker = s.parts.find((p) => p.kind === 'speaker')!
    s.parts = s.parts.map((p) => (p.id === speaker.id ? { ...fitFrom(row('speaker-24-4-3'), p.id), at: p.at! } : p))
    expect(reviewLayout(s)!.changed.map(changeText)).toContainEqual(
      `Speaker 24 mm, 4 Ω 3 W: part ${speaker.name} → Speaker 24 mm, 4 Ω 3 W`,
    )
    s.parts = s.parts.filter((p) => p.id !== speaker.id)
    expect(reviewLayout(s)!.changed.map(changeText)).toContainEqual(expect.stringMatching(/^Speaker 28.*→ gone$/))
    s.parts.push({ ...fitFrom(row('spacer-5'), 'sp'), at: mm(150) })
    expect(reviewLayout(s)!.changed.map(changeText)).toContainEqual('Spacer 5 mm came in')
  })
})

describe('layouts in words', () => {
  const one = (name: string, more: object = {}) => ({
    ...{ id: name, name, length: 10, d: 20, mass: 5, score: 100 },
    ...more,
  })
  const problem = {
    ...{
      speakers: [one('small', { d: 20 }), one('large', { d: 28 })],
      cells: [one('cell A'), one('cell B', { score: 60 })],
    },
    ...{ boards: [one('board')], connectors: [one('plug')] },
  } as unknown as LayoutProblem
  const layout = (more: Partial<Layout>): Layout => ({
    ...{ arrangement: 0, speaker: 0, cell: 0, board: 0, connector: 0, slack: 10, chamber: 30, balance: 90, off: 0 },
    at: { speaker: 0, cell: 10, board: 20, connector: 90 },
    ...more,
  })
  test('from the pommel on, and a pair as a pair', () => {
    const order = ['speaker', 'pairRear', 'chamber'] as const
    expect(layoutWords(problem, { faces: 'pommel', order: [...order] }, layout({ speaker: 1 }))).toBe(
      'large → cell A with board on it → chamber 30 mm',
    )
    expect(layoutWords(problem, { faces: 'pommel', order: ['cell', 'board', 'speaker'] }, layout({}))).toBe(
      'cell A → board → small',
    )
  })
  test('given up against the best of each kind, and nothing against itself', () => {
    const best = [layout({ speaker: 1, cell: 1, slack: 4, off: 6 }), layout({ chamber: 12.4 })]
    expect(gaveUpWords(problem, best, best[0]!, 'min')).toBe('40 min of runtime, 6 mm of slack, 6 mm of balance')
    expect(gaveUpWords(problem, best, best[1]!, 'mAh')).toBe('8 mm of speaker, 18 mm of chamber')
    expect(gaveUpWords(problem, [best[0]!], best[0]!, 'min')).toBe('')
  })
  test('why a row is in none', () => {
    expect(verdictWords({ ok: true, layouts: 1 })).toBe('in one layout')
    expect(verdictWords({ ok: true, layouts: 7 })).toBe('in 7 layouts')
    expect(verdictWords({ ok: false, why: 'length', mm: 3.25, with: 'large and board' })).toBe(
      '3.3 mm too long with large and board',
    )
    expect(verdictWords({ ok: false, why: 'others' })).toContain('nothing can be found for the other places')
  })
})

describe('what hangs in the wall', () => {
  test('each takes its own opening, whatever the order, and what finds none is named', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 2, max: 12 }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 6 }),
        (holes, buttons) => {
          const s = stack([])
          s.hilt.openings = holes.map((h, i) => ({
            ...{ id: `o${i}`, name: `hole ${i}`, kind: 'switch', at: mm(h * 14), clock: fact(0, 'deg') },
            ...{ length: mm(6), width: mm(6) },
          }))
          s.parts = Array.from({ length: buttons }, (_, i) => fitFrom(row('sw-tact-6'), `b${i}`))
          const { saber, unseated } = seatAll(s, TODAY)
          const middles = saber.parts.flatMap((p) => {
            const q = spanOf(p)
            return q ? [(q.x0 + q.x1) / 2] : []
          })
          const wanted = holes.map((h) => h * 14).sort((a, b) => a - b)
          expect(middles).toEqual(wanted.slice(0, buttons))
          expect(unseated).toHaveLength(Math.max(0, buttons - holes.length))
        },
      ),
    )
  })
})

describe('the record by name', () => {
  test('every thing of every demo order is found by its reference, and what is gone is not', () => {
    for (const id of ['reed-warden', 'crosswind', 'cinder-oath', 'ember-fair'])
      for (const s of demo(id).sabers) {
        const named = (kind: string, list: readonly { id: string; name: string }[]) => {
          for (const x of list) expect(nameOf(s, `${kind}:${x.id}`)).toBe(x.name)
          expect(nameOf(s, `${kind}:nowhere`)).toBeUndefined()
        }
        named('section', s.hilt.sections)
        named('fastener', s.hilt.fasteners)
        named('opening', s.hilt.openings)
        named('part', s.parts)
        named('blade', s.blades)
        named('zone', s.zones)
        named('preset', s.presets)
        named('input', s.inputs)
        for (const r of s.controls) expect(nameOf(s, `row:${r.id}`)).toBe(r.says ?? r.does)
        for (const p of s.access) expect(nameOf(s, `task:${p.id}`)).toBe(p.goal)
        for (const t of s.tests) expect(nameOf(s, `test:${t.id}`)).toBe(t.what)
      }
    expect(nameOf(done(), undefined)).toBeUndefined()
    expect(nameOf(done(), 'weather:1')).toBeUndefined()
  })
  test('a blank order is a sound record with ids of its own', () => {
    const c = blankCommission(ids(), { title: 'New', client: '', job: 'install', purpose: 'display' })
    expect(readCommission(JSON.stringify(c))).toEqual({ ok: true, record: c })
    expect(c.sabers[0]!.id).not.toBe(c.id)
  })
})
