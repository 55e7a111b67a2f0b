import { Front } from './front'
import { type Lineup, pushRear, type Steps, settle } from './lineup'
import { type Candidate, type Class, GRAIN, type Layout, type LayoutProblem } from './problem'
import { type Choice, leftAfter, type Prepared } from './room'

/** A layout that may be among the best: its lineup, classes of speaker and cell, and its rows. */
export interface Offer {
  lineup: Lineup
  classes: [speaker: number, cell: number]
  rows: [speaker: number, cell: number, board: number, connector: number]
}

/** The rows of an item that differ in what counts, best rank first, in columns. */
interface Kinds {
  /** Rank of a cell's runtime or of a speaker's diameter. */
  rank: Int32Array
  mass: Float64Array
  row: Int32Array
  cls: Int32Array
  best: number
  least: number
  most: number
}

/** Each value's place among the different values, from 0. */
function ranked(values: number[]): { rank: Int32Array; count: number } {
  const sorted = [...new Set(values)].sort((a, b) => a - b)
  const place = new Map(sorted.map((v, i) => [v, i]))
  return { rank: Int32Array.from(values, (v) => place.get(v)!), count: sorted.length }
}

/** What the front needs to know of the rows, found once for all lineups. */
interface Weights {
  kinds: (choice: Choice, slot: 'speaker' | 'cell') => Kinds[]
  /** Different masses of each board and connector class, with the first row of each. */
  boards: { mass: number[]; row: number[] }[]
  connectors: { mass: number[]; row: number[] }[]
  /** Most that the balance can be off, mm. */
  farOff: number
  front: Front<Offer>
}

export function weightsOf(p: LayoutProblem, has: Prepared): Weights {
  const score = ranked(p.cells.map((c) => Math.round(c.score / GRAIN.score)))
  const d = ranked(p.speakers.map((c) => Math.round(c.d! / GRAIN.d)))
  const kindsOf = (members: number[], slot: 'speaker' | 'cell'): Kinds => {
    const [rows, classes, rank] =
      slot === 'cell' ? [p.cells, has.cells, score.rank] : [p.speakers, has.speakers, d.rank]
    const kinds = new Map<string, { rank: number; mass: number; row: number; cls: number }>()
    for (const cls of members)
      for (const row of classes[cls]!.rows) {
        const mass = rows[row]!.mass
        const key = `${rank[row]}/${mass}`
        if (!kinds.has(key)) kinds.set(key, { rank: rank[row]!, mass, row, cls })
      }
    const list = [...kinds.values()].sort((a, b) => b.rank - a.rank || a.row - b.row)
    const mass = Float64Array.from(list, (k) => k.mass)
    return {
      rank: Int32Array.from(list, (k) => k.rank),
      mass,
      row: Int32Array.from(list, (k) => k.row),
      cls: Int32Array.from(list, (k) => k.cls),
      best: list[0]!.rank,
      least: Math.min(...mass),
      most: Math.max(...mass),
    }
  }
  const found = new Map<Choice, Kinds[]>()
  const masses = (rows: readonly Candidate[], c: Class) => {
    const first = new Map([...c.rows].reverse().map((r) => [rows[r]!.mass, r]))
    return { mass: [...first.keys()], row: [...first.values()] }
  }
  const centre = p.fixed.mass > 0 ? p.fixed.moment / p.fixed.mass : 0
  const farOff = Math.max(...[centre, p.cavity.x0, p.cavity.x1].map((x) => Math.abs(x - (p.balance ?? x))))
  const long = p.cavity.x1 - p.cavity.x0
  return {
    kinds: (choice, slot) => {
      const kinds = found.get(choice) ?? choice.members.map((m) => kindsOf(m, slot))
      found.set(choice, kinds)
      return kinds
    },
    boards: has.boards.map((c) => masses(p.boards, c)),
    connectors: has.connectors.map((c) => masses(p.connectors, c)),
    farOff,
    front: new Front<Offer>(
      [0, 0, 0, 0, -Math.round(farOff / GRAIN.off)],
      [score.count - 1, d.count - 1, Math.ceil(long / GRAIN.chamber), Math.ceil(long / GRAIN.slack), 0],
    ),
  }
}

