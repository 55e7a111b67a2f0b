import { type Cavity, earliest, type Interval, meet, passable, startsOf } from './cavity'
import type { Body } from './radial'

/** One row that a slot may take. Sizes in mm, mass in g. */
export interface Candidate {
  id: string
  name: string
  length: number
  /** Round parts have d; a board has w and t. */
  d?: number
  w?: number
  t?: number
  mass: number
  /** What the row is worth in its slot: minutes of runtime for a cell. More is better. */
  score: number
}

export interface ChamberWish {
  d: number
  least: number
  mass: number
}

/** Everything the search needs, as plain values, so that it can travel to a worker. */
export interface LayoutProblem {
  cavity: Cavity
  speakers: Candidate[]
  cells: Candidate[]
  boards: Candidate[]
  /** Ends where the blade begins; at least one. */
  connectors: Candidate[]
  chamber?: ChamberWish
  /** Which ways of lying are allowed. */
  mayLieBeside: boolean
  mayLieInLine: boolean
  /** Which way the speaker may look. Towards the pommel it lies rearmost; towards the emitter it lies anywhere. */
  faces: ('pommel' | 'emitter')[]
  /** Stretches in which the speaker's face must lie to be heard: vents and grilles with their reach. Empty: anywhere. */
  heard: Interval[]
  /** Air kept behind a speaker's face at the pommel's grille, mm. */
  grille: number
  /** Mass and moment of all that does not change: hilt, buttons, fixed parts; g and g·mm. */
  fixed: { mass: number; moment: number }
  /** Wanted centre of mass, mm from the pommel. Absent: the balance does not count. */
  balance?: number
}

export type Token = 'speaker' | 'cell' | 'board' | 'chamber' | 'pairRear' | 'pairFront'
/** An order of things from the pommel forward, and which way the speaker looks. `pair…`: the board lies on the cell, ends flush at the rear or front. */
export interface Arrangement {
  faces: 'pommel' | 'emitter'
  order: Token[]
}

/** One feasible layout: rows by their index in the problem's lists, where each begins, and what it is worth. */
export interface Layout {
  arrangement: number
  speaker: number
  cell: number
  board: number
  connector: number
  at: { speaker: number; cell: number; board: number; connector: number; chamber?: number }
  /** Length left over with everything pushed to the rear and the chamber at its least, mm. */
  slack: number
  /** Longest chamber that still closes, mm; 0 without one. */
  chamber: number
  /** Centre of mass, mm from the pommel. */
  balance: number
  /** How far that is from where it is wanted, mm. */
  off: number
}

/** Why a row is in no feasible layout. */
export type Verdict =
  | { ok: true; layouts: number }
  | { ok: false; why: 'bore'; mm: number; from: number; to: number; section: string; next?: string }
  | { ok: false; why: 'length'; mm: number; with: string; next?: string }
  /** It would go in by itself, but nothing can be found for another place. */
  | { ok: false; why: 'others'; next?: string }

export interface LayoutResult {
  arrangements: Arrangement[]
  /** Combinations of rows and arrangements that plain enumeration would try. */
  raw: number
  feasible: number
  /**
   * Every feasible combination of sizes, in columns that travel to and from a worker without copying. Rows of one size
   * are one entry, so `feasible` counts the products; `layoutsOf` unfolds them.
   */
  found: { code: Float64Array; slack: Float64Array; chamber: Float64Array }
  /** Layouts that no other beats in every respect, best runtime first. */
  best: Layout[]
  verdicts: { speakers: Verdict[]; cells: Verdict[]; boards: Verdict[]; connectors: Verdict[] }
}

const EPS = 1e-9
/** Steps below which two layouts count as equal when the best are picked: minutes, mm. */
const GRAIN = { score: 1, d: 0.05, chamber: 0.1, slack: 0.1, off: 0.5 }

