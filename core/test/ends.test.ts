import { describe, expect, test } from '@jest/globals'
import { cadCsv, cadOf, drawSection, drawUnrolled, placeOf } from '@nubrin/core/drawing'
import { fact, stated } from '@nubrin/core/facts'
import {
  alternatives,
  axialSlack,
  balance,
  blockedParts,
  cellTooShort,
  fitParts,
  grilleAir,
  inEndWall,
  ventShare,
} from '@nubrin/core/fit'
import { boreAt, cavityOf, layOut, narrowest, outerAt } from '@nubrin/core/geometry'
import { buildHandoff } from '@nubrin/core/handoff'
import { judgeCommission } from '@nubrin/core/judge'
import { GENERIC_CATALOGUE } from '@nubrin/core/parts'
import type { Commission, FittedPart, Opening, Saber } from '@nubrin/core/record'
import { topicsOf } from '@nubrin/core/script'
import { proposePacking } from '@nubrin/core/shipping'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { demo, TODAY, tube } from './samples'

const mm = (v: number, tol?: number) => fact(v, 'mm', 'measured', tol === undefined ? {} : { tol })
const part = (id: string, kind: FittedPart['kind'], at: number, specs: Record<string, number>): FittedPart => ({
  id,
  kind,
  name: id,
  specs: Object.fromEntries(
    Object.entries(specs).map(([k, v]) => [k, fact(v, k === 'coneArea' ? 'mm²' : 'mm', 'measured')]),
  ),
  at: mm(at),
})
const clear = (s: Saber, by = 0.2) => Object.assign(s.hilt, { clearance: mm(by) })

/** Two sections with a joint between them. */
const two = (joint: Saber['hilt']['sections'][number]['joint']): Saber => {
  const s = tube([
    [40, 36, 28],
    [100, 34, 26],
  ])
  s.hilt.sections[0]!.joint = joint
  clear(s)
  return s
}

