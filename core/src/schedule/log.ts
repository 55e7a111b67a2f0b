import type { LogEntry } from '../record'

/** Corrects the hours of an entry; what stood there stays in its trail with who corrected it and when. The first hours are no correction. */
export function correctHours(e: LogEntry, hours: number | undefined, by: string, on: string): void {
  if (e.hours === hours) return
  if (e.hours !== undefined) e.was = [...(e.was ?? []), { hours: e.hours, on, by }].slice(-20)
  if (hours === undefined) delete e.hours
  else e.hours = hours
}
