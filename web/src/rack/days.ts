import { differenceInCalendarDays, parseISO } from 'date-fns'

/** Days from today to an ISO date; negative when it is past. */
export const daysTo = (iso: string) => differenceInCalendarDays(parseISO(iso), new Date())
