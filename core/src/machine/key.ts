import type { CIRCUIT, Saber } from '../record'

/** Where a kill key is: the order is the way it goes. */
const AT = ['out', 'in', 'turned'] as const
type KeyAt = (typeof AT)[number]
/** How a key gets from one place to another. */
export const KEY_MOVES = ['pushIn', 'pullOut', 'turn', 'turnBack', 'inAndTurn', 'backAndOut'] as const
type KeyMove = (typeof KEY_MOVES)[number]

const MOVES: Record<KeyAt, Partial<Record<KeyAt, KeyMove>>> = {
  out: { in: 'pushIn', turned: 'inAndTurn' },
  in: { out: 'pullOut', turned: 'turn' },
  turned: { in: 'turnBack', out: 'backAndOut' },
}

/** Where the circuit is open, as one word: there is no other set of places in which a key cuts at all and lets run at all. */
export const KEY_CUTS = ['out', 'in', 'turned', 'outIn', 'inTurned', 'outTurned'] as const
type KeyCuts = (typeof KEY_CUTS)[number]

/** How a key cuts the power and gives it back, and where it is while the circuit is open. */
export interface KeyWays {
  cut: KeyMove
  restore: KeyMove
  cuts: KeyCuts
}

/** What the circuit does at each place that the key has: one that is not turned has two. */
const circuit = (does: NonNullable<Saber['keyDoes']>): [KeyAt, (typeof CIRCUIT)[number]][] =>
  AT.flatMap((at): [KeyAt, (typeof CIRCUIT)[number]][] => (does[at] ? [[at, does[at]]] : []))

/**
 * How the kill key of a saber cuts and restores, from what the circuit does with it out, in and turned: the shortest way out of
 * a place that runs, and back from where the key rests, which is out of the hilt where that cuts. Undefined where nobody has
 * said, or the key makes no difference.
 */
export function keyWays(s: Pick<Saber, 'keyDoes'>): KeyWays | undefined {
  if (!s.keyDoes?.out || !s.keyDoes.in) return undefined
  const all = circuit(s.keyDoes)
  const at = (is: 'open' | 'closed') => all.flatMap(([k, c]) => (c === is ? [AT.indexOf(k)] : []))
  const [open, closed] = [at('open'), at('closed')]
  const ways = closed.flatMap((from) => open.map((to) => ({ from, to, far: Math.abs(from - to) })))
  const best = ways.toSorted((a, b) => a.far - b.far || a.from + a.to - b.from - b.to)[0]
  if (!best) return undefined
  const rests = open.includes(0) ? 0 : best.to
  const move = (from: number, to: number) => MOVES[AT[from]!][AT[to]!]!
  const cuts = open.map((i) => AT[i]!)
  return {
    cut: move(best.from, best.to),
    restore: move(rests, best.from),
    cuts:
      cuts.length === 1 ? cuts[0]! : cuts.includes('out') ? (cuts.includes('in') ? 'outIn' : 'outTurned') : 'inTurned',
  }
}