/** Writes where the middles of speaker, cell, board and connector lie in a settled lineup, mm from the pommel. */
function middles(has: Prepared, l: Lineup, speaker: number, cell: number, out: Float64Array) {
  const s = has.speakers[speaker]!.length
  const c = has.cells[cell]!.length
  const b = has.boards[l.board]!.length
  const longer = l.flushFront ? Math.max(c, b) : 0
  out[0] = l.at[l.speakerAt]! + s / 2
  out[1] = l.at[l.cellAt]! + (longer && longer - c) + c / 2
  out[2] = l.at[l.boardAt]! + (longer && longer - b) + b / 2
  out[3] = l.room.end + has.connectors[l.connector]!.length / 2
}

/**
 * Offers the layouts of a lineup to the front. What could at best be worth no more than something that stands is passed
 * over: first all rows of a pair of items, then all cells with one speaker, then single rows.
 */
export function offerLineup(p: LayoutProblem, has: Prepared, l: Lineup, s: Steps, ws: Weights) {
  const { room, first, second, chamberAt, choices } = l
  const { front, farOff } = ws
  const n = l.pick.length
  const speakerKinds = ws.kinds(choices[l.speakerAt]!, 'speaker')
  const cellKinds = ws.kinds(choices[l.cellAt]!, 'cell')
  const crystal = chamberAt >= 0 ? p.chamber!.mass : 0
  const begin = pushRear(l, 0, first, p.cavity.x0)
  const rear = l.at.slice()
  const mid = new Float64Array(4)
  const boards = ws.boards[l.board]!
  const connectors = ws.connectors[l.connector]!
  const balanced = p.balance !== undefined
  const wanted = p.balance ?? 0
  for (let i = 0; i < s.first.length; i++) {
    l.pick[first] = s.first[i]!
    pushRear(l, first, second, begin)
    for (let k = first; k < second; k++) rear[k] = l.at[k]!
    for (let j = 0; j < s.reach[i]!; j++) {
      l.pick[second] = s.second[j]!
      for (let k = 0; k < second; k++) l.at[k] = rear[k]!
      const slack = leftAfter(room, pushRear(l, second, n, s.from[i]!))
      const chamber = settle(l)
      const c = Math.round(chamber / GRAIN.chamber)
      const d = Math.round(slack / GRAIN.slack)
      const sk = speakerKinds[l.pick[l.speakerAt]!]!
      const ck = cellKinds[l.pick[l.cellAt]!]!
      if (front.covers(ck.best, sk.best, c, d, 0)) continue
      middles(has, l, sk.cls[0]!, ck.cls[0]!, mid)
      const as = mid[0]! - wanted
      const ac = mid[1]! - wanted
      for (let bi = 0; bi < boards.row.length; bi++)
        for (let ki = 0; ki < connectors.row.length; ki++) {
          const mb = boards.mass[bi]!
          const mk = connectors.mass[ki]!
          const mass = p.fixed.mass + crystal + mb + mk
          const moment =
            p.fixed.moment -
            p.fixed.mass * wanted +
            (crystal ? crystal * (l.at[chamberAt]! + chamber / 2 - wanted) : 0) +
            mb * (mid[2]! - wanted) +
            mk * (mid[3]! - wanted)
          const least = balanced ? nearestOff(moment, mass, as, sk.least, sk.most, ac, ck.least, ck.most) : 0
          if (front.covers(ck.best, sk.best, c, d, grain(least, farOff))) continue
          for (let si = 0; si < sk.row.length; si++) {
            const b = sk.rank[si]!
            const ms = sk.mass[si]!
            const off = balanced ? nearestOff(moment, mass, as, ms, ms, ac, ck.least, ck.most) : 0
            if (front.covers(ck.best, b, c, d, grain(off, farOff))) continue
            for (let ci = 0; ci < ck.row.length; ci++) {
              const a = ck.rank[ci]!
              const mc = ck.mass[ci]!
              const e = balanced ? grain(offOf(moment, mass, as, ms, ac, mc), farOff) : 0
              if (front.covers(a, b, c, d, e)) continue
              front.add(a, b, c, d, e, {
                lineup: l,
                classes: [sk.cls[si]!, ck.cls[ci]!],
                rows: [sk.row[si]!, ck.row[ci]!, boards.row[bi]!, connectors.row[ki]!],
              })
            }
          }
        }
    }
  }
}

