/** Inks by which one commission is told from the next on the bench; they come round again. */
const INKS = [
  '#35613d',
  '#8a5f17',
  '#2f5d78',
  '#8a3f2f',
  '#5d4a7d',
  '#6b6a1f',
  '#1f6a66',
  '#8a3f6b',
  '#4a4a4a',
  '#a0641e',
]
/** The ink of each commission by its place among them all: the same as long as the same ones are open. */
export function inksOf(ids: readonly string[]): Map<string, string> {
  return new Map(ids.toSorted().map((id, i) => [id, INKS[i % INKS.length]!]))
}
