import { type Body, type Cavity, meet, passable, startsOf } from '../../geometry'
import type { Candidate, Class, LayoutProblem, LayoutResult, Verdict } from './problem'
import { EPS, heardFrom } from './room'

/** In how many layouts each size is. */
export type Hits = Record<'speaker' | 'cell' | 'board' | 'connector', Float64Array>

export interface Miss {
  over: number
  speaker: number
  cell: number
  board: number
}
export const worst = (n: number): Miss[] =>
  Array.from({ length: n }, () => ({ over: Infinity, speaker: -1, cell: -1, board: -1 }))

export function note(m: Miss, over: number, speaker: number, cell: number, board: number) {
  if (over >= m.over) return
  Object.assign(m, { over, speaker, cell, board })
}

export function verdictsOf(
  p: LayoutProblem,
  has: { speakers: Class[]; cells: Class[]; boards: Class[]; connectors: Class[] },
  hit: Hits,
  miss: { speaker: Miss[]; cell: Miss[]; board: Miss[] },
): LayoutResult['verdicts'] {
  const each = (
    rows: readonly Candidate[],
    classes: Class[],
    hits: Float64Array,
    misses: Miss[] | undefined,
    self: 'speaker' | 'cell' | 'board' | 'connector',
  ): Verdict[] => {
    const out: Verdict[] = rows.map(() => ({ ok: true, layouts: 0 }))
    const fitting = classes.flatMap((c, i) => (hits[i]! > 0 ? c.rows : []))
    classes.forEach((c, i) => {
      const verdict = hits[i]! > 0 ? { ok: true as const, layouts: hits[i]! } : refuse(p, c, misses?.[i], self, has)
      for (const r of c.rows) {
        if (verdict.ok) {
          out[r] = verdict
          continue
        }
        const next = verdict.why === 'others' ? undefined : nextDown(rows, fitting, r, verdict.why)
        out[r] = next ? { ...verdict, next } : verdict
      }
    })
    return out
  }
  return {
    speakers: each(p.speakers, has.speakers, hit.speaker, miss.speaker, 'speaker'),
    cells: each(p.cells, has.cells, hit.cell, miss.cell, 'cell'),
    boards: each(p.boards, has.boards, hit.board, miss.board, 'board'),
    connectors: each(p.connectors, has.connectors, hit.connector, undefined, 'connector'),
  }
}

/** The nearest row that does go in: the widest one narrower, or the longest one shorter; of those the best by score. */
function nextDown(rows: readonly Candidate[], fitting: number[], self: number, why: 'bore' | 'length') {
  const size = (c: Candidate) => (why === 'length' ? c.length : (c.d ?? Math.hypot(c.w!, c.t!)))
  const most = size(rows[self]!) - EPS
  let best: Candidate | undefined
  for (const f of fitting) {
    const row = rows[f]!
    if (size(row) >= most) continue
    if (!best || size(row) > size(best) || (size(row) === size(best) && row.score > best.score)) best = row
  }
  return best?.name
}

/** The millimetre that forbids a class: of the bore when it passes nowhere, else of the length. */
function refuse(
  p: LayoutProblem,
  c: Class,
  m: Miss | undefined,
  self: 'speaker' | 'cell' | 'board' | 'connector',
  has: { speakers: Class[]; cells: Class[]; boards: Class[] },
): Exclude<Verdict, { ok: true }> {
  const starts = (body: Body, extra: number) => {
    const all = startsOf(p.cavity, body, c.length, extra)
    if (self === 'connector') return meet(all, [{ lo: p.cavity.x1 - c.length, hi: p.cavity.x1 - c.length }])
    if (self !== 'speaker') return all
    return p.faces.flatMap((f) =>
      f === 'pommel' ? heardFrom(all, p.heard, 0, p.grille) : heardFrom(all, p.heard, c.length, 0),
    )
  }
  // Alone it needs least; where it may only lie beside, the best partner counts.
  const partners =
    self === 'cell'
      ? has.boards.map((b): Body => ({ ...(b.body as { w: number; t: number }), kind: 'pair', d: sizeOf(c) }))
      : self === 'board'
        ? has.cells.map((k): Body => ({ ...(c.body as { w: number; t: number }), kind: 'pair', d: sizeOf(k) }))
        : []
  let tight: { body: Body; extra: number } | undefined
  for (const body of p.mayLieInLine || !partners.length ? [c.body] : partners) {
    let [lo, hi] = [0, tight?.extra ?? 60]
    if (!starts(body, hi).length) continue
    if (starts(body, 0).length) hi = 0
    while (hi - lo > 1e-4) {
      const mid = (lo + hi) / 2
      if (starts(body, mid).length) hi = mid
      else lo = mid
    }
    if (!tight || hi < tight.extra) tight = { body, extra: hi }
  }
  if (tight && tight.extra > 0) {
    const place = narrowPart(p.cavity, tight.body, starts(tight.body, tight.extra)[0]!.lo, c.length)
    return { ok: false, why: 'bore', mm: 2 * tight.extra, ...place }
  }
  const over = m?.over ?? Infinity
  if (over === Infinity) {
    const alone = c.length - (p.cavity.x1 - p.cavity.x0)
    return alone > 0 ? { ok: false, why: 'length', mm: alone, with: '' } : { ok: false, why: 'others' }
  }
  const others = [
    ...(self === 'speaker' ? [] : [name(p.speakers, has.speakers[m!.speaker])]),
    ...(self === 'cell' ? [] : [name(p.cells, has.cells[m!.cell])]),
    ...(self === 'board' ? [] : [name(p.boards, has.boards[m!.board])]),
  ].filter((n) => n !== undefined)
  return { ok: false, why: 'length', mm: Math.max(0, over), with: others.join(' and ') }
}

/** Outer diameter of a round row, mm. */
const sizeOf = (c: Class) => (c.body as { d: number }).d
const name = (rows: readonly Candidate[], c: Class | undefined) => (c ? rows[c.rows[0]!]!.name : undefined)

/** From where to where the bore is too small for a body lying from x on. */
function narrowPart(cavity: Cavity, body: Body, x: number, length: number) {
  const pass = passable(cavity, body)
  const short = cavity.pieces.filter(
    (q) => q.x1 > x + EPS && q.x0 < x + length - EPS && !pass.some((r) => r.lo <= q.x0 + EPS && r.hi >= q.x1 - EPS),
  )
  return {
    from: Math.max(short[0]?.x0 ?? x, x),
    to: Math.min(short.at(-1)?.x1 ?? x + length, x + length),
    section: short[0]?.section ?? '',
  }
}