/** All arrangements that the rules of the problem allow. */
export function arrangementsOf(p: Pick<LayoutProblem, 'faces' | 'mayLieBeside' | 'mayLieInLine' | 'chamber'>) {
  const out: Arrangement[] = []
  const bodies: Token[][] = [
    ...(p.mayLieInLine ? [['cell', 'board'] as Token[]] : []),
    ...(p.mayLieBeside ? [['pairRear'] as Token[], ['pairFront'] as Token[]] : []),
  ]
  for (const faces of p.faces)
    for (const body of bodies)
      for (const order of permutations<Token>(['speaker', ...body, ...(p.chamber ? (['chamber'] as Token[]) : [])]))
        if (faces === 'emitter' || order[0] === 'speaker') out.push({ faces, order })
  return out
}

function permutations<T>(items: T[]): T[][] {
  if (items.length < 2) return [items]
  return items.flatMap((x, i) => permutations(items.filter((_, j) => j !== i)).map((rest) => [x, ...rest]))
}

/** Rows of one size, found once. */
interface Class {
  rows: number[]
  length: number
  body: Body
  key: string
}

function classesOf(rows: readonly Candidate[], body: (c: Candidate) => Body): Class[] {
  const by = new Map<string, Class>()
  rows.forEach((c, i) => {
    const key = `${c.length}/${c.d ?? ''}/${c.w ?? ''}/${c.t ?? ''}`
    const found = by.get(key)
    if (found) found.rows.push(i)
    else by.set(key, { rows: [i], length: c.length, body: body(c), key })
  })
  return [...by.values()]
}

/** The cavity with its last stretch drawn out, so that what is too long by a little can be measured. */
function drawnOut(cavity: Cavity, end: number): Cavity {
  const inside = cavity.pieces.filter((p) => p.x0 < end - EPS)
  const last = inside.at(-1)
  if (!last) return { ...cavity, pieces: [] }
  const cut = Math.min(last.x1, end)
  const rCut = last.r0 + ((last.r1 - last.r0) * (cut - last.x0)) / (last.x1 - last.x0)
  return {
    ...cavity,
    pieces: [
      ...inside.slice(0, -1),
      { ...last, x1: cut, r1: rCut },
      { ...last, x0: cut, x1: end + 2000, r0: rCut, r1: rCut, keeps: [] },
    ],
  }
}

/** What may stand at one place of an order: where each item may begin, flattened for the inner loop, and its length. */
interface Choice {
  n: number
  off: Int32Array
  lo: Float64Array
  hi: Float64Array
  len: Float64Array
}

function choiceOf(items: { starts: readonly Interval[]; length: number }[]): Choice {
  const all = items.flatMap((i) => i.starts)
  const off = new Int32Array(items.length + 1)
  items.forEach((item, i) => {
    off[i + 1] = off[i]! + item.starts.length
  })
  return {
    n: items.length,
    off,
    lo: Float64Array.from(all, (s) => s.lo),
    hi: Float64Array.from(all, (s) => s.hi),
    len: Float64Array.from(items, (i) => i.length),
  }
}

/** `earliest` and `latest` of the cavity on flattened starts; NaN when there is none. */
function firstFrom(c: Choice, item: number, x: number): number {
  for (let i = c.off[item]!; i < c.off[item + 1]!; i++) if (c.hi[i]! >= x - EPS) return Math.max(c.lo[i]!, x)
  return Number.NaN
}
function lastBefore(c: Choice, item: number, x: number): number {
  for (let i = c.off[item + 1]! - 1; i >= c.off[item]!; i--) if (c.lo[i]! <= x + EPS) return Math.min(c.hi[i]!, x)
  return Number.NaN
}

/** The problem's rows by size, and for one connector what may stand where. */
interface Prepared {
  speakers: Class[]
  cells: Class[]
  boards: Class[]
  connectors: Class[]
  room: (connector: number) => Room | undefined
}
interface Room {
  end: number
  /** Stretches in which something lies that stays: no length to be had there. */
  taken: Interval[]
  choices: Record<'speakerpommel' | 'speakeremitter' | 'cell' | 'board' | 'chamber' | 'pairRear' | 'pairFront', Choice>
  chamber: Interval[]
}

