import { describe, expect, test } from '@jest/globals'
import { fact, known } from '@nubrin/core/facts'
import {
  arrangementsOf,
  axialSlack,
  brokenText,
  type Candidate,
  findLayouts,
  fitParts,
  gapsAlong,
  gaveUpWords,
  type Layout,
  type LayoutProblem,
  layoutFacts,
  layoutsOf,
  overlaps,
  prepareLayouts,
  reviewLayout,
  seatAll,
  seatOf,
  verdictWords,
  withLayout,
  worth,
} from '@nubrin/core/fit'
import { type Body, type Cavity, cavityOf, needRadius, passable, reachesOf, spanOf } from '@nubrin/core/geometry'
import { GENERIC_CATALOGUE } from '@nubrin/core/parts'
import { litCurrent, WHITE } from '@nubrin/core/power'
import fc from 'fast-check'
import { Front } from '../src/fit/search/front'
import { firstFrom, lastBefore, leftAfter } from '../src/fit/search/room'
import { tries } from './drawn'
import { done, TODAY, tube } from './samples'

/** A cavity of whole millimetres: [length, radius, keep-out]. */
function steps(list: [number, number, number][]): Cavity {
  let x = 0
  const pieces = list.map(([l, r, keep], i) => {
    const p = {
      x0: x,
      x1: x + l,
      r0: r,
      r1: r,
      keeps: keep ? [{ ref: `part:k${i}` as const, name: 'knob', x0: x, x1: x + l, inner: r - keep, clock: 0 }] : [],
      clearance: 0,
      section: `piece ${i}`,
    }
    x += l
    return p
  })
  return { pieces, x0: 0, x1: x, keeps: [], needs: [] }
}

const bodyIn = (kind: 'speaker' | 'cell' | 'board', c: Candidate): Body =>
  kind === 'board'
    ? { kind: 'slab', w: c.w!, t: c.t! }
    : kind === 'cell'
      ? { kind: 'round', d: c.d! }
      : { kind: 'coaxial', d: c.d! }

/**
 * Plain enumeration on whole millimetres: every row, every arrangement, every place. Since all sizes and steps are whole,
 * a layout closes somewhere exactly when it closes on whole millimetres.
 */
function enumerate(p: LayoutProblem): Set<string> {
  const clear = (body: Body, from: number, to: number) =>
    p.cavity.pieces.every((q) => q.x1 <= from || q.x0 >= to || q.r0 >= needRadius(body, reachesOf(q)) - 1e-9)
  const found = new Set<string>()
  arrangementsOf(p).forEach((arr, ai) => {
    p.speakers.forEach((s, si) => {
      p.cells.forEach((c, ci) => {
        p.boards.forEach((b, bi) => {
          p.connectors.forEach((k, ki) => {
            const end = p.cavity.x1 - k.length
            if (end < 0 || !clear({ kind: 'coaxial', d: k.d! }, end, p.cavity.x1)) return
            const place = (i: number, x: number): boolean => {
              if (i === arr.order.length) return x <= end
              const t = arr.order[i]!
              for (let at = x; at <= end; at++) {
                if (t === 'speaker') {
                  const face = arr.faces === 'pommel' ? at : at + s.length
                  if (arr.faces === 'pommel' && at < p.grille) continue
                  if (p.heard.length && !p.heard.some((h) => face >= h.lo && face <= h.hi)) continue
                  if (clear(bodyIn('speaker', s), at, at + s.length) && place(i + 1, at + s.length)) return true
                } else if (t === 'cell') {
                  if (clear(bodyIn('cell', c), at, at + c.length) && place(i + 1, at + c.length)) return true
                } else if (t === 'board') {
                  if (clear(bodyIn('board', b), at, at + b.length) && place(i + 1, at + b.length)) return true
                } else if (t === 'chamber') {
                  const L = p.chamber!.least
                  if (clear({ kind: 'round', d: p.chamber!.d }, at, at + L) && place(i + 1, at + L)) return true
                } else {
                  const L = Math.max(c.length, b.length)
                  const pair: Body = { kind: 'pair', d: c.d!, w: b.w!, t: b.t! }
                  const from = t === 'pairRear' ? at : at + L - b.length
                  const ok =
                    b.length >= c.length
                      ? clear(pair, at, at + L)
                      : clear(bodyIn('cell', c), at, at + L) && clear(pair, from, from + b.length)
                  if (ok && place(i + 1, at + L)) return true
                }
              }
              return false
            }
            if (place(0, 0)) found.add([ai, si, ci, bi, ki].join())
          })
        })
      })
    })
  })
  return found
}

