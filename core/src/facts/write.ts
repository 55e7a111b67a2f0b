import { type AnyFact, type Claim, type GaveWay, MOST_RIVALS, SOURCES } from './fact'

/**
 * The one writer of facts. `state` takes a statement in, `correct` mends a slip of the pen, `settle` ends a contradiction,
 * `retract` takes a value back. What gives way is kept in the trail, so that nothing that was ever said is lost.
 */

const asClaim = <V>(f: AnyFact<V>): Claim<V> => ({
  value: f.value,
  ...(f.tol === undefined ? {} : { tol: f.tol }),
  source: f.source,
  ...(f.with === undefined ? {} : { with: f.with }),
  ...(f.on === undefined ? {} : { on: f.on }),
  ...(f.by === undefined ? {} : { by: f.by }),
})

/** Equal, or for numbers within the wider of both tolerances. */
function agrees<V>(a: Claim<V>, b: Claim<V>): boolean {
  if (typeof a.value === 'number' && typeof b.value === 'number')
    return Math.abs(a.value - b.value) <= Math.max(a.tol ?? 0, b.tol ?? 0, 1e-9)
  return a.value === b.value
}
const sameClaim = <V>(a: Claim<V>, b: Claim<V>) => JSON.stringify(asClaim(a)) === JSON.stringify(asClaim(b))

/** One and the same reading: by the same means, person and day. Only then is another value a slip of the pen. */
export const sameReading = <V>(a: Claim<V>, b: Claim<V>): boolean =>
  a.source === b.source && a.by === b.by && a.with === b.with && a.on !== undefined && a.on === b.on

const better = <V>(a: Claim<V>, b: Claim<V>) => SOURCES.indexOf(a.source) <= SOURCES.indexOf(b.source)

/** The fact with another claim in its place; what it said before goes to the trail. Rivals stay as they are. */
function replaced<F extends AnyFact<unknown>>(old: F, next: Claim<unknown>, gaveWay?: GaveWay): F {
  const { value: _v, tol: _t, source: _s, with: _w, on: _o, by: _b, trail, ...rest } = old
  const gone = old.value === null ? [] : [{ ...asClaim(old), ...(gaveWay ? { gaveWay } : {}) }]
  const kept = [...(trail ?? []), ...gone]
  return { ...rest, ...asClaim(next), ...(kept.length ? { trail: kept } : {}) } as unknown as F
}

/** The fact with no two claims that agree: a rival that says what another claim says by now is kept in the trail. */
function joined<F extends AnyFact<unknown>>(f: F): F {
  const { rivals = [], ...rest } = f
  const apart: Claim<unknown>[] = []
  const same: (Claim<unknown> & { gaveWay: GaveWay })[] = []
  for (const r of rivals)
    if ([f, ...apart].some((c) => agrees(c, r))) same.push({ ...r, gaveWay: 'agrees' })
    else apart.push(r)
  if (!same.length) return f
  return { ...rest, ...(apart.length ? { rivals: apart } : {}), trail: [...(f.trail ?? []), ...same] } as unknown as F
}

/**
 * States a value. An unknown is simply filled, and an assumption yields, since nobody stands behind it. An equal value
 * keeps the better source. A different value from another source, person or day becomes a rival until somebody settles it;
 * the same reading written anew is a correction. A statement without a value changes nothing.
 */
export function state<F extends AnyFact<unknown>>(old: F | undefined, next: F): F {
  if (!old) return next
  if (next.value === null) return old
  if (old.value === null) return replaced(old, next)
  if (agrees(old, next)) {
    if (sameClaim(old, next)) return old
    return better(next, old) ? replaced(old, next) : old
  }
  if (sameReading(old, next)) return joined(replaced(old, next, 'mistyped'))
  if (old.source === 'assumed' && !old.rivals?.length) return replaced(old, next, 'assumed')
  const rivals = old.rivals ?? []
  const twin = rivals.findIndex((r) => agrees(r, next) || sameReading(r, next))
  if (twin >= 0) {
    const gone = rivals[twin]!
    if (agrees(gone, next) && !better(next, gone)) return old
    return joined({
      ...old,
      rivals: rivals.map((r, i) => (i === twin ? asClaim(next) : r)),
      ...(sameClaim(gone, next)
        ? {}
        : { trail: [...(old.trail ?? []), { ...gone, ...(agrees(gone, next) ? {} : { gaveWay: 'mistyped' }) }] }),
    })
  }
  // A thirteenth opinion pushes the oldest one into the trail; it is not forgotten.
  const spill = rivals.slice(0, Math.max(0, rivals.length + 1 - MOST_RIVALS))
  return {
    ...old,
    rivals: [...rivals.slice(spill.length), asClaim(next)],
    ...(spill.length ? { trail: [...(old.trail ?? []), ...spill] } : {}),
  }
}

/**
 * Decides anew what is a setting and no reading: the new value stands, what was set before is in the trail. Rivals, which are
 * others' statements, stay until they are settled.
 */
export const setAnew = <F extends AnyFact<unknown>>(old: F | undefined, next: F): F => {
  if (!old) return next
  return agrees(old, next) && old.source === next.source ? old : joined(replaced(old, next, 'setAnew'))
}

/** The same reading, mistyped: another value, tolerance or source takes its place and the old one goes to the trail. */
export const correct = <F extends AnyFact<unknown>>(old: F, next: Partial<Claim<F['value']>>): F =>
  sameClaim(old, { ...asClaim(old), ...next } as Claim<unknown>)
    ? old
    : joined(replaced(old, { ...asClaim(old), ...next } as Claim<unknown>, 'corrected'))

/**
 * The same value of another source: whoever says so, on that day, stands behind it now, and by what means it came about before
 * says nothing of that. What was said before is kept. The same source said again changes nothing.
 */
export function standBehind<F extends AnyFact<unknown>>(old: F, said: Pick<Claim, 'source' | 'by' | 'on'>): F {
  if (old.source === said.source || old.value === null) return old
  const tol = old.tol === undefined ? {} : { tol: old.tol }
  return joined(
    replaced(old, { value: old.value, ...tol, ...said }, old.source === 'assumed' ? 'assumed' : 'corrected'),
  )
}

/** Takes a value back: unknown again, with all that was said kept in the trail. */
export function retract<F extends AnyFact<unknown>>(old: F): F {
  const { rivals, ...rest } = old
  const emptied = replaced(rest as F, { value: null, source: 'unknown' }, 'takenBack')
  return rivals?.length
    ? { ...emptied, trail: [...(emptied.trail ?? []), ...rivals.map((r) => ({ ...r, gaveWay: 'takenBack' as const }))] }
    : emptied
}

/** Settles a contradiction: `choice` 0 keeps the standing value, n takes the n-th rival. The others go to the trail. Throws a RangeError for a choice that is not there. */
export function settle<F extends AnyFact<unknown>>(f: F, choice: number): F {
  const all = [asClaim(f), ...(f.rivals ?? [])]
  const winner = all[choice]
  if (!winner) throw new RangeError(`settle: no claim number ${choice} among ${all.length}`)
  const losers = all.filter((_, i) => i !== choice).map((c) => ({ ...c, gaveWay: 'settled' as const }))
  const { value: _v, tol: _t, source: _s, with: _w, on: _o, by: _b, rivals: _r, trail, ...rest } = f
  return { ...rest, ...winner, trail: [...(trail ?? []), ...losers] } as unknown as F
}
