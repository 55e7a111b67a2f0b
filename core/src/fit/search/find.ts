import { type Lineup, lineupOf, pushRear, type Steps, stepsOf } from './lineup'
import { arrangementsOf, type ClosingPairs, type Layout, type LayoutProblem, type LayoutResult } from './problem'
import { type Prepared, prepare } from './room'
import { type Hits, note, verdictsOf, worst } from './verdicts'
import { layoutFor, offerLineup, weightsOf } from './weigh'

/**
 * Finds every layout that closes, and of them the best trade-offs between runtime, speaker size, chamber length, slack and
 * balance. Exact and deterministic. For a given order, pushing each thing as far to the rear, or to the front, as it goes
 * leaves the most room for the rest; so of speaker and cell, the one that stands first says from where on there is room and
 * the other says by when it must begin, and sorting both decides all their pairs at once. Rows of equal size are decided
 * once. `report` hears the share done, 0…1.
 */
export function findLayouts(p: LayoutProblem, report?: (share: number) => void): LayoutResult {
  const arrangements = arrangementsOf(p)
  const has = prepare(p)
  const { speakers, cells, boards, connectors } = has
  const hit: Hits = {
    speaker: new Float64Array(speakers.length),
    cell: new Float64Array(cells.length),
    board: new Float64Array(boards.length),
    connector: new Float64Array(connectors.length),
  }
  const lineups: { lineup: Lineup; steps: Steps }[] = []
  const found: ClosingPairs[] = []
  let feasible = 0
  connectors.forEach((_, connector) => {
    const room = has.room(connector)
    if (!room) return
    arrangements.forEach((arr, arrangement) => {
      boards.forEach((_, board) => {
        const lineup = lineupOf(room, arr, arrangement, board, connector)
        const steps = stepsOf(lineup, p.cavity.x0)
        lineups.push({ lineup, steps })
        if (!steps.first.length) return
        const closing = closingPairsOf(lineup, steps)
        found.push(closing)
        feasible += tally(has, closing, hit)
      })
    })
  })
  const miss = misses(p, has, lineups, hit)
  const weights = weightsOf(p, has)
  lineups.forEach(({ lineup, steps }, i) => {
    report?.(i / lineups.length)
    offerLineup(p, has, lineup, steps, weights)
  })
  report?.(1)
  return {
    arrangements,
    raw: p.speakers.length * p.cells.length * p.boards.length * p.connectors.length * arrangements.length,
    ...{ feasible, found },
    best: weights.front.sorted().map((o) => layoutFor(p, has, o)),
    verdicts: verdictsOf(p, has, hit, miss),
  }
}

/** The steps of a lineup told in classes. */
function closingPairsOf(l: Lineup, s: Steps): ClosingPairs {
  const second = Array.from(s.second, (i) => l.choices[l.second]!.members[i]!)
  const among = [0]
  for (const m of second) among.push(among.at(-1)! + m.length)
  const first = Array.from(s.first, (i) => l.choices[l.first]!.members[i]!)
  return {
    ...{ arrangement: l.arrangement, board: l.board, connector: l.connector, speakerFirst: l.first === l.speakerAt },
    first: Int32Array.from(first.flat()),
    second: Int32Array.from(second.flat()),
    reach: Int32Array.from(first.flatMap((m, i) => m.map(() => among[s.reach[i]!]!))),
  }
}