describe('two sections that stand in each other', () => {
  const joint = fc.record({
    engagement: fc.integer({ min: 0, max: 140 }).map((v) => v / 10),
    spigot: fc.constantFrom('this' as const, 'next' as const),
  })
  const section = fc.record({
    l: fc.double({ min: 30, max: 80, noNaN: true }),
    o: fc.double({ min: 30, max: 40, noNaN: true }),
    b: fc.double({ min: 20, max: 28, noNaN: true }),
  })
  test('outside and bore along the hilt are those of whoever is outside and inside there, and the lengths add up once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(section, joint), { minLength: 2, maxLength: 5 }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (list, share) => {
          const s = tube(list.map(([{ l, o, b }]) => [l, o, b]))
          list.forEach(([, j], i) => {
            s.hilt.sections[i]!.joint = { kind: 'press', engagement: mm(j.engagement), spigot: j.spigot }
          })
          // Each in its own place, by adding and going back.
          let at = 0
          const placed = list.map(([{ l, o, b }], i) => {
            const back = i ? list[i - 1]![1].engagement : 0
            const from = at - back
            at = from + l
            return { from, to: at, o, b }
          })
          const shape = layOut(s.hilt)
          expect(shape.length).toBeCloseTo(at, 6)
          const x = share * at
          const over = placed.flatMap((p, i) => (x > p.from && x < p.to ? [{ ...p, i }] : []))
          const [one, other] = over
          const goesIn = over.length === 2 ? (list[one!.i]![1].spigot === 'this' ? one! : other!) : one!
          const around = over.length === 2 ? (goesIn === one ? other! : one!) : one!
          // On a border either may be read.
          if (placed.some((p) => Math.abs(p.from - x) < 1e-6 || Math.abs(p.to - x) < 1e-6)) return
          expect(boreAt(shape, x)).toBeCloseTo(goesIn.b, 6)
          expect(outerAt(shape, x)).toBeCloseTo(around.o, 6)
        },
      ),
      { numRuns: 400 },
    )
  })
  test('a cavity is as much shorter, and the figure opens to it with its tolerance', () => {
    const s = two({ kind: 'thread', engagement: mm(8, 0.2) })
    s.hilt.sections[0]!.length = mm(40, 0.05)
    s.hilt.endWall = mm(3, 0.1)
    expect(layOut(s.hilt).lengthTol).toBeCloseTo(0.25)
    const slack = axialSlack(s)
    expect(slack.cavity).toMatchObject({ ok: true, value: 40 + 100 - 8 - 3 })
    const names = slack.cavity.ok ? slack.cavity.inputs.map((i) => i.name) : []
    expect(names).toEqual(expect.arrayContaining(['engagement of the joint of section 0', 'end wall of the pommel']))
    expect(slack.worst).toBeCloseTo(0.35)
    expect(slack.rss).toBeCloseTo(Math.hypot(0.05, 0.2, 0.1))
    expect(slack.cavity.ok && slack.cavity.formula).toContain('engagements')
  })
  test('what is asked and not known keeps the cavity from being judged', () => {
    const s = two({ kind: 'thread', engagement: fact(null, 'mm'), passes: fact(null, 'mm') })
    s.hilt.endWall = fact(null, 'mm')
    const needs = cavityOf(s).needs.map((n) => n.name)
    expect(needs).toEqual(
      expect.arrayContaining([
        'the engagement of the joint of section 0',
        'the free bore of the joint of section 0',
        'the end wall of the pommel',
      ]),
    )
    expect(axialSlack(s).nominal).toMatchObject({ ok: false })
  })
  test('a joint deeper than half the shorter section is drawn as half, and stopped', () => {
    const c = demo('reed-warden')
    const [first] = c.sabers[0]!.hilt.sections
    const before = layOut(c.sabers[0]!.hilt).length
    const half = Math.min(...c.sabers[0]!.hilt.sections.slice(0, 2).map((s) => s.length.value!)) * 0.49
    first!.joint.engagement = mm(1000)
    expect(layOut(c.sabers[0]!.hilt).length).toBeCloseTo(before - half)
    expect(judgeCommission(c, TODAY).filter((f) => f.check === 'jointDepth')).toMatchObject([
      { code: 'deep', level: 'stop' },
    ])
    first!.joint = { kind: 'thread', length: mm(6), engagement: mm(7) }
    expect(judgeCommission(c, TODAY).filter((f) => f.check === 'jointDepth')).toMatchObject([
      { code: 'thread', level: 'stop' },
    ])
    first!.joint = { kind: 'thread', length: mm(7), engagement: mm(7) }
    expect(judgeCommission(c, TODAY).filter((f) => f.check === 'jointDepth')).toEqual([])
    first!.joint = { kind: 'press', passes: mm(first!.bore.value! + 1) }
    expect(judgeCommission(c, TODAY).filter((f) => f.check === 'jointDepth')).toMatchObject([
      { code: 'wide', level: 'caution' },
    ])
  })
  test('the metal of both is weighed once where they stand in each other', () => {
    const s = two({ kind: 'press', engagement: mm(10), spigot: 'this' })
    const ring = (l: number, o: number, b: number) => ((Math.PI / 4) * l * (o * o - b * b)) / 1000
    // 30 of the first seen, 10 of the second round its end, 90 of the second alone.
    const cm3 = ring(30, 36, 28) + ring(10, 34, 28) + ring(90, 34, 26)
    const b = balance(s)
    expect(b.mass.ok && b.mass.value).toBeCloseTo(cm3 * 2.7, 0)
  })
})