const unfold = (p: LayoutProblem): { key: string; layout: Layout }[] =>
  [...layoutsOf(p, findLayouts(p))].map((l) => ({
    key: [l.arrangement, l.speaker, l.cell, l.board, l.connector].join(),
    layout: l,
  }))

const whole = (min: number, max: number) => fc.integer({ min, max })
const rounds = (n: number) =>
  fc.array(fc.record({ length: whole(2, 14), d: whole(6, 26), mass: whole(1, 60), score: whole(10, 90) }), {
    minLength: 1,
    maxLength: n,
  })
const named = <T extends object>(rows: T[], what: string) =>
  rows.map((r, i) => ({ ...r, id: `${what}-${i}`, name: `${what} ${i}` }))
const problems: fc.Arbitrary<LayoutProblem> = fc
  .record({
    cavity: fc.array(fc.tuple(whole(4, 14), whole(8, 15), fc.constantFrom(0, 0, 0, 2, 5)), {
      minLength: 1,
      maxLength: 4,
    }),
    speakers: rounds(3),
    cells: rounds(4),
    boards: fc.array(
      fc.record({ length: whole(2, 12), w: whole(4, 20), t: whole(2, 7), mass: whole(1, 9), score: fc.constant(0) }),
      { minLength: 1, maxLength: 2 },
    ),
    connectors: fc.array(
      fc.record({ length: whole(1, 4), d: whole(6, 20), mass: whole(1, 9), score: fc.constant(0) }),
      {
        minLength: 1,
        maxLength: 2,
      },
    ),
    chamber: fc.option(fc.record({ d: whole(8, 22), least: whole(2, 10), mass: whole(1, 20) }), { nil: undefined }),
    beside: fc.boolean(),
    faces: fc.constantFrom<LayoutProblem['faces']>(['pommel'], ['emitter'], ['pommel', 'emitter']),
    heard: fc.constantFrom<LayoutProblem['heard']>(
      [],
      [{ lo: 0, hi: 6 }],
      [
        { lo: 0, hi: 3 },
        { lo: 12, hi: 20 },
      ],
    ),
    grille: fc.constantFrom(0, 2),
  })
  .map(({ cavity, beside, chamber, ...rest }) => ({
    ...rest,
    ...(chamber ? { chamber } : {}),
    speakers: named(rest.speakers, 'speaker'),
    cells: named(rest.cells, 'cell'),
    boards: named(rest.boards, 'board'),
    connectors: named(rest.connectors, 'connector'),
    cavity: steps(cavity),
    mayLieBeside: beside,
    mayLieInLine: !beside || rest.grille > 0,
    fixed: { mass: 100, moment: 1500 },
    balance: 14,
  }))