/** Counts the layouts of a closing, in all and for each size; returns how many there are. */
function tally(has: Prepared, s: ClosingPairs, hit: Hits): number {
  const [first, second] = s.speakerFirst ? [has.speakers, has.cells] : [has.cells, has.speakers]
  const [hitFirst, hitSecond] = s.speakerFirst ? [hit.speaker, hit.cell] : [hit.cell, hit.speaker]
  const b = has.boards[s.board]!.rows.length
  const k = has.connectors[s.connector]!.rows.length
  // Rows among the foremost n of `second`, and rows of `first` that reach the n-th.
  const among = new Float64Array(s.second.length + 1)
  s.second.forEach((c, i) => {
    among[i + 1] = among[i]! + second[c]!.rows.length
  })
  let pairs = 0
  let reaching = 0
  let n = s.second.length
  s.first.forEach((c, i) => {
    pairs += first[c]!.rows.length * among[s.reach[i]!]!
    hitFirst[c]! += among[s.reach[i]!]! * b * k
    // `reach` falls: what lies beyond it is reached only by those that came before.
    for (; n > s.reach[i]!; n--) hitSecond[s.second[n - 1]!]! += reaching * b * k
    reaching += first[c]!.rows.length
  })
  for (; n > 0; n--) hitSecond[s.second[n - 1]!]! += reaching * b * k
  hit.board[s.board]! += pairs * k
  hit.connector[s.connector]! += pairs * b
  return pairs * b * k
}

/** For each size that is in no layout, the least length that was missing, and beside what. */
function misses(p: LayoutProblem, has: Prepared, lineups: readonly { lineup: Lineup; steps: Steps }[], hit: Hits) {
  const miss = {
    speaker: worst(has.speakers.length),
    cell: worst(has.cells.length),
    board: worst(has.boards.length),
  }
  const none = (hits: Float64Array) => Array.from(hits.keys()).filter((i) => hits[i] === 0)
  const [noSpeaker, noCell] = [none(hit.speaker), none(hit.cell)]
  for (const { lineup: l, steps } of lineups) {
    const [speakers, cells] = [l.choices[l.speakerAt]!, l.choices[l.cellAt]!]
    const begin = pushRear(l, 0, l.first, p.cavity.x0)
    /** One of the first with some of the second: nothing to look at where the first lies nowhere. */
    const look = (i: number, others: Iterable<number>) => {
      l.pick[l.first] = i
      const from = pushRear(l, l.first, l.second, begin)
      if (Number.isNaN(from)) return
      for (const j of others) {
        l.pick[l.second] = j
        const over = pushRear(l, l.second, l.pick.length, from) - l.room.end
        if (!(over > 1e-6)) continue
        const speaker = speakers.members[l.pick[l.speakerAt]!]!
        const cell = cells.members[l.pick[l.cellAt]!]!
        for (const m of speaker) note(miss.speaker[m]!, over, speaker[0]!, cell[0]!, l.board)
        for (const m of cell) note(miss.cell[m]!, over, speaker[0]!, cell[0]!, l.board)
        note(miss.board[l.board]!, over, speaker[0]!, cell[0]!, l.board)
      }
    }
    const items = (classes: number[], slot: number) => new Set(classes.map((c) => l.choices[slot]!.itemOf[c]!))
    const [noFirst, noSecond] = l.first === l.speakerAt ? [noSpeaker, noCell] : [noCell, noSpeaker]
    const every = hit.board[l.board] === 0
    const all = [...l.choices[l.second]!.members.keys()]
    for (const i of every ? l.choices[l.first]!.members.keys() : items(noFirst, l.first)) look(i, all)
    // What stands second misses least behind what leaves it most room.
    if (!every && steps.shortest >= 0) look(steps.shortest, items(noSecond, l.second))
  }
  return miss
}

/** Unfolds what a search found into single layouts. */
export function* layoutsOf(p: LayoutProblem, r: LayoutResult): Generator<Layout> {
  const has = prepare(p)
  for (const { arrangement, board, connector, speakerFirst, first, second, reach } of r.found) {
    const lineup = lineupOf(has.room(connector)!, r.arrangements[arrangement]!, arrangement, board, connector)
    for (let i = 0; i < first.length; i++)
      for (let j = 0; j < reach[i]!; j++) {
        const [s, c] = speakerFirst ? [first[i]!, second[j]!] : [second[j]!, first[i]!]
        for (const sr of has.speakers[s]!.rows)
          for (const cr of has.cells[c]!.rows)
            for (const br of has.boards[board]!.rows)
              for (const kr of has.connectors[connector]!.rows)
                yield layoutFor(p, has, { lineup, classes: [s, c], rows: [sr, cr, br, kr] })
      }
  }
}
