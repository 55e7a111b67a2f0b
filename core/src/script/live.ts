import { formatFact } from '../facts'
import { type Beat, type FactPlace, factPaths, isNumberPlace, type Saber } from '../record'
import { MAKER, notRecordedText, type Reader } from '../units'

/** A fact within somebody's own words, by where it stands in the saber: `[[/parts/@cell/specs/capacity]]`. */
const TOKEN = /\[\[(\/[^\]]+)\]\]/g

/** The mark that stands for a fact in a text. */
export const factToken = (place: Pick<FactPlace, 'path'>): string => `[[${place.path}]]`

const placeAt = (s: Saber, path: string): FactPlace | undefined => factPaths(s).find((p) => p.path === path)

const worded = (reader: Reader, place: FactPlace | undefined): string => {
  if (!place) return notRecordedText(reader)
  return isNumberPlace(place) ? formatFact(reader, place.fact) : String(place.fact.value ?? notRecordedText(reader))
}

/** Own words with the facts in them as they are now; a fact that is gone is not recorded. */
export const liveText = (reader: Reader, s: Saber, text: string): string =>
  text.includes('[[') ? text.replace(TOKEN, (_mark, path: string) => worded(reader, placeAt(s, path))) : text

/** A beat as it is spoken: its own words with the facts as they are. A beat without any is given back as it is. */
export function liveBeat(reader: Reader, s: Saber, b: Beat): Beat {
  const [words, does] = [liveText(reader, s, b.say), b.doText && liveText(reader, s, b.doText)]
  return words === b.say && does === b.doText ? b : { ...b, say: words, ...(does ? { doText: does } : {}) }
}

/** The same for a whole script; without any facts in it, it is given back as it is. */
export function liveBeats(reader: Reader, s: Saber): readonly Beat[] {
  const out = s.beats.map((b) => liveBeat(reader, s, b))
  return out.some((b, i) => b !== s.beats[i]) ? out : s.beats
}

/** Facts that a text speaks of and that are not there any more, by where they stood. */
export const lostFacts = (s: Saber, text: string): string[] =>
  [...text.matchAll(TOKEN)].flatMap((m) => (placeAt(s, m[1]!) ? [] : [m[1]!]))

/** A fact that can be put into a sentence: whose it is, what, and how it reads now. */
export interface Sayable {
  token: string
  name: string
  value: string
}

/** Every fact of a saber that has a value, for whoever writes a sentence. */
export const sayableFacts = (s: Saber): Sayable[] =>
  factPaths(s)
    .filter((p) => p.fact.value !== null)
    .map((p) => ({ token: factToken(p), name: `${p.owner}: ${p.field}`, value: worded(MAKER, p) }))