describe('the layout search', () => {
  test('finds exactly what plain enumeration finds', () => {
    fc.assert(
      fc.property(problems, (p) => {
        const mine = unfold(p)
        const result = findLayouts(p)
        expect(new Set(mine.map((m) => m.key))).toEqual(enumerate(p))
        expect(mine).toHaveLength(result.feasible)
        const rows = [p.speakers, p.cells, p.boards, p.connectors, result.arrangements].map((l) => l.length)
        expect(result.raw).toBe(rows.reduce((n, l) => n * l, 1))
        expect(new Set(mine.map((m) => m.key)).size).toBe(mine.length)
      }),
      { numRuns: tries(40, 6) },
    )
  })
  test('the best are those that no other layout covers, and each worth appears once', () => {
    fc.assert(
      fc.property(problems, (p) => {
        const all = unfold(p).map((m) => worth(p, m.layout))
        const best = findLayouts(p).best.map((l) => worth(p, l))
        const covered = (w: number[]) => all.some((o) => o.every((v, i) => v >= w[i]!) && o.some((v, i) => v > w[i]!))
        expect(new Set(best.map(String))).toEqual(new Set(all.filter((w) => !covered(w)).map(String)))
        expect(new Set(best.map(String)).size).toBe(best.length)
      }),
      { numRuns: 50 },
    )
  })
  test('a row is said to go in exactly when some layout has it, and the millimetre named is enough', () => {
    fc.assert(
      fc.property(problems, (p) => {
        const { verdicts } = findLayouts(p)
        const keys = [...enumerate(p)].map((k) => k.split(',').map(Number))
        for (const [list, at] of [
          [verdicts.speakers, 1],
          [verdicts.cells, 2],
          [verdicts.boards, 3],
        ] as const)
          list.forEach((v, i) => {
            const n = keys.filter((k) => k[at] === i).length
            if (v.ok) expect(v.layouts).toBe(n)
            else expect(n).toBe(0)
          })
        for (const [list, rows] of [
          [verdicts.speakers, p.speakers],
          [verdicts.cells, p.cells],
          [verdicts.boards, p.boards],
        ] as const)
          list.forEach((v, i) => {
            if (v.ok || v.why === 'others') return
            // What does go in instead: the largest of the smaller ones, the best of them by score.
            const size = (c: Candidate) => (v.why === 'length' ? c.length : (c.d ?? Math.hypot(c.w!, c.t!)))
            const smaller = rows.filter((c, j) => list[j]!.ok && size(c) < size(rows[i]!) - 1e-6)
            const most = Math.max(...smaller.map(size))
            const top = smaller.filter((c) => size(c) === most)
            const best = top.filter((c) => c.score === Math.max(...top.map((t) => t.score))).map((c) => c.name)
            if (best.length) expect(best).toContain(v.next)
            else expect(v.next).toBeUndefined()
          })
        verdicts.cells.forEach((v, i) => {
          if (v.ok || v.why !== 'bore' || !p.mayLieInLine) return
          const body: Body = { kind: 'round', d: p.cells[i]!.d! }
          const room = (by: number) =>
            passable(p.cavity, body, by / 2).some((q) => q.hi - q.lo >= p.cells[i]!.length - 1e-9)
          expect(room(v.mm + 1e-6)).toBe(true)
          expect(room(v.mm - 0.01)).toBe(false)
        })
      }),
      { numRuns: tries(40, 12) },
    )
  })
  test('in a tapering bore the places it names hold when probed at a thousand points', () => {
    fc.assert(
      fc.property(whole(9, 13), whole(7, 15), whole(16, 26), whole(4, 20), (r0, r1, d, length) => {
        const cavity: Cavity = {
          pieces: [{ x0: 0, x1: 40, r0, r1, keeps: [], clearance: 0, section: 'cone' }],
          x0: 0,
          x1: 40,
          keeps: [],
          needs: [],
        }
        const at = (x: number) => r0 + ((r1 - r0) * x) / 40
        const fitsAt = (x: number) => Math.min(at(x), at(x + length)) >= d / 2
        const tried = Array.from({ length: 1001 }, (_, i) => (i * (40 - length)) / 1000).some(fitsAt)
        const says = passable(cavity, { kind: 'round', d }).some((p) => p.hi - p.lo >= length)
        if (tried) expect(says).toBe(true)
        else expect(passable(cavity, { kind: 'round', d: d + 0.1 }).some((p) => p.hi - p.lo >= length)).toBe(false)
      }),
    )
  })
  test('where a section has no measured bore nothing lies, and its length is not to be had', () => {
    const room = (gap: boolean) => {
      const cavity = steps([
        [40, 14, 0],
        [20, 14, 0],
        [40, 14, 0],
      ])
      if (gap) cavity.pieces.splice(1, 1)
      const one = (l: number, name: string): Candidate => ({ id: name, name, length: l, d: 20, mass: 1, score: 1 })
      return findLayouts({
        ...{ cavity, speakers: [one(6, 'speaker')], cells: [one(30, 'cell')], connectors: [one(8, 'plug')] },
        boards: [{ id: 'b', name: 'board', length: 25, w: 16, t: 4, mass: 1, score: 0 }],
        chamber: { d: 20, least: 1, mass: 1 },
        ...{ mayLieBeside: false, mayLieInLine: true, faces: ['pommel'], heard: [], grille: 0 },
        fixed: { mass: 0, moment: 0 },
      })
    }
    const chamber = (gap: boolean) => Math.max(...room(gap).best.map((l) => l.chamber))
    expect(chamber(false)).toBeCloseTo(100 - 6 - 30 - 25 - 8, 6)
    // Board and speaker before the gap, cell and plug behind it: nine are left in one piece, two in the other.
    expect(chamber(true)).toBeCloseTo(9, 6)
  })
  test('says by how much the length runs out, and with what', () => {
    const one = (l: number, d: number, name: string): Candidate => ({ id: name, name, length: l, d, mass: 1, score: 1 })
    const r = findLayouts({
      cavity: steps([[100, 14, 0]]),
      speakers: [one(6, 24, 'small'), one(12, 24, 'deep'), one(6, 29, 'wide')],
      cells: [one(70, 18, 'long'), one(50, 18, 'short')],
      boards: [{ id: 'b', name: 'board', length: 30, w: 16, t: 4, mass: 1, score: 0 }],
      connectors: [one(8, 20, 'plug')],
      mayLieBeside: false,
      mayLieInLine: true,
      faces: ['pommel'],
      heard: [],
      grille: 0,
      fixed: { mass: 0, moment: 0 },
    })
    expect(r.verdicts.cells[0]).toEqual({ ok: false, why: 'length', mm: 14, with: 'small and board', next: 'short' })
    expect(r.verdicts.speakers[2]).toMatchObject({ ok: false, why: 'bore', mm: expect.closeTo(1, 3), from: 0, to: 6 })
    expect(verdictWords(r.verdicts.speakers[2]!)).toBe(
      'the bore is 1 mm too small between 0 and 6 (piece 0); next down: small',
    )
    expect(r.verdicts.cells[1]).toEqual({ ok: true, layouts: 4 })
    expect(r.raw).toBe(3 * 2 * 2)
  })
})

