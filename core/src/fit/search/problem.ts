import type { Body, Cavity, Interval } from '../../geometry'

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

interface ChamberWish {
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
  /** Where the face of a speaker that looks at the pommel begins at the earliest: clear of the grille or the closed end, mm. */
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

/**
 * The feasible pairs of speaker and cell sizes for one arrangement, board and connector. What stands earlier in the order is
 * sorted by how little room it takes, what stands later by how little it needs: the n-th of `first` closes with exactly the
 * `reach[n]` foremost of `second`.
 */
export interface ClosingPairs {
  arrangement: number
  board: number
  connector: number
  speakerFirst: boolean
  first: Int32Array
  second: Int32Array
  reach: Int32Array
}

export interface LayoutResult {
  arrangements: Arrangement[]
  /** Combinations of rows and arrangements that plain enumeration would try. */
  raw: number
  feasible: number
  /** Every feasible combination of sizes; `layoutsOf` unfolds them into single layouts. */
  found: ClosingPairs[]
  /** Layouts that no other beats in every respect, best runtime first. */
  best: Layout[]
  verdicts: { speakers: Verdict[]; cells: Verdict[]; boards: Verdict[]; connectors: Verdict[] }
}

/** Steps below which two layouts count as equal when the best are picked: minutes, mm. */
export const GRAIN = { score: 1, d: 0.05, chamber: 0.1, slack: 0.1, off: 0.5 }

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
export interface Class {
  rows: number[]
  length: number
  body: Body
}

export function classesOf(rows: readonly Candidate[], body: (c: Candidate) => Body): Class[] {
  const by = new Map<string, Class>()
  rows.forEach((c, i) => {
    const key = `${c.length}/${c.d ?? ''}/${c.w ?? ''}/${c.t ?? ''}`
    const found = by.get(key)
    if (found) found.rows.push(i)
    else by.set(key, { rows: [i], length: c.length, body: body(c) })
  })
  return [...by.values()]
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
