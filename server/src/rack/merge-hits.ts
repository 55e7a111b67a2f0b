/** One commission that was looked at for some words: where and when it hangs, and whether it has them. */
export interface Looked {
  id: string
  place: string
  due: string
  hit: number
}

/** What comes first; things of one day in the order they came. */
const order = (a: Looked, b: Looked) =>
  Number(b.place === 'open') - Number(a.place === 'open') || (a.due < b.due ? 1 : a.due > b.due ? -1 : 0)

/**
 * The first `want` that have the words, the open ones first and the latest first, out of lists of which the first `per` each
 * were looked at, in their order; undefined where one that was not looked at might come before the last of them. A list that
 * is shorter was looked at whole.
 */
export function topHits(rows: readonly Looked[], per: number, want: number): string[] | undefined {
  const lists = [...new Set(rows.map((r) => r.place))].map((place) => rows.filter((r) => r.place === place))
  const ends = lists.flatMap((l) => (l.length >= per ? [l.at(-1)!] : []))
  const hits = rows.filter((r) => r.hit).toSorted(order)
  // Beyond the end of a list that was cut nothing is known.
  const sure = hits.filter((h) => ends.every((end) => h.place === end.place || order(h, end) < 0))
  if (sure.length >= want) return sure.slice(0, want).map((h) => h.id)
  return ends.length ? undefined : hits.slice(0, want).map((h) => h.id)
}
