import type { Arrangement, Token } from './problem'
import { type Choice, choiceAt, EPS, firstFrom, lastBefore, type Room } from './room'

/**
 * One order of things with its board and connector given: only the speaker and the cell are still open. `first` and `second`
 * are their slots in the order, whichever comes first.
 */
export interface Lineup {
  arr: Arrangement
  arrangement: number
  board: number
  connector: number
  room: Room
  choices: Choice[]
  speakerAt: number
  /** Slot of the cell, or of the cell with the board on it. */
  cellAt: number
  boardAt: number
  /** −1 without a chamber. */
  chamberAt: number
  /** The board lies on the cell with their front ends flush. */
  flushFront: boolean
  first: number
  second: number
  /** What is picked in each slot, and where it begins. */
  pick: Int32Array
  at: Float64Array
}

export function lineupOf(room: Room, arr: Arrangement, arrangement: number, board: number, connector: number): Lineup {
  const at = (t: Token) => arr.order.indexOf(t)
  const pairAt = arr.order.findIndex((t) => t === 'pairRear' || t === 'pairFront')
  const speakerAt = at('speaker')
  const cellAt = pairAt >= 0 ? pairAt : at('cell')
  const choices = arr.order.map((_, i) => choiceAt(room, arr, i, board))
  return {
    ...{ arr, arrangement, board, connector, room, speakerAt, cellAt },
    choices,
    boardAt: pairAt >= 0 ? pairAt : at('board'),
    chamberAt: at('chamber'),
    flushFront: arr.order[pairAt] === 'pairFront',
    first: Math.min(speakerAt, cellAt),
    second: Math.max(speakerAt, cellAt),
    pick: Int32Array.from(arr.order, (t, i) => (t === 'board' ? choices[i]!.itemOf[board]! : 0)),
    at: new Float64Array(arr.order.length),
  }
}

/** Where the next thing may begin when all in the slots from `i` up to `to` lies as far to the rear as it goes; NaN: nowhere. */
export function pushRear(l: Lineup, i: number, to: number, x: number): number {
  for (; i < to; i++) {
    const c = l.choices[i]!
    l.at[i] = firstFrom(c, l.pick[i]!, x)
    x = l.at[i]! + c.len[l.pick[i]!]!
  }
  return x
}

/** Where the one before must end when all in the slots from `i` down to above `to` lies as far forward as it goes. */
function pushFront(l: Lineup, i: number, to: number, x: number): number {
  for (; i > to; i--) {
    const c = l.choices[i]!
    l.at[i] = lastBefore(c, l.pick[i]!, x - c.len[l.pick[i]!]!)
    x = l.at[i]!
  }
  return x
}

/**
 * The pairs of items of a lineup that close: the n-th of `first` with the `reach[n]` foremost of `second`. `from`: for the
 * n-th of `first`, where what follows it may begin.
 */
export interface Steps {
  first: Int32Array
  second: Int32Array
  reach: Int32Array
  from: Float64Array
  /** The item that leaves most room when it stands first, whether or not anything closes with it; −1 when none lies anywhere. */
  shortest: number
}

/**
 * Exact: with all that comes before as far to the rear as it goes, the later of the two may begin at `from`; with all that
 * follows as far forward as it goes, it must begin by its latest start; it closes when the one is not after the other.
 */
export function stepsOf(l: Lineup, x0: number): Steps {
  const { first, second, choices } = l
  const begin = pushRear(l, 0, first, x0)
  const from = new Float64Array(choices[first]!.len.length)
  for (let i = 0; i < from.length; i++) {
    l.pick[first] = i
    from[i] = pushRear(l, first, second, begin)
  }
  const limit = pushFront(l, l.pick.length - 1, second, l.room.end + 1e-6)
  const choice = choices[second]!
  const latest = choice.len.map((len, item) => lastBefore(choice, item, limit - len))
  const a = ordered(from, 1)
  const z = ordered(latest, -1)
  const reach = new Int32Array(a.length)
  let n = z.length
  for (let i = 0; i < a.length; i++) {
    while (n > 0 && latest[z[n - 1]!]! < from[a[i]!]! - EPS) n--
    reach[i] = n
  }
  const none = reach.indexOf(0)
  const kept = none < 0 ? a.length : none
  return {
    first: a.slice(0, kept),
    second: z.slice(0, reach[0] ?? 0),
    reach: reach.slice(0, kept),
    from: Float64Array.from(a.subarray(0, kept), (i) => from[i]!),
    shortest: a[0] ?? -1,
  }
}

/** Numbers of the values that there are, rising (1) or falling (−1); equal values in the order given. */
function ordered(values: Float64Array, sign: 1 | -1): Int32Array {
  const kept: number[] = []
  for (let i = 0; i < values.length; i++) if (!Number.isNaN(values[i]!)) kept.push(i)
  return Int32Array.from(kept.sort((a, b) => sign * (values[a]! - values[b]!) || a - b))
}

/**
 * Settles a combination that closes: without a chamber all stays at the rear. With one, what lies ahead of it moves to the
 * front and the chamber takes the longest stretch between. Changes `at`; returns the chamber's length.
 */
export function settle(l: Lineup): number {
  const xi = l.chamberAt
  if (xi < 0) return 0
  const to = pushFront(l, l.pick.length - 1, xi, l.room.end)
  const from = xi > 0 ? l.at[xi - 1]! + l.choices[xi - 1]!.len[l.pick[xi - 1]!]! : -Infinity
  const { lo, hi } = l.room.chamber
  let best = 0
  for (let i = 0; i < lo.length; i++) {
    const a = Math.max(lo[i]!, from)
    const length = Math.min(hi[i]!, to) - a
    if (length > best) {
      best = length
      l.at[xi] = a
    }
  }
  return best
}
