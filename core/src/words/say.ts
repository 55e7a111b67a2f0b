import { IntlMessageFormat } from 'intl-messageformat'
import { type Language, learnLittle, type Reader } from '../units'
import { en } from './en'
import { CASES, type Gender, type LanguagePack, type Noun } from './noun'
import type { SayingCode, Sayings } from './sayings'

/** What is spoken: English always, every other language once it has been learnt. */
const PACKS: Partial<Record<Language, LanguagePack<SayingCode>>> = { en }

/** Takes a language in. What was said without it is forgotten. */
export function loadLanguage(language: Language, its: LanguagePack<SayingCode>): void {
  PACKS[language] = its
  learnLittle(language, its.messages as Record<'notRecorded' | 'about', string>)
  made.clear()
  said.clear()
}
/** Whether a language can be spoken. */
export const speaks = (language: Language): boolean => PACKS[language] !== undefined

/** What has not been learnt is said in English, rather than not at all. */
const packOf = (language: Language): LanguagePack<SayingCode> => PACKS[language] ?? en

// Each message would ask the machine anew which of its languages this is; the answer never changes.
const { resolveLocale } = IntlMessageFormat
const locales = new Map<string, ReturnType<typeof resolveLocale>>()
IntlMessageFormat.resolveLocale = (asked) => {
  const key = String(asked)
  if (!locales.has(key)) locales.set(key, resolveLocale(asked))
  return locales.get(key)
}

const made = new Map<string, IntlMessageFormat>()
function formatOf(code: SayingCode, language: Language): IntlMessageFormat {
  const key = `${language}/${code}`
  const found = made.get(key)
  if (found) return found
  // Line breaks in a catalogue are for whoever writes it.
  const text = packOf(language).messages[code].replace(/\s*\n\s*/g, ' ')
  const format = new IntlMessageFormat(text, language, undefined, { ignoreTag: true })
  made.set(key, format)
  return format
}

type Params<C extends SayingCode> = keyof Sayings[C] extends never ? [] : [params: Sayings[C]]

/** What was said lately: each edit of a record asks for most of its sentences again. */
const said = new Map<string, string>()
const MOST_SAID = 4000

/** Words that are no noun stand as they are wherever they stand; the language says what stands for them. */
const plain = (language: Language, v: string | number) => ({
  ...packOf(language).cases({ name: String(v) }),
  ...{ bare: v, nom: v, acc: v, dat: v },
})

/** A noun is put in bare, and in its cases by the name of the parameter with `_nom`, `_acc`, `_dat` … behind it. */
function values(language: Language, params: object): Record<string, string | number> {
  const out: Record<string, string | number> = {}
  for (const [key, v] of Object.entries(params as Record<string, string | number | Noun>)) {
    const cases = typeof v === 'object' ? packOf(language).cases(v) : plain(language, v)
    out[key] = cases.bare
    for (const c of CASES) out[`${key}_${c}`] = cases[c]
  }
  return out
}

/** What stands in quotes already is not put in quotes again. */
const onceQuoted = (text: string): string =>
  /„„|““/.test(text) ? text.replace(/„„([^„“]*)““/g, '„$1“').replace(/““([^“”]*)””/g, '“$1”') : text

/** Words a code in the language that is spoken. Parameters are checked by their types; what they hold is put in as it stands. */
export function say<C extends SayingCode>(reader: Reader, code: C, ...[params]: Params<C>): string {
  const language = reader.language
  const key = `${language} ${params === undefined ? code : `${code} ${JSON.stringify(params)}`}`
  const known = said.get(key)
  if (known !== undefined) return known
  const words = onceQuoted(String(formatOf(code, language).format(params && values(language, params))))
  if (said.size >= MOST_SAID) said.clear()
  said.set(key, words)
  return words
}

/** A thing as it stands in a sentence by itself. */
export const nounWords = (
  reader: Reader,
  noun: Noun,
  form: keyof ReturnType<LanguagePack<SayingCode>['cases']> = 'nom',
): string => packOf(reader.language).cases(noun)[form]

/** What gender and number a name most likely has in a reader's language; a guess, for somebody to look at. */
export const guessNoun = (reader: Pick<Reader, 'language'>, name: string): { gender?: Gender; several?: true } =>
  packOf(reader.language).guess(name)

/** `yes` when there is something to say, for a message that chooses. */
export const whether = (v: unknown): 'yes' | 'no' => (v ? 'yes' : 'no')
