import { arrangementsOf, type Candidate, evenNumbers, findLayouts, type LayoutProblem, worth } from '@nubrin/core/fit'
import { type Body, type Cavity, type Interval, needRadius, reachesOf } from '@nubrin/core/geometry'

/**
 * A shelf of 500 parts. `alike`: sizes as catalogues print them, bare cells by their code, protected ones in half
 * millimetres, speakers by nominal diameter and depth; otherwise each a few tenths off, so that hardly two are of one size.
 */
export function largeProblem(alike: boolean): LayoutProblem {
  const even = evenNumbers(20)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(even() * list.length)]!
  const off = (v: number, by: number, step = 0.1) => Math.round((v + (even() - 0.5) * by) / step) * step
  const codes = [
    [14, 50],
    [16, 34],
    [18.3, 35],
    [18.4, 50],
    [18.5, 65.1],
    [18.6, 69.5],
    [21.4, 70.4],
    [21.7, 75.5],
  ] as const
  const cells: Candidate[] = Array.from({ length: 260 }, (_, i) => {
    const [d, l] = pick(codes)
    const bare = even() < 0.4
    return {
      id: `cell-${i}`,
      name: `cell ${i}`,
      length: alike ? (bare ? l : off(l + 3, 3, 0.5)) : off(l, 0.8),
      d: alike ? (bare ? d : d + 0.3) : off(d, 0.4),
      mass: off(40, 20, 0.5),
      score: Math.round((l * d * d) / 140 + even() * 30),
    }
  })
  const speakers: Candidate[] = Array.from({ length: 238 }, (_, i) => ({
    id: `speaker-${i}`,
    name: `speaker ${i}`,
    length: alike ? pick([4, 4.5, 5, 5.4, 6, 6.2, 7, 8.2, 9.5, 11.8]) : off(pick([4.6, 5.4, 6.2, 8.2, 9.5, 11.8]), 0.4),
    d: pick([20, 22, 24, 25, 28, 36]) + (alike ? 0 : pick([0, 0, 0.2])),
    mass: off(12, 8, 0.5),
    score: 0,
  }))
  const piece = (x0: number, x1: number, r0: number, r1: number, depth = 0): Cavity['pieces'][number] => ({
    ...{ x0, x1, r0, r1, section: 'bore', clearance: 0 },
    keeps: depth ? [{ ref: 'part:k', name: 'button', x0, x1, inner: r0 - depth, clock: 0 }] : [],
  })
  return {
    cavity: {
      x0: 0,
      x1: 196,
      keeps: [],
      needs: [],
      pieces: [
        piece(0, 32, 15.2, 15.2),
        piece(32, 112, 13.8, 13.8),
        piece(112, 120, 13.8, 13.8, 4.5),
        piece(120, 148, 13.8, 13.8),
        piece(148, 158, 13.8, 12.2),
        piece(158, 196, 12.2, 12.2),
      ],
    },
    cells,
    speakers,
    boards: [{ id: 'b', name: 'board', length: 34.8, w: 18.2, t: 4.4, mass: 6, score: 0 }],
    connectors: [{ id: 'k', name: 'connector', length: 11.2, d: 23.2, mass: 9, score: 0 }],
    chamber: { d: 22, least: 27, mass: 14 },
    mayLieBeside: true,
    mayLieInLine: true,
    faces: ['pommel', 'emitter'],
    heard: [{ lo: -37, hi: 57 }],
    grille: 0.5,
    fixed: { mass: 420, moment: 52_000 },
    balance: 118,
  }
}

interface Plain {
  feasible: number
  /** What the layouts that no other covers are worth. */
  best: number[][]
}