function prepare(p: LayoutProblem): Prepared {
  const speakers = classesOf(p.speakers, (c) => ({ kind: 'coaxial', d: c.d! }))
  const cells = classesOf(p.cells, (c) => ({ kind: 'round', d: c.d! }))
  const boards = classesOf(p.boards, (c) => ({ kind: 'slab', w: c.w!, t: c.t! }))
  const connectors = classesOf(p.connectors, (c) => ({ kind: 'coaxial', d: c.d! }))
  const build = (n: number): Room | undefined => {
    const k = connectors[n]!
    const end = p.cavity.x1 - k.length
    if (earliest(startsOf(p.cavity, k.body, k.length), end) > end + EPS) return undefined
    const room = drawnOut(p.cavity, end)
    const starts = (c: Class) => startsOf(room, c.body, c.length)
    const pairs = p.mayLieBeside ? cells.flatMap((c) => boards.map((b) => pairSteps(room, c, b))) : []
    const chamber: Body | undefined = p.chamber && { kind: 'round', d: p.chamber.d }
    return {
      end,
      taken: gapsOf(p.cavity, end),
      choices: {
        speakerpommel: choiceOf(
          speakers.map((c) => ({ starts: heardFrom(starts(c), p.heard, 0, Math.max(0, p.grille)), length: c.length })),
        ),
        speakeremitter: choiceOf(
          speakers.map((c) => ({ starts: heardFrom(starts(c), p.heard, c.length, 0), length: c.length })),
        ),
        cell: choiceOf(cells.map((c) => ({ starts: starts(c), length: c.length }))),
        board: choiceOf(boards.map((c) => ({ starts: starts(c), length: c.length }))),
        chamber: choiceOf(
          chamber ? [{ starts: startsOf(room, chamber, p.chamber!.least), length: p.chamber!.least }] : [],
        ),
        pairRear: choiceOf(pairs.map((q) => q.rear)),
        pairFront: choiceOf(pairs.map((q) => q.front)),
      },
      chamber: chamber ? passable(room, chamber) : [],
    }
  }
  const rooms = new Map<number, Room | undefined>()
  const room = (n: number) => {
    if (!rooms.has(n)) rooms.set(n, build(n))
    return rooms.get(n)
  }
  return { speakers, cells, boards, connectors, room }
}

const choiceAt = (room: Room, arr: Arrangement, i: number): Choice => {
  const t = arr.order[i]!
  return room.choices[t === 'speaker' ? (`speaker${arr.faces}` as const) : t]
}

/** Stretches before `end` that no piece of the cavity covers. */
function gapsOf(cavity: Cavity, end: number): Interval[] {
  const gaps: Interval[] = []
  let x = cavity.x0
  for (const q of cavity.pieces) {
    if (q.x0 > x + EPS && x < end) gaps.push({ lo: x, hi: Math.min(q.x0, end) })
    x = Math.max(x, q.x1)
  }
  return gaps
}

/** Length to be had between x and the end: what is left, less what is taken there. */
function leftAfter(room: Room, x: number): number {
  let left = room.end - x
  for (const g of room.taken) if (g.hi > x) left -= g.hi - Math.max(g.lo, x)
  return Math.max(left, 0)
}

/** Columns that grow by doubling. */
class Column {
  data = new Float64Array(1024)
  n = 0
  push(v: number) {
    if (this.n === this.data.length) {
      const next = new Float64Array(this.n * 2)
      next.set(this.data)
      this.data = next
    }
    this.data[this.n++] = v
  }
  done = () => this.data.slice(0, this.n)
}

/** One combination of sizes on its way through an order. */
interface Walk {
  arr: Arrangement
  room: Room
  choices: Choice[]
  /** Where in the order the chamber stands; −1 without one. */
  chamberAt: number
  pick: Int32Array
  /** Where each thing begins with everything pushed to the rear; after `settle`, where it stands. */
  at: Float64Array
  speaker: number
  cell: number
  board: number
}

/**
 * Settles a combination that closes: without a chamber all stays at the rear. With one, what lies ahead of it moves to the
 * front and the chamber takes the longest stretch between. Changes `w.at`; returns the chamber's length.
 */
