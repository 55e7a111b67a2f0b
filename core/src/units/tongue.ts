/** The languages there is a catalogue for. */
export const LANGUAGES = ['en', 'de'] as const
export type Language = (typeof LANGUAGES)[number]
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

const SHOP: Reader = { language: 'en' }
let reader: Reader = SHOP

/**
 * Runs something whose words, numbers and lengths are for this reader; outside of it they are for the shop. What runs must be done
 * when it returns: one that goes on later would speak in somebody else's language, so a promise is a RangeError.
 */
export function speaking<T>(to: Partial<Reader>, run: () => T): T {
  const before = reader
  reader = { ...SHOP, ...to }
  try {
    const out = run()
    if (out instanceof Promise) throw new RangeError('speaking: what is worded has to be done when it returns')
    return out
  } finally {
    reader = before
  }
}

/** For a page or a thread that is one reader's alone: all that it words from now on is for this reader. */
export function alwaysSpeaking(to: Partial<Reader>): void {
  reader = { ...SHOP, ...to }
}

/** Whom is being spoken to. */
export const spokenTo = (): Reader => reader
/** A day as the language that is spoken writes it, `3 October 2026`, `3. Oktober 2026`; what is no day stands as it is. */
export function dayText(iso: string): string {
  const at = /^\d{4}-\d{2}-\d{2}$/.test(iso) ? Date.parse(`${iso}T00:00:00Z`) : Number.NaN
  if (Number.isNaN(at)) return iso
  const locale = reader.language === 'en' ? 'en-GB' : reader.language
  return new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(at)
}

/** The language that is being spoken. */
export const tongue = (): Language => reader.language
