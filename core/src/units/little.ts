import type { Language, Reader } from './language'

/** The few words that stand around a number, apart from all others: a screen of numbers needs no more of a language. */
export interface LittleWords {
  notRecorded: string
  /** With `{what}` where the number stands. */
  about: string
}
const ENGLISH: LittleWords = { notRecorded: 'not recorded', about: 'about {what}' }
const LITTLE: Partial<Record<Language, LittleWords>> = { en: ENGLISH }

/** Takes the little words of a language in. */
export function learnLittle(language: Language, words: LittleWords): void {
  LITTLE[language] = words
}
const now = (reader: Reader): LittleWords => LITTLE[reader.language] ?? ENGLISH
/** What stands where nothing is known. */
export const notRecordedText = (reader: Reader): string => now(reader).notRecorded
/** A value that is only about so. */
export const aboutText = (reader: Reader, what: string): string => now(reader).about.replace('{what}', () => what)