function settle(w: Walk): number {
  const xi = w.chamberAt
  if (xi < 0) return 0
  let x = w.room.end
  for (let i = w.pick.length - 1; i > xi; i--) {
    const c = w.choices[i]!
    x = lastBefore(c, w.pick[i]!, x - c.len[w.pick[i]!]!)
    w.at[i] = x
  }
  const from = xi > 0 ? w.at[xi - 1]! + w.choices[xi - 1]!.len[w.pick[xi - 1]!]! : 0
  let best = 0
  for (let i = 0; i < w.room.chamber.length; i++) {
    const r = w.room.chamber[i]!
    const lo = Math.max(r.lo, from)
    const length = Math.min(r.hi, x) - lo
    if (length > best) {
      best = length
      w.at[xi] = lo
    }
  }
  return best
}

/** Where the rows stand in a settled combination. */
function placesOf(p: Prepared, w: Walk, start: number): Layout['at'] {
  const { order } = w.arr
  const lengths = Math.max(p.cells[w.cell]!.length, p.boards[w.board]!.length)
  const where = (t: Token) => w.at[order.indexOf(t)]!
  const pair = order.find((t) => t === 'pairRear' || t === 'pairFront')
  const shift = (own: number) => (pair === 'pairFront' ? lengths - own : 0)
  return {
    speaker: where('speaker'),
    cell: pair ? where(pair) + shift(p.cells[w.cell]!.length) : where('cell'),
    board: pair ? where(pair) + shift(p.boards[w.board]!.length) : where('board'),
    connector: start,
    ...(order.includes('chamber') ? { chamber: where('chamber') } : {}),
  }
}

/**
 * Finds every layout that closes, and of them the best trade-offs between runtime, speaker size, chamber length, slack and
 * balance. Exact and deterministic: for a given order, pushing each thing as far to the rear as it goes leaves the most
 * room for the rest, so one pass decides; rows of equal size are decided once. `report` hears the share done, 0…1.
 */
