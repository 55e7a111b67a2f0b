import type { HandoffDocument } from './document'

/** How much of a record is printed: all of it, what one needs who has had another, or each saber on one sheet. */
export const PDF_EXTENTS = ['full', 'short', 'sheet'] as const
export type PdfExtent = (typeof PDF_EXTENTS)[number]

/**
 * What one who has had another saber is not told again: how it came to be. What keeps him and it whole (cautions, power, blade,
 * screws, opening, charging, troubles, notes, what was left open) is never shortened.
 */
const LEFT_OUT: ReadonlySet<string> = new Set([
  ...['brief', 'arrivals', 'lights', 'settings', 'decisions', 'before', 'tests', 'losses', 'walkthrough', 'credits'],
])

/** The same record for a client who has had another. */
export const shortened = (d: HandoffDocument): HandoffDocument => ({
  ...d,
  chapters: d.chapters.filter((c) => !LEFT_OUT.has(c.saber ? c.id.replace(new RegExp(`-${c.saber}$`), '') : c.id)),
})
