/** The first of some words that do not follow each other in a text, from a place in it on; undefined where all do. */
export function firstLost(text: string, words: readonly string[], from = 0): string | undefined {
  let at = from
  for (const w of words) {
    const next = text.indexOf(w, at)
    if (next < 0) return w
    at = next + w.length
  }
  return undefined
}
