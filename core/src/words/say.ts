import { IntlMessageFormat } from 'intl-messageformat'
import { en } from './en'
import type { SayingCode, Sayings } from './sayings'

/** The languages there is a catalogue for. */
export const LANGUAGES = ['en'] as const
export type Language = (typeof LANGUAGES)[number]
export const CATALOGUES: Readonly<Record<Language, Readonly<Record<SayingCode, string>>>> = { en }

const made = new Map<string, IntlMessageFormat>()
function formatOf(code: SayingCode, language: Language): IntlMessageFormat {
  const key = `${language}/${code}`
  const found = made.get(key)
  if (found) return found
  // Line breaks in a catalogue are for whoever writes it.
  const format = new IntlMessageFormat(CATALOGUES[language][code].replace(/\s*\n\s*/g, ' '), language, undefined, {
    ignoreTag: true,
  })
  made.set(key, format)
  return format
}

type Params<C extends SayingCode> = keyof Sayings[C] extends never ? [] : [params: Sayings[C]]

/** What was said lately: each edit of a record asks for most of its sentences again. */
const said = new Map<string, string>()
const MOST_SAID = 4000

/** Words a code in a language. Parameters are checked by their types; what they hold is put in as it stands. */
export function say<C extends SayingCode>(code: C, ...[params]: Params<C>): string {
  const key = params === undefined ? code : `${code} ${JSON.stringify(params)}`
  const known = said.get(key)
  if (known !== undefined) return known
  const words = String(formatOf(code, 'en').format(params as Record<string, string | number> | undefined))
  if (said.size >= MOST_SAID) said.clear()
  said.set(key, words)
  return words
}

/** `yes` when there is something to say, for a message that chooses. */
export const whether = (v: unknown): 'yes' | 'no' => (v ? 'yes' : 'no')
