import { fact, known } from '../../facts'
import { sideOpenings, spanOf } from '../../geometry'
import type { FittedPart, Opening, PartKind, Saber } from '../../record'

/** Which opening a part that hangs in the wall stands in or behind. */
export const HOLE_OF: Partial<Record<PartKind, Opening['kind']>> = {
  switch: 'switch',
  display: 'window',
  chargePort: 'port',
}

/** Openings of a kind in which no such part stands yet, from the pommel on. */
function freeHoles(saber: Saber, kind: PartKind): Opening[] {
  const taken = saber.parts
    .filter((p) => p.kind === kind)
    .flatMap((p) => spanOf(p) ?? [])
    .map((s) => (s.x0 + s.x1) / 2)
  return sideOpenings(saber.hilt)
    .filter((o) => o.kind === HOLE_OF[kind] && known(o.at) !== undefined)
    .filter((o) => !taken.some((x) => Math.abs(x - known(o.at)!) <= Math.max(1, (known(o.length) ?? 0) / 2)))
    .sort((a, b) => known(a.at)! - known(b.at)!)
}

/**
 * Where a button, display or port goes: with its middle at the first free opening made for it, at that opening's clock
 * angle. Undefined for other parts, without a free opening, and while the part's length is unknown.
 */
export function seatOf(
  saber: Saber,
  part: Pick<FittedPart, 'kind' | 'specs'>,
  today: string,
): Pick<FittedPart, 'at' | 'clock'> | undefined {
  const length = known(part.specs.length) ?? known(part.specs.diameter)
  const hole = freeHoles(saber, part.kind)[0]
  if (!hole || length === undefined) return undefined
  const by = { with: `at ${hole.name}`.slice(0, 120), on: today }
  return {
    at: fact(Number((known(hole.at)! - length / 2).toFixed(2)), 'mm', 'assumed', by),
    ...(known(hole.clock) === undefined ? {} : { clock: fact(known(hole.clock)!, 'deg', 'assumed', by) }),
  }
}

/** The saber with every button, display and port that has no place put where its opening is, and the names of those for which there is none. */
export function seatAll(saber: Saber, today: string): { saber: Saber; unseated: string[] } {
  const unseated: string[] = []
  let next = saber
  for (const p of saber.parts) {
    if (!HOLE_OF[p.kind] || known(p.at) !== undefined) continue
    const seat = seatOf(next, p, today)
    if (seat) next = { ...next, parts: next.parts.map((q) => (q.id === p.id ? { ...q, ...seat } : q)) }
    else unseated.push(p.name)
  }
  return { saber: next, unseated }
}
