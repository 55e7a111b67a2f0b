import { differenceInCalendarDays, parseISO } from 'date-fns'

/** "ships in 3 days", "ships today", "was to ship 2 days ago". */
export function shipsIn(iso: string): string {
  const days = daysTo(iso)
  const count = (n: number) => `${n} ${n === 1 ? 'day' : 'days'}`
  return days === 0 ? 'ships today' : days > 0 ? `ships in ${count(days)}` : `was to ship ${count(-days)} ago`
}

/** Days from today to an ISO date; negative when it is past. */
export const daysTo = (iso: string) => differenceInCalendarDays(parseISO(iso), new Date())
