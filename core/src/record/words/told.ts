import type { Reader } from '../../units'
import { large, nounWords, say, speaks } from '../../words'
import type { Commission } from '../schema/commission'
import { refTo } from '../schema/ref'
import type { Saber } from '../schema/saber'
import { RECORD_WORDS, SABER_WORDS, withWords } from '../walk/schema-plan'
import { isForeign, nounOf } from './nouns'
import { languageOf, readerOf, writtenIn } from './reader'

/** How the shop's words are put for their reader: what stands in the record, and where. */
export type Put = (text: string, path: string, name: boolean) => string

/** A number with its unit is read in every language; so is what is written in capitals alone. */
const MEASURE = /\d[\d.,]*\s*(mm|cm|m|g|kg|V|A|mA|mAh|Ah|W|Wh|Hz|kHz|s|ms|min|h)(?!\p{L})/gu
const LETTERS = /\p{Ll}{2,}/u
const SMALL = /(?<!\p{L})\p{Ll}{2,}/u
/**
 * Whether a text has words in it, which are in some language: figures, sizes and designations have none, and what stands for
 * somebody only where it is no name: `the Guild`, `an unknown hand`.
 */
export const hasWords = (text: string, name = false): boolean =>
  (name ? SMALL : LETTERS).test(text.replace(MEASURE, ''))

/** The translations of a record into its client's language, by what is translated. */
export function translationsOf(c: Pick<Commission, 'translations' | 'client'>): ReadonlyMap<string, string> {
  const language = languageOf(c)
  return new Map((c.translations ?? []).filter((t) => t.language === language).map((t) => [t.text, t.says]))
}

/** Translated where it has been, else quoted as the shop's own. */
function putFor(reader: Reader, c: Commission): Put {
  const says = translationsOf(c)
  return (text, _path, name) => {
    const words = text.trim()
    if (!hasWords(words, name)) return text
    return says.get(words) ?? say(reader, 'ownWords', { text: words.replace(/[.]+$/, '') })
  }
}

/** What was told lately: a record and a saber as they are give the same again, and are not told twice. */
const RECORDS = new WeakMap<Commission, { spoken: boolean; told: Commission }>()
const SABERS = new WeakMap<Saber, { read: readonly unknown[]; told: Saber }>()
const TOLD = new WeakSet<object>()

/**
 * A record as its client reads it: the shop's own words in his language where they are translated, quoted where they are not, and
 * things called what they are called there. The same record where it is in his language. Everything that is told to a client is
 * told from it.
 */
export function told(c: Commission): Commission {
  if (TOLD.has(c) || !isForeign(readerOf(c))) return c
  const spoken = speaks(languageOf(c))
  const known = RECORDS.get(c)
  if (known?.spoken === spoken) return known.told
  const { sabers, ...order } = c
  const words = withWords(RECORD_WORDS, order, putFor(readerOf(c), c))
  const made = mark({ ...words, sabers: sabers.map((s) => toldSaber(c, s)) } as Commission)
  RECORDS.set(c, { spoken, told: made })
  return made
}

/** One saber of a record as its client reads it; the same value again while nothing changes in it. */
export function toldSaber(c: Commission, s: Saber): Saber {
  const reader = readerOf(c)
  if (TOLD.has(s) || !isForeign(reader)) return s
  const read = [c.translations, languageOf(c), writtenIn(c), speaks(languageOf(c))]
  const known = SABERS.get(s)
  if (known?.read.every((v, i) => v === read[i])) return known.told
  const made = mark(withNames(reader, s, withWords(SABER_WORDS, s, putFor(reader, c))))
  SABERS.set(s, { read, told: made })
  return made
}

/** A record of a foreign client with its words put by a rule of the asker’s; the paths are those in the record. */
export function retold(c: Commission, put: Put): Commission {
  const reader = readerOf(c)
  const { sabers, ...order } = c
  const under =
    (s: Saber): Put =>
    (text, path, name) =>
      put(text, `/sabers/@${s.id}${path}`, name)
  const made = {
    ...withWords(RECORD_WORDS, order, put),
    sabers: sabers.map((s) => mark(withNames(reader, s, withWords(SABER_WORDS, s, under(s))))),
  } as Commission
  return mark(made)
}
/** What is told already is not told again. */
function mark<T extends object>(made: T): T {
  TOLD.add(made)
  return made
}

/** Sections, screws, sockets and inputs by their names in the reader's language, else by what they are. */
function withNames(reader: Reader, from: Saber, s: Saber): Saber {
  const named =
    (kind: 'section' | 'fastener' | 'socket' | 'input') =>
    <T extends { id: string; name: string }>(x: T): T => {
      const noun = nounOf(reader, from, refTo(kind, x.id))
      return noun ? { ...x, name: large(nounWords(reader, noun, 'bare')) } : x
    }
  return {
    ...s,
    inputs: s.inputs.map(named('input')),
    hilt: {
      ...s.hilt,
      sections: s.hilt.sections.map(named('section')),
      fasteners: s.hilt.fasteners.map(named('fastener')),
      sockets: s.hilt.sockets.map(named('socket')),
    },
  }
}
