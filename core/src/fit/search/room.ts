import { type Body, type Cavity, earliest, type Interval, meet, passable, startsOf } from '../../geometry'
import { type Arrangement, type Class, classesOf, type LayoutProblem } from './problem'

export const EPS = 1e-9

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

/**
 * What may stand at one place of an order. Sizes of one length that may begin at the same places are one item, since all
 * else that a search asks of them is the same. Starts are flattened for the inner loop.
 */
export interface Choice {
  /** The starts of item i are those from off[i] up to off[i + 1]. */
  off: Int32Array
  lo: Float64Array
  hi: Float64Array
  len: Float64Array
  /** Classes of each item, and the item of each class. */
  members: number[][]
  itemOf: Int32Array
}

const columns = (all: readonly Interval[]) => ({
  lo: Float64Array.from(all, (s) => s.lo),
  hi: Float64Array.from(all, (s) => s.hi),
})

/** `length`: what is taken up; `own`: of the row itself, where a pair takes up more. */
interface Step {
  starts: readonly Interval[]
  length: number
  own?: number
}

function choiceOf(classes: Step[]): Choice {
  const items = new Map<string, { step: Step; members: number[] }>()
  classes.forEach((step, i) => {
    const key = `${step.length}/${step.own ?? ''}/${step.starts.map((s) => `${s.lo},${s.hi}`)}`
    const known = items.get(key)
    if (known) known.members.push(i)
    else items.set(key, { step, members: [i] })
  })
  const list = [...items.values()]
  const itemOf = new Int32Array(classes.length)
  const off = new Int32Array(list.length + 1)
  list.forEach(({ step, members }, i) => {
    off[i + 1] = off[i]! + step.starts.length
    for (const m of members) itemOf[m] = i
  })
  return {
    off,
    ...columns(list.flatMap((i) => i.step.starts)),
    len: Float64Array.from(list, (i) => i.step.length),
    members: list.map((i) => i.members),
    itemOf,
  }
}

/** The first start of an item from x on, and its last up to x; NaN when there is none. */
export function firstFrom(c: Choice, item: number, x: number): number {
  for (let i = c.off[item]!; i < c.off[item + 1]!; i++) if (c.hi[i]! >= x - EPS) return Math.max(c.lo[i]!, x)
  return Number.NaN
}
export function lastBefore(c: Choice, item: number, x: number): number {
  for (let i = c.off[item + 1]! - 1; i >= c.off[item]!; i--) if (c.lo[i]! <= x + EPS) return Math.min(c.hi[i]!, x)
  return Number.NaN
}

/** The problem's rows by size, and for one connector what may stand where. */
export interface Prepared {
  speakers: Class[]
  cells: Class[]
  boards: Class[]
  connectors: Class[]
  room: (connector: number) => Room | undefined
}
export interface Room {
  end: number
  /** Stretches in which something lies that stays: no length to be had there. */
  taken: Interval[]
  choices: Record<'speakerpommel' | 'speakeremitter' | 'cell' | 'board' | 'chamber', Choice>
  /** Cells with a board on them, for each board. */
  pairs: Record<'pairRear' | 'pairFront', Choice[]>
  /** Stretches in which a chamber may lie. */
  chamber: { lo: Float64Array; hi: Float64Array }
}

export function prepare(p: LayoutProblem): Prepared {
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
    const pairs = p.mayLieBeside ? boards.map((b) => cells.map((c) => pairSteps(room, c, b))) : []
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
      },
      pairs: {
        pairRear: pairs.map((list) => choiceOf(list.map((q) => q.rear))),
        pairFront: pairs.map((list) => choiceOf(list.map((q) => q.front))),
      },
      chamber: columns(chamber ? passable(room, chamber) : []),
    }
  }
  const rooms = new Map<number, Room | undefined>()
  const room = (n: number) => {
    if (!rooms.has(n)) rooms.set(n, build(n))
    return rooms.get(n)
  }
  return { speakers, cells, boards, connectors, room }
}

export function choiceAt(room: Room, arr: Arrangement, i: number, board: number): Choice {
  const t = arr.order[i]!
  if (t === 'pairRear' || t === 'pairFront') return room.pairs[t][board]!
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
export function leftAfter(room: Room, x: number): number {
  let left = room.end - x
  for (const g of room.taken) if (g.hi > x) left -= g.hi - Math.max(g.lo, x)
  return Math.max(left, 0)
}

/** Starts from which the face, `face` mm ahead of the start, is heard; a pommel-facing one also keeps clear of the grille. */
export function heardFrom(starts: Interval[], heard: Interval[], face: number, clear: number): Interval[] {
  const free = clear > 0 ? meet(starts, [{ lo: clear, hi: Infinity }]) : starts
  return heard.length ? meet(free, heard, face) : free
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
    rear: { starts: meet(whole, narrow), length, own: cell.length },
    front: { starts: meet(whole, narrow, length - board.length), length, own: cell.length },
  }
}