export function findLayouts(p: LayoutProblem, report?: (share: number) => void): LayoutResult {
  const arrangements = arrangementsOf(p)
  const has = prepare(p)
  const { speakers, cells, boards, connectors } = has
  // Least length that was missing for each class, and what stood beside it then.
  const miss = { speaker: worst(speakers.length), cell: worst(cells.length), board: worst(boards.length) }
  const hit = {
    speaker: speakers.map(() => 0),
    cell: cells.map(() => 0),
    board: boards.map(() => 0),
    connector: connectors.map(() => 0),
  }
  const [code, slack, chambers] = [new Column(), new Column(), new Column()]
  const front = new Front()
  let feasible = 0

  connectors.forEach((k, ki) => {
    const room = has.room(ki)
    if (!room) return
    const { end } = room
    arrangements.forEach((arr, ai) => {
      report?.((ki * arrangements.length + ai) / (connectors.length * arrangements.length))
      const n = arr.order.length
      const choices = arr.order.map((_, i) => choiceAt(room, arr, i))
      const slotAt = (t: Token) => arr.order.indexOf(t)
      const pairAt = arr.order.findIndex((t) => t === 'pairRear' || t === 'pairFront')
      const flushFront = arr.order[pairAt] === 'pairFront'
      const si = slotAt('speaker')
      const ci = pairAt >= 0 ? pairAt : slotAt('cell')
      const bi = pairAt >= 0 ? pairAt : slotAt('board')
      const xi = slotAt('chamber')
      const w: Walk = {
        arr,
        room,
        choices,
        chamberAt: xi,
        pick: new Int32Array(n),
        at: new Float64Array(n),
        speaker: 0,
        cell: 0,
        board: 0,
      }
      const rear = new Float64Array(n)
      const leaf = (x: number) => {
        w.speaker = w.pick[si]!
        if (pairAt >= 0) {
          w.cell = Math.floor(w.pick[pairAt]! / boards.length)
          w.board = w.pick[pairAt]! % boards.length
        } else {
          w.cell = w.pick[ci]!
          w.board = w.pick[bi]!
        }
        const over = x - end
        if (over > 1e-6) {
          note(miss.speaker[w.speaker]!, over, w)
          note(miss.cell[w.cell]!, over, w)
          note(miss.board[w.board]!, over, w)
          return
        }
        const s = speakers[w.speaker]!
        const c = cells[w.cell]!
        const b = boards[w.board]!
        const count = s.rows.length * c.rows.length * b.rows.length * k.rows.length
        feasible += count
        hit.speaker[w.speaker]! += count / s.rows.length
        hit.cell[w.cell]! += count / c.rows.length
        hit.board[w.board]! += count / b.rows.length
        hit.connector[ki]! += count / k.rows.length
        // Settling moves what stands ahead of the chamber; the walk goes on from the places at the rear.
        if (xi >= 0) for (let i = 0; i < n; i++) rear[i] = w.at[i]!
        const chamber = settle(w)
        const left = leftAfter(room, x)
        code.push(encode(has, ai, w.speaker, w.cell, w.board, ki))
        slack.push(left)
        chambers.push(chamber)
        const longer = flushFront ? Math.max(c.length, b.length) : 0
        const atSpeaker = w.at[si]! + s.length / 2
        const atCell = w.at[ci]! + (flushFront ? longer - c.length : 0) + c.length / 2
        const atBoard = w.at[bi]! + (flushFront ? longer - b.length : 0) + b.length / 2
        const own = xi >= 0 ? p.chamber!.mass : 0
        const base = p.fixed.moment + (own ? own * (w.at[xi]! + chamber / 2) : 0)
        const wantChamber = Math.round(chamber / GRAIN.chamber)
        const wantSlack = Math.round(left / GRAIN.slack)
        for (let i = 0; i < s.rows.length; i++)
          for (let j = 0; j < c.rows.length; j++)
            for (let l = 0; l < b.rows.length; l++)
              for (let q = 0; q < k.rows.length; q++) {
                const sr = p.speakers[s.rows[i]!]!
                const cr = p.cells[c.rows[j]!]!
                const mb = p.boards[b.rows[l]!]!.mass
                const mk = p.connectors[k.rows[q]!]!.mass
                const m = p.fixed.mass + own + sr.mass + cr.mass + mb + mk
                const moment = base + sr.mass * atSpeaker + cr.mass * atCell + mb * atBoard + mk * (end + k.length / 2)
                const off = p.balance === undefined ? 0 : Math.abs((m > 0 ? moment / m : 0) - p.balance)
                front.offer(
                  Math.round(cr.score / GRAIN.score),
                  Math.round(sr.d! / GRAIN.d),
                  wantChamber,
                  wantSlack,
                  -Math.round(off / GRAIN.off),
                  w,
                  ai,
                  ki,
                  s.rows[i]!,
                  c.rows[j]!,
                  b.rows[l]!,
                  k.rows[q]!,
                )
              }
        if (xi >= 0) for (let i = 0; i < n; i++) w.at[i] = rear[i]!
      }
      const descend = (i: number, x: number) => {
        const choice = choices[i]!
        for (let item = 0; item < choice.n; item++) {
          const from = firstFrom(choice, item, x)
          if (Number.isNaN(from)) continue
          w.at[i] = from
          w.pick[i] = item
          if (i === n - 1) leaf(from + choice.len[item]!)
          else descend(i + 1, from + choice.len[item]!)
        }
      }
      descend(0, p.cavity.x0)
    })
  })
  report?.(1)
  const raw = p.speakers.length * p.cells.length * p.boards.length * p.connectors.length * arrangements.length
  return {
    arrangements,
    raw,
    feasible,
    found: { code: code.done(), slack: slack.done(), chamber: chambers.done() },
    best: front.sorted().map((f) => layoutFor(p, has, arrangements, f.arrangement, f.classes, f.rows)),
    verdicts: verdictsOf(p, has, hit, miss),
  }
}

const encode = (has: Prepared, arrangement: number, s: number, c: number, b: number, k: number) =>
  (((arrangement * has.speakers.length + s) * has.cells.length + c) * has.boards.length + b) * has.connectors.length + k