/** Every row with every row in every order, each looked at by itself: what the search is measured against. */
export function plainSearch(p: LayoutProblem): Plain {
  const pieces = p.cavity.pieces.map((q) => ({ ...q, reaches: reachesOf(q) }))
  type Piece = (typeof pieces)[number]
  /** The part of a piece that is too narrow for a body. */
  const narrow = (q: Piece, body: Body): Interval | undefined => {
    const need = needRadius(body, q.reaches)
    const [a, z] = [q.r0 < need - 1e-9, q.r1 < need - 1e-9]
    const meets = a === z ? 0 : q.x0 + ((need - q.r0) / (q.r1 - q.r0)) * (q.x1 - q.x0)
    return a || z ? { lo: a ? q.x0 : meets, hi: z ? q.x1 : meets } : undefined
  }
  const inWay = (q: Piece, body: Body, x: number, length: number) => {
    if (q.x1 <= x || q.x0 >= x + length) return undefined
    const part = narrow(q, body)
    return part && part.hi > x + 1e-9 && part.lo < x + length - 1e-9 ? part : undefined
  }
  type Ok = (x: number) => number | undefined
  const anywhere: Ok = (x) => x
  /** First place from x on, or last up to x, at which a body lies in the cavity over its whole length. */
  const slide = (way: 1 | -1, body: Body, length: number, from: number, ok: Ok): number => {
    let x = from
    for (let guard = 0; guard < 40; guard++) {
      const wanted = ok(x)
      if (wanted === undefined || (way < 0 && wanted < p.cavity.x0 - 1e-9)) return Number.NaN
      x = wanted
      if (x + length > p.cavity.x1 + 1e-9) return Number.NaN
      let bad: Interval | undefined
      for (let i = 0; i < pieces.length && !bad; i++)
        bad = inWay(pieces[way > 0 ? i : pieces.length - 1 - i]!, body, x, length)
      if (!bad) return x
      x = way > 0 ? bad.hi : bad.lo - length
    }
    return Number.NaN
  }
  const worths: number[][] = []
  const covers = (x: number[], y: number[]) =>
    x[0]! >= y[0]! && x[1]! >= y[1]! && x[2]! >= y[2]! && x[3]! >= y[3]! && x[4]! >= y[4]!
  let feasible = 0
  for (const arr of arrangementsOf(p))
    for (const s of p.speakers)
      for (const c of p.cells)
        for (const b of p.boards)
          for (const k of p.connectors) {
            const end = p.cavity.x1 - k.length
            const long = Math.max(c.length, b.length)
            const lengths = {
              ...{ speaker: s.length, cell: c.length, board: b.length },
              ...{ pairRear: long, pairFront: long, chamber: p.chamber?.least ?? 0 },
            }
            const place = (t: keyof typeof lengths, x: number, way: 1 | -1): number => {
              if (t === 'speaker') {
                const face = arr.faces === 'pommel' ? 0 : s.length
                const heard: Ok = (v) => {
                  const at = arr.faces === 'pommel' && way > 0 ? Math.max(v, p.grille) : v
                  if (arr.faces === 'pommel' && at < p.grille) return undefined
                  const list = way > 0 ? p.heard : p.heard.toReversed()
                  const h = list.find((q) => (way > 0 ? q.hi >= at + face : q.lo <= at + face))
                  return h && (way > 0 ? Math.max(at, h.lo - face) : Math.min(at, h.hi - face))
                }
                return slide(way, { kind: 'coaxial', d: s.d! }, s.length, x, heard)
              }
              if (t === 'cell') return slide(way, { kind: 'round', d: c.d! }, c.length, x, anywhere)
              if (t === 'board') return slide(way, { kind: 'slab', w: b.w!, t: b.t! }, b.length, x, anywhere)
              if (t === 'chamber') return slide(way, { kind: 'round', d: p.chamber!.d }, lengths.chamber, x, anywhere)
              const pair: Body = { kind: 'pair', d: c.d!, w: b.w!, t: b.t! }
              const shift = t === 'pairFront' ? long - b.length : 0
              let at = x
              for (let guard = 0; guard < 20; guard++) {
                const whole = slide(way, b.length >= c.length ? pair : { kind: 'round', d: c.d! }, long, at, anywhere)
                at = slide(way, pair, b.length, whole + shift, anywhere) - shift
                if (whole === at || Number.isNaN(at)) break
              }
              return at
            }
            const at: number[] = []
            let x = p.cavity.x0
            for (const t of arr.order) {
              const from = place(t, x, 1)
              at.push(from)
              x = from + lengths[t]
              if (!(x <= end + 1e-6)) break
            }
            if (!(x <= end + 1e-6)) continue
            feasible++
            const slack = end - x
            const chamberAt = arr.order.indexOf('chamber')
            let chamber = 0
            if (chamberAt >= 0) {
              let to = end
              for (let i = arr.order.length - 1; i > chamberAt; i--) {
                to = place(arr.order[i]!, to - lengths[arr.order[i]!], -1)
                at[i] = to
              }
              const from = chamberAt ? at[chamberAt - 1]! + lengths[arr.order[chamberAt - 1]!] : p.cavity.x0
              // The longest run of pieces between the two in which the chamber's diameter goes.
              let run = from
              const stop = (x: number) => {
                if (x - run <= chamber) return
                chamber = x - run
                at[chamberAt] = run
              }
              for (const q of pieces) {
                const part = inWay(q, { kind: 'round', d: p.chamber!.d }, from, to - from)
                if (!part) continue
                stop(Math.min(part.lo, to))
                run = Math.max(run, part.hi)
              }
              stop(to)
            }
            const middle = (t: 'speaker' | 'cell' | 'board', own: number) => {
              const i = arr.order.findIndex(
                (o) => o === t || (t !== 'speaker' && (o === 'pairRear' || o === 'pairFront')),
              )
              return at[i]! + (arr.order[i] === 'pairFront' ? long - own : 0) + own / 2
            }
            const bodies = [
              [p.fixed.mass, p.fixed.moment / p.fixed.mass],
              [s.mass, middle('speaker', s.length)],
              [c.mass, middle('cell', c.length)],
              [b.mass, middle('board', b.length)],
              [k.mass, end + k.length / 2],
              [chamberAt < 0 ? 0 : p.chamber!.mass, chamberAt < 0 ? 0 : at[chamberAt]! + chamber / 2],
            ] as const
            const mass = bodies.reduce((m, [own]) => m + own, 0)
            const balance = bodies.reduce((m, [own, mid]) => m + own * mid, 0) / mass
            const worth = [
              Math.round(c.score),
              Math.round(s.d! / 0.05),
              Math.round(chamber / 0.1),
              Math.round(slack / 0.1),
              -Math.round(Math.abs(balance - p.balance!) / 0.5),
            ]
            if (worths.some((w) => covers(w, worth))) continue
            for (let i = worths.length - 1; i >= 0; i--) if (covers(worth, worths[i]!)) worths.splice(i, 1)
            worths.push(worth)
          }
  return { feasible, best: worths }
}