describe('what a joint lets through', () => {
  const withCell = (at: number, d: number, joint: Saber['hilt']['sections'][number]['joint']) => {
    const s = two(joint)
    s.parts = [part('cell', 'cell', at, { length: 20, diameter: d })]
    return s
  }
  test.each([
    // The end of the first goes into the second and stays with it: what lies behind the joint never passes it.
    ['this', 60, false],
    ['this', 5, true],
    // The end of the second goes into the first: now it is the other way round.
    ['next', 60, true],
    ['next', 5, false],
  ] as const)('the end of %s goes in, the cell at %d is barred: %s', (spigot, at, barred) => {
    const s = withCell(at, 24, { kind: 'thread', length: mm(8), passes: mm(22), spigot })
    // The emitter's mouth is closed to it by a narrow end, so that only the joint is left.
    s.hilt.sections.push({
      ...structuredClone(s.hilt.sections[1]!),
      id: 's9',
      name: 'end',
      length: mm(20),
      bore: mm(15),
    })
    expect(blockedParts(s).map((b) => b.part.id)).toEqual(barred ? ['cell'] : [])
  })
  test('what lies across a joint that comes apart is put together round', () => {
    const s = withCell(32, 24, { kind: 'thread', length: mm(8), passes: mm(22), spigot: 'this' })
    // Neither end lets it in, and the joint itself is too narrow for it.
    s.hilt.sections[0]!.bore = mm(28)
    expect(blockedParts(s)).toEqual([])
    const glued = structuredClone(s)
    glued.hilt.sections[0]!.joint!.kind = 'glue'
    glued.hilt.sections.push({ ...structuredClone(s.hilt.sections[1]!), id: 's9', length: mm(20), bore: mm(15) })
    expect(blockedParts(glued).map((b) => b.part.id)).toEqual(['cell'])
  })
  test('the neck is as narrow as it says over its thread, and no wider than the bores', () => {
    const s = two({ kind: 'thread', length: mm(8), passes: mm(22) })
    const shape = layOut(s.hilt)
    expect([39, 41, 47.5, 49].map((x) => boreAt(shape, x))).toEqual([28, 22, 22, 26])
    const wide = layOut(two({ kind: 'thread', length: mm(8), passes: mm(60) }).hilt)
    expect([39, 41, 47.5, 49].map((x) => boreAt(wide, x))).toEqual([28, 26, 26, 26])
    const back = layOut(two({ kind: 'thread', length: mm(8), passes: mm(22), spigot: 'next' }).hilt)
    expect([31, 33, 39.5, 41].map((x) => boreAt(back, x))).toEqual([28, 22, 22, 26])
  })
  test('without a length it is taken as a millimetre, in a taper cut where the taper passes it', () => {
    const s = two({ kind: 'press', passes: mm(22) })
    expect(narrowest(layOut(s.hilt), 0, 140)).toMatchObject({ d: 22, x: 40 })
    expect(boreAt(layOut(s.hilt), 41.5)).toBe(26)
    const taper = two({ kind: 'thread', length: mm(20), passes: mm(24) })
    taper.hilt.sections[1]!.boreProfile = [
      { x: 0, d: 26 },
      { x: 20, d: 22 },
      { x: 100, d: 22 },
    ]
    const shape = layOut(taper.hilt)
    for (let x = 40.5; x < 60; x += 1.5) expect(boreAt(shape, x)).toBeCloseTo(Math.min(24, 26 - ((x - 40) * 4) / 20), 9)
  })
})

describe('the closed end of a pommel', () => {
  const closed = (at: number) => {
    const s = two({ kind: 'none' })
    s.hilt.endWall = mm(4)
    s.parts = [
      {
        ...part('horn', 'speaker', at, { length: 6, diameter: 24, coneArea: 300 }),
        faces: stated('pommel', 'measured'),
      },
    ]
    return s
  }
  test('the cavity begins behind it; what stands in it is said by how much', () => {
    expect(cavityOf(closed(4)).x0).toBe(4)
    expect(Math.min(...cavityOf(closed(4)).pieces.map((p) => p.x0))).toBe(4)
    expect(inEndWall(closed(4))).toEqual([])
    expect(inEndWall(closed(2.5))).toMatchObject([{ mm: 1.5 }])
    expect(inEndWall(closed(-3))).toMatchObject([{ mm: 3 }])
    expect(fitParts(closed(4))[0]).toMatchObject({ outsideMm: 0 })
  })
  test('it is a stop by name, and the air before a speaker ends at it', () => {
    const c: Commission = { ...demo('first-lantern'), sabers: [closed(2.5)] }
    expect(judgeCommission(c, TODAY).find((f) => f.check === 'overlap')).toMatchObject({
      code: 'endWall',
      level: 'stop',
      gate: true,
      refs: ['part:horn'],
    })
    expect(grilleAir(closed(4.7))[0]!.air).toMatchObject({ ok: true, value: expect.closeTo(0.7) })
    const open = closed(4.7)
    delete open.hilt.endWall
    expect(grilleAir(open)[0]!.air).toMatchObject({ ok: true, value: expect.closeTo(4.7) })
  })
  test('it is drawn as thick as it is, and not where it is open', () => {
    const scene = drawSection(MAKER, closed(5), { width: 1000, height: 300 })
    const spot = scene.spots.find((p) => p.name === 'end wall')!
    expect((spot.x1 - spot.x0) / scene.scale).toBeCloseTo(4)
    expect((spot.y1 - spot.y0) / scene.scale).toBeCloseTo(28)
    const open = closed(5)
    delete open.hilt.endWall
    expect(drawSection(MAKER, open, { width: 1000, height: 300 }).spots.some((p) => p.name === 'end wall')).toBe(false)
  })
  const vent = (more: Partial<Opening>): Opening => ({
    id: 'v',
    name: 'slot',
    kind: 'vent',
    face: 'rear',
    at: mm(120),
    clock: fact(0, 'deg', 'measured'),
    length: mm(5),
    width: mm(20),
    ...more,
  })
  test('vents in it count for the speaker behind it, whatever place along the hilt they carry', () => {
    const s = closed(5)
    s.hilt.openings = [vent({})]
    expect(ventShare(s)).toMatchObject({ ok: true, value: expect.closeTo(100 / 3) })
    s.hilt.openings = [vent({ face: 'side' })]
    expect(ventShare(s)).toMatchObject({ ok: true, value: 0 })
  })
  test('they are drawn in it, left out of the unrolled side, told to CAD, and stopped when they run off the face', () => {
    const s = closed(5)
    s.hilt.openings = [vent({ fromAxis: mm(8) })]
    const scene = drawSection(MAKER, s, { width: 1000, height: 300 })
    const spot = scene.spots.find((p) => p.name === 'slot')!
    expect((scene.axisY - (spot.y0 + spot.y1) / 2) / scene.scale).toBeCloseTo(8)
    expect(placeOf(s, 'opening:v')).toEqual({ x0: 0, x1: 4 })
    expect(drawUnrolled(MAKER, s, { width: 900, height: 300 }).spots.some((p) => p.name === 'slot')).toBe(false)
    expect(cadCsv(s)).toContain('opening,slot,0,4,')
    const box = cadOf(s).entities.find((e) => e.layer === 'OPENINGS')!
    const ys = box.t === 'poly' ? box.pts.map(([, y]) => y) : []
    expect([Math.min(...ys), Math.max(...ys)]).toEqual([5.5, 10.5])
    const c: Commission = { ...demo('first-lantern'), sabers: [s] }
    const place = () => judgeCommission(c, TODAY).filter((f) => f.check === 'openingPlace')
    expect(place()).toEqual([])
    s.hilt.openings[0]!.fromAxis = mm(16)
    expect(place()).toMatchObject([{ code: 'offFace', level: 'stop', params: { reach: 18.5, radius: 18 } }])
  })
})

