import { dayText as dayIn, MAKER } from '@nubrin/core/units'
import { lightFormat } from 'date-fns'

/** The day of a moment where the maker is; a day as it stands. */
const dayAt = (iso: string): string => (iso.includes('T') ? lightFormat(new Date(iso), 'yyyy-MM-dd') : iso)

/** A day, or that of a moment, as the makers read it: `3 Oct 2026`. */
export const dayText = (iso: string): string => dayIn(MAKER, dayAt(iso), 'short')
/** A day of these weeks: `3 Oct`, with its weekday where that helps. */
export const dayOfWeeks = (iso: string, weekday = false): string =>
  dayIn(MAKER, dayAt(iso), weekday ? 'weekday' : 'near')
/** A moment of these weeks: `3 Oct 14:05`. */
export const timeText = (iso: string): string => `${dayOfWeeks(iso)} ${lightFormat(new Date(iso), 'HH:mm')}`