describe('the front of what none covers', () => {
  const five = (most: number) =>
    fc.tuple(whole(0, 3), whole(-9, 9), whole(0, most), whole(0, most), whole(-most, 0)) as fc.Arbitrary<number[]>
  test.each([40, 130, 2000])('keeps exactly those, with numbers up to %d', (most) => {
    fc.assert(
      fc.property(fc.array(five(most), { minLength: 1, maxLength: 300 }), (offers) => {
        const front = new Front<{ arrangement: number }>([0, -9, 0, 0, -most], [3, 9, most, most, 0])
        const above = (x: number[], y: number[]) => x.every((v, k) => v >= y[k]!)
        const kept: number[][] = []
        offers.forEach((o, i) => {
          const [a, b, c, d, e] = o as [number, number, number, number, number]
          const covered = kept.some((k) => above(k, o))
          expect(front.covers(a, b, c, d, e)).toBe(covered)
          if (covered) return
          for (let k = kept.length - 1; k >= 0; k--) if (above(o, kept[k]!)) kept.splice(k, 1)
          kept.push(o)
          front.add(a, b, c, d, e, { arrangement: i })
        })
        const sorted = front.sorted().map((f) => offers[f.arrangement]!)
        expect(new Set(sorted.map(String))).toEqual(new Set(kept.map(String)))
        expect(sorted).toHaveLength(kept.length)
        for (let i = 1; i < sorted.length; i++) expect(sorted[i - 1]![0]).toBeGreaterThanOrEqual(sorted[i]![0]!)
      }),
      { numRuns: 60 },
    )
  })
})