describe('a cell that does not reach its contacts', () => {
  const build = (length: number) => {
    const s = tube([[200, 36, 30]])
    clear(s)
    s.parts = [
      { ...part('cell', 'cell', 10, { length, diameter: 18.5 }), removable: true, protected: false },
      { ...part('spring', 'spring', 90, { length: 5, diameter: 10, leastCell: 68 }) },
      { ...part('board', 'contactBoard', 100, { length: 2, diameter: 10, leastCell: 66 }) },
    ]
    return s
  }
  test.each([
    [65.2, [2.8]],
    [67.99, []],
    [69, []],
  ])('%d mm long', (length, short) => {
    expect(cellTooShort(build(length)).map((n) => Number(n.short.toFixed(2)))).toEqual(short)
  })
  test('it is a stop that asks for the protected one, and the shelf’s rows say it too', () => {
    const c: Commission = { ...demo('first-lantern'), sabers: [build(65.2)] }
    const f = judgeCommission(c, TODAY).find((x) => x.code === 'short')!
    expect(f).toMatchObject({ check: 'protectedCell', level: 'stop', gate: true, refs: ['part:cell', 'part:spring'] })
    expect(f.remedy).toMatch(/protected/)
    const rows = alternatives(build(65.2), 'cell', GENERIC_CATALOGUE)
    for (const r of rows) {
      const length = r.row.specs.length!.value!
      expect(r.shortMm).toBeCloseTo(length < 67.95 ? 68 - length : 0, 6)
      if (r.shortMm > 0) expect(r.fits).not.toBe(true)
    }
    expect(new Set(rows.map((r) => r.shortMm > 0)).size).toBe(2)
  })
})