/** What an offset of the balance is worth to the front: less the farther, in whole grains. */
const grain = (off: number, farOff: number) => -Math.round(Math.min(Math.abs(off), farOff) / GRAIN.off)

/** How far the balance is from where it is wanted, mm, from the moment (g·mm) and mass (g) of all else and two masses with their arms. */
const offOf = (moment: number, mass: number, a1: number, m1: number, a2: number, m2: number) =>
  (moment + m1 * a1 + m2 * a2) / (mass + m1 + m2)

/** The nearest to where it is wanted that the balance comes with masses in these ranges, mm. */
function nearestOff(
  moment: number,
  mass: number,
  a1: number,
  lo1: number,
  hi1: number,
  a2: number,
  lo2: number,
  hi2: number,
): number {
  // Each mass moves the balance one way only, so its extremes lie at the least and the most of each.
  const w = offOf(moment, mass, a1, lo1, a2, lo2)
  if (lo1 === hi1 && lo2 === hi2) return w
  const x = offOf(moment, mass, a1, lo1, a2, hi2)
  const y = offOf(moment, mass, a1, hi1, a2, lo2)
  const z = offOf(moment, mass, a1, hi1, a2, hi2)
  const lo = Math.min(w, x, y, z)
  return lo > 0 ? lo : Math.min(Math.max(w, x, y, z), 0)
}

/** One layout in full: everything pushed to the rear, the chamber settled, and what its rows weigh. */
export function layoutFor(p: LayoutProblem, has: Prepared, { lineup: l, classes: [s, c], rows }: Offer): Layout {
  const [speaker, cell, board, connector] = rows
  l.pick[l.speakerAt] = l.choices[l.speakerAt]!.itemOf[s]!
  l.pick[l.cellAt] = l.choices[l.cellAt]!.itemOf[c]!
  const slack = leftAfter(l.room, pushRear(l, 0, l.pick.length, p.cavity.x0))
  const chamber = settle(l)
  const mid = new Float64Array(4)
  middles(has, l, s, c, mid)
  const at: Layout['at'] = {
    speaker: l.at[l.speakerAt]!,
    cell: mid[1]! - has.cells[c]!.length / 2,
    board: mid[2]! - has.boards[l.board]!.length / 2,
    connector: l.room.end,
    ...(l.chamberAt >= 0 ? { chamber: l.at[l.chamberAt]! } : {}),
  }
  const loads = [
    [p.fixed.mass, p.fixed.moment],
    ...(at.chamber === undefined ? [] : [[p.chamber!.mass, p.chamber!.mass * (at.chamber + chamber / 2)] as const]),
    ...[p.speakers[speaker]!, p.cells[cell]!, p.boards[board]!, p.connectors[connector]!].map(
      (row, i) => [row.mass, row.mass * mid[i]!] as const,
    ),
  ] as const
  const mass = loads.reduce((sum, [m]) => sum + m, 0)
  const balance = mass > 0 ? loads.reduce((sum, [, mx]) => sum + mx, 0) / mass : 0
  return {
    ...{ arrangement: l.arrangement, speaker, cell, board, connector, at, slack, chamber, balance },
    off: p.balance === undefined ? 0 : Math.abs(balance - p.balance),
  }
}
