import { isValid, parseISO } from 'date-fns'

/** A day as its reader writes it. */
export const dayText = (iso: string): string => {
  const d = parseISO(iso)
  return isValid(d)
    ? new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' }).format(d)
    : iso
}

/** A day of these weeks as its reader writes it: without its year, with its weekday where that helps. */
export const dayOfWeeks = (iso: string, weekday = false): string =>
  new Intl.DateTimeFormat(undefined, {
    ...{ day: 'numeric', month: 'short' },
    ...(weekday ? { weekday: 'short' } : {}),
  }).format(parseISO(iso))