describe('a search on a saber', () => {
  const wish = {
    cell: 'any',
    speaker: 'any',
    beside: true,
    inLine: true,
    faces: ['pommel', 'emitter'],
    grille: 0,
    balance: 120,
  } as const
  const prepared = (more: object = {}) =>
    prepareLayouts(done(), GENERIC_CATALOGUE, { ...wish, faces: [...wish.faces], ...more }, TODAY)
  test('every best layout, put into the saber, is judged to fit by the same checks as work done by hand', () => {
    const p = prepared({ chamber: 12 })
    expect(p.needs).toEqual([])
    const r = findLayouts(p.problem)
    expect(r.best.length).toBeGreaterThan(1)
    for (const l of r.best) {
      const s = withLayout(
        done(),
        p.problem,
        r.arrangements[l.arrangement]!,
        l,
        GENERIC_CATALOGUE,
        (k) => `new-${k}`,
        TODAY,
      )
      for (const f of fitParts(s).filter((x) =>
        ['speaker', 'cell', 'board', 'chamber', 'connector'].includes(x.part.kind),
      ))
        expect({ part: f.part.name, ok: f.spareMm! >= -1e-6 && f.outsideMm < 0.01, needs: f.needs }).toEqual({
          part: f.part.name,
          ok: true,
          needs: [],
        })
      expect(overlaps(s)).toEqual([])
    }
  })
  test('spacers fill the gaps of any layout, go in, and leave it closing at the worst of all tolerances', () => {
    const saber = done()
    saber.hilt.sections[0]!.length.tol = 0.2
    const p = prepareLayouts(saber, GENERIC_CATALOGUE, { ...wish, faces: [...wish.faces] }, TODAY)
    const r = findLayouts(p.problem)
    for (const l of r.best) {
      let n = 0
      const put = (spacers: boolean) =>
        withLayout(
          saber,
          p.problem,
          r.arrangements[l.arrangement]!,
          l,
          GENERIC_CATALOGUE,
          (k) => `${k}-${n++}`,
          TODAY,
          spacers,
        )
      const [open, filled] = [put(false), put(true)]
      const spacers = filled.parts.filter((q) => q.kind === 'spacer')
      const before = axialSlack(open)
      const after = axialSlack(filled)
      if (!before.nominal.ok || !after.nominal.ok) throw new Error('not calculable')
      expect(after.nominal.value).toBeGreaterThanOrEqual(after.worst - 0.001)
      const cut = spacers.reduce((sum, q) => sum + known(q.specs.length)!, 0)
      expect(after.nominal.value).toBeCloseTo(before.nominal.value - cut, 6)
      for (const f of fitParts(filled).filter((q) => q.part.kind === 'spacer')) {
        expect(f.spareMm).toBeGreaterThan(0)
        expect(f.outsideMm).toBeLessThan(0.01)
      }
      expect(overlaps(filled).map((o) => [o.a.name, spanOf(o.a), o.b.name, spanOf(o.b), o.mm])).toEqual([])
      // A chamber that is not searched for stays where it was.
      expect(filled.parts.find((q) => q.kind === 'chamber')).toEqual(saber.parts.find((q) => q.kind === 'chamber'))
      // What is left open is what no spacer may take: short gaps, the tolerances and the air before the speaker.
      const speaker = spanOf(filled.parts.find((q) => q.kind === 'speaker')!)!
      for (const g of gapsAlong(filled))
        if (Math.abs(g.hi - speaker.x0) > 0.01) expect(g.hi - g.lo).toBeLessThan(2 + after.worst + 0.2)
    }
    expect(r.best.length).toBeGreaterThan(3)
  })
  test('what is given up is counted against the best of each kind', () => {
    const p = prepared({ chamber: 12 })
    const r = findLayouts(p.problem)
    const longest = r.best.toSorted((a, b) => b.chamber - a.chamber)[0]!
    const most = Math.max(...r.best.map((b) => p.problem.cells[b.cell]!.score))
    const lost = most - p.problem.cells[longest.cell]!.score
    if (lost >= 10) expect(gaveUpWords(p.problem, r.best, longest, p.score)).toContain(`${lost.toFixed(0)} min`)
    expect(gaveUpWords(p.problem, r.best, longest, p.score)).not.toContain('of chamber')
  })
  test('an unmeasured bore stops the search and is named', () => {
    const s = done()
    s.hilt.sections[1]!.bore = fact(null, 'mm')
    expect(prepareLayouts(s, GENERIC_CATALOGUE, { ...wish, faces: ['pommel'] }, TODAY).needs).toContainEqual({
      name: `the bore of ${s.hilt.sections[1]!.name}`,
      ref: `section:${s.hilt.sections[1]!.id}`,
    })
  })
  test('only cells that give what full white draws are searched, when that is asked; the others are named', () => {
    const load = litCurrent(done(), WHITE)
    if (!load.ok) throw new Error('not calculable')
    const cells = GENERIC_CATALOGUE.filter((r) => r.kind === 'cell')
    const gives = (id: string) => known(cells.find((r) => r.id === id)!.specs.contCurrent)!
    const strong = prepared({ cell: 'strong' })
    expect(strong.problem.cells.length).toBeGreaterThan(0)
    for (const c of strong.problem.cells) expect(gives(c.id)).toBeGreaterThanOrEqual(load.value)
    expect(strong.weak.length + strong.problem.cells.length).toBe(cells.length)
    for (const w of strong.weak) expect(w).toMatchObject({ gives: gives(w.id), draws: load.value })
    expect(prepared().problem.cells).toHaveLength(cells.length)
    const s = done()
    for (const z of s.zones) if (z.channelCurrent) z.channelCurrent.value = 60
    for (const b of s.blades) if (b.channelCurrent) b.channelCurrent.value = 60
    expect(prepareLayouts(s, GENERIC_CATALOGUE, { ...wish, cell: 'strong', faces: ['pommel'] }, TODAY).needs).toEqual([
      { name: expect.stringMatching(/^a cell that gives the [\d.]+ A of full white, or a search with any$/) },
    ])
  })
  test('before a closed end a speaker keeps its air, and more where more is wished', () => {
    const from = (endWall: number | undefined, grille: number) => {
      const s = done()
      if (endWall === undefined) delete s.hilt.endWall
      else s.hilt.endWall = fact(endWall, 'mm', 'measured')
      return prepareLayouts(s, GENERIC_CATALOGUE, { ...wish, grille, faces: ['pommel'] }, TODAY).problem.grille
    }
    expect([from(undefined, 0), from(undefined, 2), from(3, 0), from(3, 2)]).toEqual([0, 2, 3.5, 5])
  })
  test('a button without a place stands at the first free opening made for it, and keeps the cell out there', () => {
    const s = done()
    const [rear, front] = s.parts.filter((q) => q.kind === 'switch')
    for (const b of [rear!, front!]) {
      delete b.at
      delete b.clock
    }
    expect(prepareLayouts(s, GENERIC_CATALOGUE, { ...wish, faces: ['pommel'] }, TODAY).unseated).toEqual([
      rear!.name,
      front!.name,
    ])
    for (const [id, x] of [
      ['hole-b', 132],
      ['hole-a', 112],
    ] as const)
      s.hilt.openings.push({
        ...{ id, name: id, kind: 'switch' },
        ...{ at: fact(x + 3, 'mm'), clock: fact(0, 'deg'), length: fact(6, 'mm'), width: fact(6, 'mm') },
      })
    const p = prepareLayouts(s, GENERIC_CATALOGUE, { ...wish, faces: ['pommel'] }, TODAY)
    expect(p.unseated).toEqual([])
    const { saber } = seatAll(s, TODAY)
    const at = (id: string) => saber.parts.find((q) => q.id === id)!
    expect(at(rear!.id)).toMatchObject({
      at: { value: 112, source: 'assumed', with: 'at hole-a' },
      clock: { value: 0 },
    })
    expect(at(front!.id).at).toMatchObject({ value: 132 })
    // The same as with both placed by hand.
    const placed = prepareLayouts(done(), GENERIC_CATALOGUE, { ...wish, faces: ['pommel'] }, TODAY)
    expect(p.problem.cavity.keeps).toEqual(placed.problem.cavity.keeps)
    expect(seatOf(saber, rear!, TODAY)).toBeUndefined()
  })
  test('a chosen layout is held against later facts', () => {
    const s = done()
    s.decisions = []
    s.decisions.push({
      id: 'd1x',
      on: TODAY,
      by: 'Maren',
      chose: 'as drawn',
      why: 'longest run',
      layout: layoutFacts(s),
    })
    expect(reviewLayout(s)).toMatchObject({ changed: [], broke: [] })
    const cell = s.parts.find((q) => q.kind === 'cell')!
    cell.specs.diameter = fact(31, 'mm')
    const r = reviewLayout(s)!
    expect(r.changed).toMatchObject([{ ref: `part:${cell.id}`, field: 'diameter', is: 31 }])
    expect(r.broke.map(brokenText).join()).toContain(`${cell.name} is`)
    delete s.decisions[0]!.layout
    expect(reviewLayout(s)).toBeUndefined()
  })
})