/** Unfolds what a search found into single layouts, in the order of the search. */
export function* layoutsOf(p: LayoutProblem, r: LayoutResult): Generator<Layout> {
  const has = prepare(p)
  for (let code of r.found.code) {
    const digit = (base: number) => {
      const d = code % base
      code = Math.floor(code / base)
      return d
    }
    const k = digit(has.connectors.length)
    const b = digit(has.boards.length)
    const c = digit(has.cells.length)
    const s = digit(has.speakers.length)
    for (const sr of has.speakers[s]!.rows)
      for (const cr of has.cells[c]!.rows)
        for (const br of has.boards[b]!.rows)
          for (const kr of has.connectors[k]!.rows)
            yield layoutFor(p, has, r.arrangements, code, [s, c, b, k], [sr, cr, br, kr])
  }
}

type Four = [speaker: number, cell: number, board: number, connector: number]

/** One layout in full: the places of one choice of rows in one arrangement, found again. */
function layoutFor(
  p: LayoutProblem,
  has: Prepared,
  arrangements: readonly Arrangement[],
  arrangement: number,
  [s, c, b, k]: Four,
  [speaker, cell, board, connector]: Four,
): Layout {
  const arr = arrangements[arrangement]!
  const room = has.room(k)!
  const w: Walk = {
    arr,
    room,
    choices: arr.order.map((_, i) => choiceAt(room, arr, i)),
    chamberAt: arr.order.indexOf('chamber'),
    pick: Int32Array.from(arr.order, (t) =>
      t === 'speaker' ? s : t === 'cell' ? c : t === 'board' ? b : t === 'chamber' ? 0 : c * has.boards.length + b,
    ),
    at: new Float64Array(arr.order.length),
    speaker: s,
    cell: c,
    board: b,
  }
  let x = p.cavity.x0
  w.choices.forEach((choice, i) => {
    w.at[i] = firstFrom(choice, w.pick[i]!, x)
    x = w.at[i]! + choice.len[w.pick[i]!]!
  })
  const chamber = settle(w)
  const at = placesOf(has, w, room.end)
  let m = p.fixed.mass
  let mx = p.fixed.moment
  const add = (mass: number, from: number, length: number) => {
    m += mass
    mx += mass * (from + length / 2)
  }
  add(p.speakers[speaker]!.mass, at.speaker, p.speakers[speaker]!.length)
  add(p.cells[cell]!.mass, at.cell, p.cells[cell]!.length)
  add(p.boards[board]!.mass, at.board, p.boards[board]!.length)
  add(p.connectors[connector]!.mass, at.connector, p.connectors[connector]!.length)
  if (p.chamber && at.chamber !== undefined) add(p.chamber.mass, at.chamber, chamber)
  const balance = m > 0 ? mx / m : 0
  return {
    arrangement,
    speaker,
    cell,
    board,
    connector,
    at,
    slack: leftAfter(room, x),
    chamber,
    balance,
    off: p.balance === undefined ? 0 : Math.abs(balance - p.balance),
  }
}

/** What a layout is worth, more is better in each place, in whole grains. */
export function worth(p: LayoutProblem, l: Layout): number[] {
  return [
    Math.round(p.cells[l.cell]!.score / GRAIN.score),
    Math.round(p.speakers[l.speaker]!.d! / GRAIN.d),
    Math.round(l.chamber / GRAIN.chamber),
    Math.round(l.slack / GRAIN.slack),
    -Math.round(l.off / GRAIN.off),
  ]
}

/** An offer that stands: worth in whole grains (runtime, speaker, chamber, slack, balance), and what it is. */
interface Offered {
  a: number
  b: number
  c: number
  d: number
  e: number
  arrangement: number
  classes: Four
  rows: Four
}

/**
 * The layouts that no other covers. Of several that are worth the same the first in the problem's order stays. What
 * covered the last offer is asked first, since neighbours in the search are mostly covered by the same.
 */
class Front {
  private list: Offered[] = []

