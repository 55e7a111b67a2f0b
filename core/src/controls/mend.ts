import { fact, known } from '../facts'
import type { ControlRow } from '../record'
import { analyse, type Matter } from './analyse'
import { heldFrom, sortOf, timingOf } from './compile'
import { type ControlMap, rowOfMap } from './modes'

/** A change to one row that takes a matter away, and what it would do to the whole map. */
export interface Mend {
  row: string
  change: { pose: ControlRow['pose'] } | { times: number } | { hold: number } | { release: 'letGo' }
  /** Matters that go with it; none comes. */
  gone: Matter[]
}

/** Times go up in these steps, s, so that they are ones a board can be set to and a client can count. */
const STEP = 0.5

/** A matter by what it is about, to tell whether it is still there. */
const keyOf = (m: Matter): string =>
  JSON.stringify([m.code, m.rows, 'mode' in m ? m.mode : '', 'names' in m ? m.names : '', 'modes' in m ? m.modes : ''])

/** The map with one row changed. */
export function mended(map: ControlMap, id: string, change: Mend['change']): ControlMap {
  return {
    ...map,
    controls: map.controls.map((r) => {
      if (r.id !== id) return r
      if ('hold' in change) {
        const { beeps: _b, ...rest } = r
        return { ...rest, hold: fact(change.hold, 's', 'assumed') }
      }
      return { ...r, ...change }
    }),
  }
}

/**
 * Ways to take a matter away: another pose, another count, a hold moved apart, each tried on the whole map. Only those stay
 * that take more away than they bring, and bring nothing. Least change first; at most `most`.
 */
export function mendsFor(map: ControlMap, matter: Matter, most = 3): Mend[] {
  const before = new Map(analyse(map).matters.map((m) => [keyOf(m), m]))
  const out: Mend[] = []
  // What is cut off is freed by the one that comes before it.
  const first = matter.code === 'cutOff' ? matter.by : []
  for (const id of [...first, ...matter.rows.toReversed()]) {
    const r = rowOfMap(map, id)
    if (!r) continue
    for (const change of first.includes(id) ? [{ release: 'letGo' as const }] : changesTo(map, r)) {
      const after = new Set(analyse(mended(map, id, change)).matters.map(keyOf))
      if (after.has(keyOf(matter)) || [...after].some((k) => !before.has(k))) continue
      const gone = [...before].filter(([k]) => !after.has(k)).map(([, m]) => m)
      out.push({ row: id, change, gone })
      if (out.length >= most) return out
    }
  }
  return out
}

function* changesTo(map: ControlMap, r: ControlRow): Generator<Mend['change']> {
  const held = sortOf(r) === 'hold' || known(r.hold) !== undefined
  if (held) {
    const hand = timingOf(map, 'handKeeps')
    const others = map.controls.filter(
      (x) => x.mode === r.mode && x.input === r.input && x.id !== r.id && sortOf(x) === sortOf(r),
    )
    const taken = others.map((x) => heldFrom(map, x))
    for (let s = STEP; s <= 8; s += STEP)
      if (s >= timingOf(map, 'tapMost') + hand && taken.every((t) => Math.abs(t - s) >= Math.max(hand, STEP)))
        yield { hold: s }
  }
  if (sortOf(r) === 'tap') for (const times of [1, 2, 3]) if (times !== (r.times ?? 1)) yield { times }
  for (const pose of ['up', 'down', 'level'] as const) if (pose !== r.pose) yield { pose }
}
