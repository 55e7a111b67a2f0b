import type { HandoffDocument } from './document'
import { chapterLines } from './lines'

/** A chapter that says something else: what it said before and does not any more, and what it says now. */
export interface Difference {
  chapter: string
  title: string
  gone: string[]
  come: string[]
}

/** Lines of one list that the other has not, counted: what stands there twice and once goes once. */
function without(a: readonly string[], b: readonly string[]): string[] {
  const left = new Map<string, number>()
  for (const x of b) left.set(x, (left.get(x) ?? 0) + 1)
  return a.filter((x) => {
    const n = left.get(x) ?? 0
    if (n) left.set(x, n - 1)
    return !n
  })
}

/**
 * What a later record says otherwise than an earlier one, by chapter, in the order of the later one; chapters that are gone
 * come last. Only what is read counts: a line that moved within its chapter is no difference.
 */
export function differences(before: HandoffDocument, after: HandoffDocument): Difference[] {
  const was = new Map(before.chapters.map((c) => [c.id, c]))
  const is = new Map(after.chapters.map((c) => [c.id, c]))
  return [...new Set([...is.keys(), ...was.keys()])].flatMap((id) => {
    const [a, b] = [was.get(id), is.get(id)]
    const [old, now] = [a ? chapterLines(a) : [], b ? chapterLines(b) : []]
    const [gone, come] = [without(old, now), without(now, old)]
    return gone.length + come.length ? [{ chapter: id, title: (b ?? a)!.title, gone, come }] : []
  })
}
