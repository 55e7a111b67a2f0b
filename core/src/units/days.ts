/** The moment at which a day begins, ms. */
const beginning = (day: string): number => Date.parse(`${day}T00:00:00Z`)
const MS = 86_400_000

/** Whole days from one day to another, both as 2026-12-01; less than none where the second is earlier. */
export const daysBetween = (from: string, to: string): number => Math.round((beginning(to) - beginning(from)) / MS)
/** The day so many days after another. */
export const dayAfter = (day: string, n: number): string => new Date(beginning(day) + n * MS).toISOString().slice(0, 10)
/** The day of the week: Monday is 0. */
export const weekdayOf = (day: string): number => (new Date(beginning(day)).getUTCDay() + 6) % 7