describe('what reaches in from the wall', () => {
  test('a button hung from the outside takes its depth less the wall', () => {
    const s = tube([[100, 36, 30]])
    s.parts = [
      {
        id: 'sw',
        kind: 'switch',
        name: 'front button',
        specs: { length: fact(12, 'mm'), diameter: fact(12, 'mm'), height: fact(9, 'mm') },
        at: fact(40, 'mm'),
        clock: fact(0, 'deg'),
      },
      {
        id: 'c',
        kind: 'cell',
        name: 'Cell',
        specs: { length: fact(50, 'mm'), diameter: fact(24, 'mm') },
        at: fact(10, 'mm'),
      },
    ]
    s.hilt.clearance = fact(0, 'mm')
    expect(cavityOf(s).keeps).toMatchObject([{ inner: 9, x0: 40, x1: 52 }])
    // 30 − 24 leaves 6 across; the button takes exactly that.
    expect(fitParts(s)[0]).toMatchObject({ spareMm: expect.closeTo(0, 7), at: { under: 'front button', x: 40 } })
    s.parts[1]!.at = fact(53, 'mm')
    s.parts[1]!.specs.length = fact(40, 'mm')
    expect(fitParts(s)[0]!.spareMm).toBeCloseTo(6)
  })
})

describe('length that is left for a chamber', () => {
  const stretches = fc
    .array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 12 })), { maxLength: 5 })
    .map((list) => {
      let x = 0
      return list.map(([gap, long]) => {
        const lo = x + gap
        x = lo + long
        return { lo, hi: x }
      })
    })
  test('is every millimetre from there to the end in which nothing stays, counted one by one', () => {
    fc.assert(
      fc.property(stretches, fc.integer({ min: 0, max: 260 }), fc.integer({ min: 1, max: 60 }), (taken, x, more) => {
        const end = (taken.at(-1)?.hi ?? 0) + more
        let free = 0
        for (let mm = x; mm < end; mm++) if (!taken.some((t) => t.lo <= mm && mm < t.hi)) free++
        expect(leftAfter({ end, taken } as never, x)).toBe(free)
      }),
    )
  })
  test('the first start from a place on, and the last before it, are those that a walk over all finds', () => {
    fc.assert(
      fc.property(stretches, fc.integer({ min: -5, max: 130 }), (starts, x) => {
        const choice = {
          off: Int32Array.of(0, starts.length),
          lo: Float64Array.from(starts, (s) => s.lo),
          hi: Float64Array.from(starts, (s) => s.hi),
        } as never
        const every = starts.flatMap((s) => Array.from({ length: s.hi - s.lo + 1 }, (_, i) => s.lo + i))
        const after = every.filter((v) => v >= x)
        const before = every.filter((v) => v <= x)
        expect(firstFrom(choice, 0, x)).toBe(after.length ? Math.min(...after) : Number.NaN)
        expect(lastBefore(choice, 0, x)).toBe(before.length ? Math.max(...before) : Number.NaN)
      }),
      { numRuns: 600 },
    )
  })
})