/** One line for the report: the search against plain enumeration over the same shelf, in the same run. */
export function compare(what: string, p: LayoutProblem, peer: boolean): string {
  const time = () => {
    const t = performance.now()
    const r = findLayouts(p)
    return { r, ms: performance.now() - t }
  }
  for (let i = 0; i < 3; i++) time()
  const runs = Array.from({ length: 9 }, time).sort((a, b) => a.ms - b.ms)
  const { r, ms: fast } = runs[4]!
  const parts = p.cells.length + p.speakers.length + p.boards.length + p.connectors.length
  const own = `layouts, ${parts} parts ${what}, ${r.raw.toLocaleString('en')} combinations, ${r.feasible.toLocaleString('en')} close, ${r.best.length} best: ${fast.toFixed(0)} ms of 150 ms, ratio ${(150 / fast).toFixed(1)}`
  if (!peer) return own
  const t = performance.now()
  const plain = plainSearch(p)
  const slow = performance.now() - t
  if (plain.feasible !== r.feasible) throw new Error(`found ${r.feasible}, plain enumeration ${plain.feasible}`)
  const words = (worths: number[][]) => worths.map(String).sort().join(' ')
  if (words(plain.best) !== words(r.best.map((l) => worth(p, l)))) throw new Error('the best are not the same')
  return `${own}; plain enumeration ${(slow / 1000).toFixed(1)} s, ratio ${(slow / fast).toFixed(0)}`
}
