import type { HandoffDocument } from './document'
import { chapterLines, missingFrom } from './lines'

/** A chapter that says something else: what it said before and does not any more, and what it says now. */
export interface Difference {
  chapter: string
  title: string
  gone: string[]
  come: string[]
}

const without = (a: readonly string[], b: readonly string[]) => missingFrom(a, b).map((i) => a[i]!)

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
