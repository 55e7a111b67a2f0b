import type { Beat, Commission, Ref, Saber } from '../record'
import { ordered } from './order'
import { type Topic, tellingsOf, topicsOf } from './topics'

/** So many beats away from its kind a beat still stands with it. */
const NEAR = 4

/** A beat of the maker's own that stands far from what it belongs to, and the beat behind which it would stand better. */
export interface Stray {
  beat: string
  after: string
}

/**
 * Beats in the maker's own words that stand far from their kind: one that tells something, from where the composer would tell it;
 * one that only shows a thing, from the beats that show it too. Each with a better place; the maker moves it, or not.
 */
export function straysOf(c: Commission, s: Saber, topics: readonly Topic[] = topicsOf(c, s)): Stray[] {
  const mine = s.beats.filter((b) => b.by !== 'composed')
  if (!mine.length) return []
  const ideal = ordered(s, s.order, tellingsOf(c, s, topics)).map((t) => t.keys)
  const at = (b: Beat) => s.beats.indexOf(b)
  return mine.flatMap((b): Stray[] => {
    const after = b.covers.length ? before(s, b, ideal) : alike(s, b, b.show)
    if (!after) return []
    const place = at(after) + (at(after) < at(b) ? 1 : 0)
    return Math.abs(place - at(b)) > NEAR ? [{ beat: b.id, after: after.id }] : []
  })
}

/** The nearest beat before a beat, in the order of the school, that the script has. */
function before(s: Saber, b: Beat, ideal: readonly (readonly string[])[]): Beat | undefined {
  const i = ideal.findIndex((keys) => keys.some((k) => b.covers.includes(k)))
  for (let k = i - 1; k >= 0; k--) {
    const found = s.beats.find((x) => x !== b && x.covers.some((key) => ideal[k]!.includes(key)))
    if (found) return found
  }
  return undefined
}

/** The last of the beats that show the same thing. */
const alike = (s: Saber, b: Beat, show: Ref | undefined): Beat | undefined =>
  show && s.beats.findLast((x) => x !== b && x.show === show)

/** Two beats where one was: the words are cut at `at`, all else stays with the first. Undefined where nothing would be left of one. */
export function splitAt(b: Beat, at: number, id: string, secondsOf: (say: string) => number): [Beat, Beat] | undefined {
  const [first, second] = [b.say.slice(0, at).trim(), b.say.slice(at).trim()]
  if (!first || !second) return undefined
  return [
    { ...b, say: first, seconds: secondsOf(first), by: b.by === 'own' ? 'own' : 'edited' },
    { id, say: second, seconds: secondsOf(second), covers: [], by: 'own', ...(b.show ? { show: b.show } : {}) },
  ]
}

/** Where a beat is cut when nobody says where: behind its first sentence; the end of it where it is one sentence. */
export const firstSentenceEnd = (say: string): number => {
  const m = /[.!?]["”“]?\s+/.exec(say)
  return m ? m.index + m[0].length : say.length
}

/** One beat out of two that follow each other; undefined where both are carried out, which one beat cannot be. */
export function merged(a: Beat, b: Beat): Beat | undefined {
  if ((a.perform ?? a.task) && (b.perform ?? b.task)) return undefined
  const { leftTo: _l, ...rest } = a
  const both = a.leftTo && b.leftTo ? { leftTo: a.leftTo } : {}
  const does = [a.doText, b.doText].filter(Boolean).join('; ')
  const expects = [a.expect, b.expect].filter(Boolean).join('; ')
  const show = a.show ?? b.show
  const perform = a.perform ?? b.perform
  const task = a.task ?? b.task
  const times = a.perform ? a.times : b.times
  return {
    ...rest,
    ...both,
    say: `${a.say} ${b.say}`,
    ...(show ? { show } : {}),
    ...(perform ? { perform } : {}),
    ...(task ? { task } : {}),
    ...(times ? { times } : {}),
    ...(does ? { doText: does } : {}),
    ...(expects ? { expect: expects } : {}),
    seconds: Math.min(600, a.seconds + b.seconds),
    covers: [...new Set([...a.covers, ...b.covers])].slice(0, 80),
    by: a.by === 'own' && b.by === 'own' ? 'own' : 'edited',
  }
}
