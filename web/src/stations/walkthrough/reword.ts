import type { Beat, Commission, Saber } from '@nubrin/core/record'
import { composedWords } from '@nubrin/core/script'

/** Composed beats in the words that they have where they stand now; the maker's own stay as he wrote them. */
export const reworded = (c: Commission, s: Saber): Beat[] => composedWords(c, s)
