import { fact } from '../../facts'
import { cavityOf, type Interval, onAxis, roundRoom, spanOf } from '../../geometry'
import type { FittedPart, Saber } from '../../record'
import { axialSlack } from './chain'

/** Air left around a spacer, and the shortest worth cutting, mm: trade practice. */
const AROUND = 0.4
const SHORTEST = 2

/** Stretches on the axis, up to the back of the socket, in which nothing lies, mm from the pommel. Parts without a place are not counted. */
export function gapsAlong(saber: Saber): Interval[] {
  const cavity = cavityOf(saber)
  const spans = saber.parts
    .filter(onAxis)
    .flatMap((p) => spanOf(p) ?? [])
    .sort((a, b) => a.x0 - b.x0)
  const gaps: Interval[] = []
  let x = cavity.x0
  for (const s of [...spans, { x0: cavity.x1, x1: cavity.x1 }]) {
    if (s.x0 - x > 0) gaps.push({ lo: x, hi: Math.min(s.x0, cavity.x1) })
    x = Math.max(x, s.x1)
  }
  return gaps.filter((g) => g.hi - g.lo > 0)
}

/**
 * Spacers that hold everything where it lies: one for each gap of at least 2 mm between two things, as wide as the bore and
 * what reaches in from the wall let it be. Together they are shorter than the gaps by the sum of all tolerances, so that it
 * always closes; the longest give that up. The gap before a speaker at the pommel is its air and stays. Empty while a size is missing.
 */
export function spacersFor(saber: Saber, id: () => string, today: string): FittedPart[] {
  const slack = axialSlack(saber)
  const cavity = cavityOf(saber)
  if (!slack.nominal.ok || cavity.needs.length) return []
  const rear = Math.min(...saber.parts.filter((p) => p.kind === 'speaker').flatMap((p) => spanOf(p)?.x0 ?? []))
  const all = gapsAlong(saber)
  const gaps = all
    .filter((g) => g.hi - g.lo >= SHORTEST && !(Math.abs(g.hi - rear) < 0.01))
    .map((g) => ({ ...g, length: g.hi - g.lo }))
    .sort((a, b) => b.length - a.length)
  // Room is also kept for what lies in line but has no place yet.
  const open = all.reduce((sum, g) => sum + g.hi - g.lo, 0)
  let spare = slack.worst + Math.max(0, open - slack.nominal.value)
  for (const g of gaps) {
    const taken = Math.min(spare, Math.max(0, g.length - SHORTEST))
    g.length -= taken
    spare -= taken
  }
  if (spare > 1e-9) return []
  const mm = (v: number) => fact(Math.floor(v * 10 + 1e-6) / 10, 'mm', 'assumed', { with: 'layout search', on: today })
  return gaps
    .sort((a, b) => a.lo - b.lo)
    .flatMap((g): FittedPart[] => {
      const free = cavity.pieces
        .filter((q) => q.x1 > g.lo + 1e-9 && q.x0 < g.lo + g.length - 1e-9)
        .map((q) => 2 * roundRoom(q))
      const d = Math.min(...free) - AROUND
      if (!(d >= 4)) return []
      const length = mm(g.length)
      return [
        {
          id: id(),
          kind: 'spacer',
          name: `Spacer, cut to ${length.value} mm`,
          specs: { length, diameter: mm(d) },
          at: fact(Number(g.lo.toFixed(2)), 'mm', 'assumed', { with: 'layout search', on: today }),
          supplied: 'shop',
        },
      ]
    })
}
