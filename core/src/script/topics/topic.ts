import type { Commission, Ref, Saber, Task } from '../../record'
import type { Reader } from '../../units'

export type Chapter =
  | 'welcome'
  | 'outside'
  | 'power'
  | 'controls'
  | 'presets'
  | 'blade'
  | 'inside'
  | 'care'
  | 'requests'
  | 'farewell'

/** One thing the client must be told, derived from what was built. */
export interface Topic {
  key: string
  chapter: Chapter
  /** Its name in the list of what is covered and what is not, for the shop. */
  what: string
  /** Words to say it with, in the client's language. */
  say: string
  /** Words for it where the beat before was done in this mode and stayed in it: nobody says twice what is seen. */
  again?: { mode: string; say: string }
  show?: Ref
  perform?: Ref<'row'>
  task?: Task
  expect?: string
  /** A gap in `must` stands against closing the walkthrough. */
  must: boolean
  /** What is left to paper first where there is little time: 0 is never left, 3 goes first. */
  weight: 0 | 1 | 2 | 3
}

/** A topic as it is written; weight 0 where it must be told and nothing is said. */
export type Written = Omit<Topic, 'weight'> & { weight?: Topic['weight'] }

/** One mark ends a sentence: the maker's own question or exclamation keeps its own. */
const ended = (say: string): string => say.replace(/([?!…])(”|“|’)?\./g, '$1$2')

export const topic = ({ weight, ...t }: Written): Topic => ({
  ...t,
  say: ended(t.say),
  weight: weight ?? (t.must ? 0 : 2),
})

/** What a topic is made from. */
export interface Told {
  /** Who hears it. */
  reader: Reader
  c: Commission
  s: Saber
}

const LISTS = new Map<string, Intl.ListFormat>()
/** Words in a row, as the language joins them. */
export function listed(reader: Reader, words: readonly string[]): string {
  const locale = reader.language === 'en' ? 'en-GB' : reader.language
  let format = LISTS.get(locale)
  if (!format) {
    format = new Intl.ListFormat(locale, { type: 'conjunction' })
    LISTS.set(locale, format)
  }
  return format.format(words)
}

/** The maker's words within a sentence: a name keeps its capital, any other beginning is small. */
export const within = (reader: Reader, text: string): string =>
  /^[A-Z](?: |[a-z])/.test(text) && reader.language === 'en' ? text[0]!.toLowerCase() + text.slice(1) : text

/** The maker's words without the full stop that the sentence around them brings. */
export const bare = (text: string): string => text.trim().replace(/[.]+$/, '')
