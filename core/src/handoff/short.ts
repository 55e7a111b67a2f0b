import type { HandoffDocument } from './document'

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
