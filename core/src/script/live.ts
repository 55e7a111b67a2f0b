import { formatFact } from '../facts'
import { type Beat, type FactPlace, factPaths, isNumberPlace, type Saber } from '../record'
import { notRecordedText } from '../units'

/** A fact within somebody's own words, by where it stands in the saber: `[[/parts/@cell/specs/capacity]]`. */
const TOKEN = /\[\[(\/[^\]]+)\]\]/g

/** The mark that stands for a fact in a text. */
export const factToken = (place: Pick<FactPlace, 'path'>): string => `[[${place.path}]]`

const placeAt = (s: Saber, path: string): FactPlace | undefined => factPaths(s).find((p) => p.path === path)

const worded = (place: FactPlace | undefined): string => {
  if (!place) return notRecordedText()
  return isNumberPlace(place) ? formatFact(place.fact) : String(place.fact.value ?? notRecordedText())
}

/** Own words with the facts in them as they are now; a fact that is gone is not recorded. */
export const liveText = (s: Saber, text: string): string =>
  text.includes('[[') ? text.replace(TOKEN, (_mark, path: string) => worded(placeAt(s, path))) : text

/** A beat as it is spoken: its own words with the facts as they are. A beat without any is given back as it is. */
export function liveBeat(s: Saber, b: Beat): Beat {
  const [words, does] = [liveText(s, b.say), b.doText && liveText(s, b.doText)]
  return words === b.say && does === b.doText ? b : { ...b, say: words, ...(does ? { doText: does } : {}) }
}

/** The same for a whole script; without any facts in it, it is given back as it is. */
export function liveBeats(s: Saber): readonly Beat[] {
  const out = s.beats.map((b) => liveBeat(s, b))
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
    .map((p) => ({ token: factToken(p), name: `${p.owner}: ${p.field}`, value: worded(p) }))
