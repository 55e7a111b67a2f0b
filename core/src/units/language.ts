/** The languages there is a catalogue for. */
export const LANGUAGES = ['en', 'de'] as const
export type Language = (typeof LANGUAGES)[number]
/** What a maker calls them. */
export const LANGUAGE_NAME: Readonly<Record<Language, string>> = { en: 'English', de: 'German' }
/** In what a reader thinks of lengths. */
export const MEASURES = ['mm', 'inch'] as const
export type Measures = (typeof MEASURES)[number]

/** Whom something is worded for. */
export interface Reader {
  language: Language
  /** Absent where both are wanted. */
  measures?: Measures
  /** The language that the words of the record are in. */
  written?: Language
}

/** The makers, at the bench: English, both measures, the words of the record as they stand. */
export const MAKER: Reader = { language: 'en' }

/** How much of a day is written: `3 October 2026`, `3 Oct 2026`, `3 Oct`, `Sat 3 Oct`. */
const DAY_FORMS = {
  long: { dateStyle: 'long' },
  short: { day: 'numeric', month: 'short', year: 'numeric' },
  near: { day: 'numeric', month: 'short' },
  weekday: { weekday: 'short', day: 'numeric', month: 'short' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>

/** A day as its reader writes it, `3 October 2026`, `3. Oktober 2026`; what is no day stands as it is. */
export function dayText(reader: Reader, iso: string, form: keyof typeof DAY_FORMS = 'long'): string {
  const at = /^\d{4}-\d{2}-\d{2}$/.test(iso) ? Date.parse(`${iso}T00:00:00Z`) : Number.NaN
  if (Number.isNaN(at)) return iso
  const locale = reader.language === 'en' ? 'en-GB' : reader.language
  return new Intl.DateTimeFormat(locale, { ...DAY_FORMS[form], timeZone: 'UTC' }).format(at)
}
