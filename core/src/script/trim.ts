import { type Beat, type Commission, readerOf, type Saber, type Task, toldSaber } from '../record'
import { rehearse } from './rehearse'
import { type Topic, topicsOf } from './topics'

/** A short telling takes so long at the most where nobody has said, s. */
export const SHORT = 120

/** How long a script is as it is spoken, s. */
export const spokenLength = (beats: readonly Beat[]): number =>
  beats.reduce((a, b) => a + (b.leftTo ? 0 : b.seconds), 0)

/** What a script may take: as the maker said, two minutes for a short one, else as long as it takes. */
export const targetOf = (s: Pick<Saber, 'telling'>): number | undefined =>
  s.telling?.target ?? (s.telling?.length === 'short' ? SHORT : undefined)

/** Tasks that go together: who leaves one of them to paper leaves them all. */
const TOGETHER = ['open', 'cellOut', 'card', 'cellIn', 'close', 'port']

/**
 * Which beats to leave to paper so that a script takes no longer than `target` seconds: the least weighty first, of equal ones the
 * longest, and none without which the rest could not be carried out. Power, blade, the maker's own words, and warnings of what is
 * shown are never among them, so a target may stay out of reach.
 */
export function proposeTrim(
  c: Commission,
  s: Saber,
  target: number,
  topics: readonly Topic[] = topicsOf(c, s),
): string[] {
  const by = new Map(topics.map((t) => [t.key, t]))
  const weight = (b: Beat) =>
    b.by === 'composed' && b.covers.length ? Math.min(...b.covers.map((k) => by.get(k)?.weight ?? 0)) : 0
  const inside = (b: Beat) => b.covers.some((k) => TOGETHER.some((t) => k === `task:${t}`))
  const groups: { ids: string[]; weight: number; seconds: number }[] = []
  const opened = s.beats.filter(inside)
  for (const b of s.beats) {
    if (b.leftTo || inside(b) || weight(b) === 0) continue
    groups.push({ ids: [b.id], weight: weight(b), seconds: b.seconds })
  }
  if (opened.length && opened.every((b) => b.by === 'composed' && !b.leftTo))
    groups.push({ ids: opened.map((b) => b.id), weight: 2, seconds: spokenLength(opened) })
  groups.sort((a, b) => b.weight - a.weight || b.seconds - a.seconds)
  const out = new Set<string>()
  // A warning goes with the last of what it warns of.
  const gone = () => new Set([...out, ...s.beats.flatMap((b) => (out.size && actless(s.beats, b, out) ? [b.id] : []))])
  const without = () => {
    const ids = gone()
    return s.beats.map((b): Beat => (ids.has(b.id) ? { ...b, leftTo: 'paper' } : b))
  }
  const reader = readerOf(c)
  const troubles = rehearse(reader, toldSaber(c, s)).troubles.length
  for (const g of groups) {
    if (spokenLength(without()) <= target) break
    for (const id of g.ids) out.add(id)
    const moved = s.beats.some((b) => g.ids.includes(b.id) && (b.perform || b.task))
    if (moved && rehearse(reader, { ...toldSaber(c, s), beats: without() }).troubles.length > troubles)
      for (const id of g.ids) out.delete(id)
  }
  const ids = gone()
  return s.beats.filter((b) => ids.has(b.id)).map((b) => b.id)
}

/** The pieces at which a caution bites; the others are of the whole saber, and stay. */
const BITES: Readonly<Record<string, readonly Task[]>> = {
  'caution:inside': ['open', 'cellOut', 'card', 'port', 'cellIn', 'close'],
  'caution:cell': ['cellOut', 'cellIn', 'charge'],
}
/** Whether a beat only warns of what is not shown any more: then it is read where that is read. */
const actless = (beats: readonly Beat[], b: Beat, out: ReadonlySet<string>): boolean => {
  if (b.by !== 'composed' || !b.covers.length || !b.covers.every((k) => BITES[k])) return false
  const tasks = b.covers.flatMap((k) => BITES[k]!.map((t) => `task:${t}`))
  const of = beats.filter((x) => x.covers.some((k) => tasks.includes(k)))
  return of.length > 0 && of.every((x) => x.leftTo || out.has(x.id))
}

/** A script that takes as long as it may: what has to be left to paper for it, is. */
export function fitted(c: Commission, s: Saber, topics: readonly Topic[]): Beat[] {
  const target = targetOf(s)
  if (target === undefined || spokenLength(s.beats) <= target) return s.beats
  const out = new Set(proposeTrim(c, s, target, topics))
  return s.beats.map((b) => (out.has(b.id) ? { ...b, leftTo: 'paper' as const } : b))
}
