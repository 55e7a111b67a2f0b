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

/** A day as its reader writes it, `3 October 2026`, `3. Oktober 2026`; what is no day stands as it is. */
export function dayText(reader: Reader, iso: string): string {
  const at = /^\d{4}-\d{2}-\d{2}$/.test(iso) ? Date.parse(`${iso}T00:00:00Z`) : Number.NaN
  if (Number.isNaN(at)) return iso
  const locale = reader.language === 'en' ? 'en-GB' : reader.language
  return new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(at)
}