  offer(
    a: number,
    b: number,
    c: number,
    d: number,
    e: number,
    walk: Walk,
    arrangement: number,
    connector: number,
    sr: number,
    cr: number,
    br: number,
    kr: number,
  ) {
    const list = this.list
    for (let i = 0; i < list.length; i++) {
      const has = list[i]!
      if (has.a < a || has.b < b || has.c < c || has.d < d || has.e < e) continue
      if (has.a === a && has.b === b && has.c === c && has.d === d && has.e === e) {
        const mine = [arrangement, sr, cr, br, kr]
        const theirs = [has.arrangement, ...has.rows]
        const n = mine.findIndex((v, k) => v !== theirs[k])
        if (n < 0 || mine[n]! > theirs[n]!) return
        list.splice(i, 1)
        break
      }
      if (i > 0) {
        list[i] = list[i >> 1]!
        list[i >> 1] = has
      }
      return
    }
    this.list = list.filter((x) => x.a > a || x.b > b || x.c > c || x.d > d || x.e > e)
    this.list.push({
      ...{ a, b, c, d, e, arrangement },
      rows: [sr, cr, br, kr],
      classes: [walk.speaker, walk.cell, walk.board, connector],
    })
  }

  sorted = () => this.list.sort((x, y) => y.a - x.a || y.b - x.b || y.c - x.c || y.d - x.d || y.e - x.e)
}

interface Miss {
  over: number
  speaker: number
  cell: number
  board: number
}
const worst = (n: number): Miss[] =>
  Array.from({ length: n }, () => ({ over: Infinity, speaker: -1, cell: -1, board: -1 }))

function note(m: Miss, over: number, w: Walk) {
  if (over >= m.over) return
  m.over = over
  m.speaker = w.speaker
  m.cell = w.cell
  m.board = w.board
}

/** Starts from which the face, `face` mm ahead of the start, is heard; a pommel-facing one also keeps clear of the grille. */
function heardFrom(starts: Interval[], heard: Interval[], face: number, clear: number): Interval[] {
  const free = clear > 0 ? meet(starts, [{ lo: clear, hi: Infinity }]) : starts
  return heard.length ? meet(free, heard, face) : free
}

interface Step {
  starts: Interval[]
  length: number
}

/** A board on a cell, ends flush at the rear or at the front: where the two together may begin. */
function pairSteps(room: Cavity, cell: Class, board: Class): { rear: Step; front: Step } {
  const body: Body = {
    kind: 'pair',
    d: (cell.body as { d: number }).d,
    w: (board.body as { w: number }).w,
    t: (board.body as { t: number }).t,
  }
  const length = Math.max(cell.length, board.length)
  // The whole cell needs its own room; only where the board lies on it does the pair need more. A board longer than the
  // cell is held to the pair's room over all its length.
  const whole = startsOf(room, board.length >= cell.length ? body : cell.body, length)
  const narrow = startsOf(room, body, board.length)
  return {
    rear: { starts: meet(whole, narrow), length },
    front: { starts: meet(whole, narrow, length - board.length), length },
  }
}

function verdictsOf(
  p: LayoutProblem,
  has: { speakers: Class[]; cells: Class[]; boards: Class[]; connectors: Class[] },
  hit: { speaker: number[]; cell: number[]; board: number[]; connector: number[] },
  miss: { speaker: Miss[]; cell: Miss[]; board: Miss[] },
): LayoutResult['verdicts'] {
  const each = (
    rows: readonly Candidate[],
    classes: Class[],
    hits: number[],
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

/** The nearest row that does go in: the widest one narrower, or the longest one shorter. */
function nextDown(rows: readonly Candidate[], fitting: number[], self: number, why: 'bore' | 'length') {
  const size = (c: Candidate) => (why === 'length' ? c.length : (c.d ?? Math.hypot(c.w!, c.t!)))
  const smaller = fitting.filter((f) => size(rows[f]!) < size(rows[self]!) - EPS)
  return smaller
    .sort((a, b) => size(rows[b]!) - size(rows[a]!) || rows[b]!.score - rows[a]!.score || a - b)
    .map((f) => rows[f]!.name)[0]
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