describe('wishes of three shapes', () => {
  const wish = (more: object): Commission => {
    const c = demo('first-lantern')
    c.requests = [{ id: 'w', text: 'A second font', status: 'open', ...more }]
    return c
  }
  const said = (c: Commission) => judgeCommission(c, TODAY).filter((f) => f.check === 'openRequest')
  const told = (c: Commission) => ({
    paper: JSON.stringify(buildHandoff(c, 'Shop', TODAY)).includes('A second font'),
    film: topicsOf(c, c.sabers[0]!).some((t) => t.key === 'request:w'),
  })
  test.each([
    ['asked', {}, 'caution', true, { paper: true, film: true }],
    ['our idea', { shape: 'ownIdea' }, 'note', false, { paper: false, film: false }],
    ['offered', { shape: 'offered' }, undefined, undefined, { paper: false, film: false }],
    [
      'offered and accepted',
      { shape: 'offered', acceptedOn: '2026-11-02' },
      'caution',
      true,
      { paper: true, film: true },
    ],
  ] as const)('%s', (_what, more, level, gate, where) => {
    expect(said(wish(more)).map((f) => [f.level, f.gate])).toEqual(level ? [[level, gate]] : [])
    expect(told(wish(more))).toEqual(where)
  })
  test('an idea of our own that came to something is told as ours', () => {
    const c = wish({ shape: 'ownIdea', status: 'changed' })
    expect(said(c)).toEqual([])
    expect(told(c)).toEqual({ paper: true, film: true })
    expect(JSON.stringify(buildHandoff(c, 'Shop', TODAY))).toContain('A second font (our own idea)')
  })
})

describe('what cannot be undone', () => {
  test('stands against shipping until somebody agreed', () => {
    const c = demo('reed-warden')
    const step = c.sabers[0]!.access[0]!.steps[0]!
    step.irreversible = true
    const said = () => judgeCommission(c, TODAY).filter((f) => f.check === 'consent')
    expect(said()).toMatchObject([{ level: 'stop', gate: true }])
    const paper = () => JSON.stringify(buildHandoff(structuredClone(c), 'Shop', TODAY))
    expect(paper()).toContain('This cannot be undone.')
    expect(paper()).not.toContain('Agreed by')
    step.consent = { who: 'Ilsabet Vorne', on: '2026-11-01' }
    expect(said()).toEqual([])
    expect(paper()).toContain('This cannot be undone. Agreed by Ilsabet Vorne, 1 November 2026.')
  })
})

describe('the box', () => {
  test('what is renamed is still on the list; what is there in too small a number is not', () => {
    const c = demo('reed-warden')
    expect(proposePacking(MAKER, c)).toEqual([])
    for (const p of c.sabers[0]!.parts) p.name = 'thing'
    expect(proposePacking(MAKER, c)).toEqual([])
    const cell = c.sabers[0]!.parts.find((p) => p.kind === 'cell')!
    c.sabers[0]!.parts.push({ ...structuredClone(cell), id: 'second' })
    expect(proposePacking(MAKER, c)).toEqual([{ key: `part:${cell.id}`, what: 'thing', quantity: 1 }])
    const missing = () => judgeCommission(c, TODAY).filter((f) => f.check === 'unpacked')
    expect(missing()).toMatchObject([{ code: 'missing', gate: true }])
    c.packing.find((p) => p.key === `part:${cell.id}`)!.quantity = 2
    expect(missing()).toEqual([])
  })
  test('a box with only the card in it is no box', () => {
    const c = demo('reed-warden')
    c.packing = [{ id: 'g', what: 'Handoff record, printed', quantity: 1, packed: true }]
    const [f] = judgeCommission(c, TODAY).filter((x) => x.check === 'unpacked')
    expect(f).toMatchObject({ code: 'missing', gate: true })
    expect(f!.detail).toContain('The saber')
    expect(f!.detail).not.toContain('Handoff record')
  })
})

describe('a repair', () => {
  test('without a fix is no repair', () => {
    const c = demo('ember-fair')
    const bell = c.sabers.find((s) => s.job === 'repair')!
    const said = () => judgeCommission(c, TODAY).filter((f) => f.code === 'noRepair')
    expect(said()).toEqual([])
    bell.repairs = []
    expect(said()).toMatchObject([{ saber: bell.id, level: 'caution', gate: true }])
  })
})

describe('how often a step is turned', () => {
  test('is on paper, unless its own words say it', () => {
    const c = demo('reed-warden')
    const step = c.sabers[0]!.access.find((p) => p.goal === 'cell')!.steps[0]!
    const paper = () => JSON.stringify(buildHandoff(structuredClone(c), 'Shop', TODAY))
    Object.assign(step, { text: 'Unscrew the far end', turns: 2.5 })
    expect(paper()).toContain('Unscrew the far end, 2.5 turns')
    step.turns = 2
    expect(paper()).toContain('Unscrew the far end, two turns')
    step.text = 'Unscrew the far end by two turns'
    expect(paper()).not.toContain('turns, two turns')
    Object.assign(step, { text: 'Unscrew the far end', turns: 0 })
    expect(paper()).not.toContain('far end, 0')
  })
})
