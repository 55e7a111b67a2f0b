import { createHash } from 'node:crypto'

/** `npm run test:long` holds every case; otherwise a share of them is drawn. */
export const LONG = process.env.NUBRIN_LONG === '1'
/** What the draw is made from: `npm test` takes another each day, prints it, and takes it again where it is given. */
export const SEED = process.env.NUBRIN_SEED ?? 'one'

/**
 * What `npm test` holds of the shares and counts that its tests ask for: turned down where it would take more than its nine
 * minutes. A test that is drawn by its name, as what takes seconds, is held once in so many days.
 */
export const HELD = 0.3

const luck = (salt: string, n: number) => createHash('sha256').update(`${SEED}:${salt}:${n}`).digest('hex')

/**
 * A share of some cases by the seed, or what is held of it, in their own order; all of them in the long run. Each kind that
 * `kinds` names of a case is among those drawn, so that the draw may leave out cases and never a rule. `salt` makes another
 * draw of the same cases.
 */
export function drawn<T>(
  cases: readonly T[],
  share: number,
  kinds: (c: T) => readonly string[] = () => [],
  salt = '',
): T[] {
  if (LONG) return [...cases]
  const order = cases.map((_, i) => i).sort((a, b) => (luck(salt, a) < luck(salt, b) ? -1 : 1))
  const left = new Set(cases.flatMap(kinds))
  const taken = new Set<number>()
  for (const i of order) {
    const own = kinds(cases[i]!)
    if (!own.some((k) => left.has(k))) continue
    taken.add(i)
    for (const k of own) left.delete(k)
  }
  const most = Math.ceil(cases.length * share * HELD)
  for (const i of order) if (taken.size < most) taken.add(i)
  return cases.filter((_, i) => taken.has(i))
}

/** How often a property is tried: as often as asked in the long run, else what is held of so many times. */
export const tries = (long: number, short: number): number => (LONG ? long : Math.ceil(short * HELD))

/** Whether what has this name is in a share of its kind by the draw; always in the long run. */
export const isDrawn = (name: string, share: number): boolean =>
  LONG || Number.parseInt(luck(name, 0).slice(0, 8), 16) < share * HELD * 2 ** 32
