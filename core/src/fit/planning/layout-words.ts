import { formatNumber, MAKER } from '../../units'
import type { Arrangement, Layout, LayoutProblem, Verdict } from '../search'

/** A layout in a line: what goes in and in which order from the pommel. */
export function layoutWords(problem: LayoutProblem, arrangement: Arrangement, l: Layout): string {
  const of = {
    speaker: problem.speakers[l.speaker]!.name,
    cell: problem.cells[l.cell]!.name,
    board: problem.boards[l.board]!.name,
    chamber: `chamber ${formatNumber(MAKER, l.chamber, 0)} mm`,
  }
  return arrangement.order
    .map((t) => (t === 'pairRear' || t === 'pairFront' ? `${of.cell} with ${of.board} on it` : of[t]))
    .join(' → ')
}

/** What a chosen layout gives up against the best of each kind among the trade-offs. Empty when it gives up nothing. */
export function gaveUpWords(problem: LayoutProblem, best: readonly Layout[], l: Layout, score: 'min' | 'mAh'): string {
  const most = (f: (x: Layout) => number) => Math.max(...best.map(f))
  const lost = [
    [
      most((x) => problem.cells[x.cell]!.score) - problem.cells[l.cell]!.score,
      0.5,
      score === 'min' ? 'min of runtime' : 'mAh',
    ],
    [most((x) => problem.speakers[x.speaker]!.d!) - problem.speakers[l.speaker]!.d!, 0.1, 'mm of speaker'],
    [most((x) => x.chamber) - l.chamber, 0.5, 'mm of chamber'],
    [most((x) => x.slack) - l.slack, 0.5, 'mm of slack'],
    [l.off - Math.min(...best.map((x) => x.off)), 1, 'mm of balance'],
  ] as const
  return lost
    .filter(([v, grain]) => v >= grain)
    .map(([v, , w]) => `${formatNumber(MAKER, v, v < 10 ? 1 : 0)} ${w}`)
    .join(', ')
}

/** Why a row of the shelf is in no layout, in one sentence. */
export function verdictWords(v: Verdict): string {
  if (v.ok) return v.layouts === 1 ? 'in one layout' : `in ${v.layouts} layouts`
  const next = v.next ? `; next down: ${v.next}` : ''
  if (v.why === 'bore')
    return `the bore is ${formatNumber(MAKER, v.mm)} mm too small between ${formatNumber(MAKER, v.from, 0)} and ${formatNumber(MAKER, v.to, 0)} (${v.section})${next}`
  if (v.why === 'length') return `${formatNumber(MAKER, v.mm, 1)} mm too long${v.with ? ` with ${v.with}` : ''}${next}`
  return 'goes in by itself, but nothing can be found for the other places'
}
