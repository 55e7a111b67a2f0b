import { type Commission, readerOf, type Saber, told, toldSaber } from '../../record'
import { MAKER, type Reader } from '../../units'
import { say } from '../../words'
import { creditsText, itemsText, plainItems } from './agreed'
import { alikePresets, alikeText } from './looks'
import { buttonsText, lightsText, litParts } from './parts'
import { tellingOrder } from './several'
import type { Topic } from './topic'
import { topicsOf } from './topics-of'

/** One or several topics that are told in one breath. */
export interface Telling extends Topic {
  keys: readonly string[]
}

/**
 * Topics as they are told: buttons, presets that differ only a little, and those who made it in one breath each, where the first
 * of them stands.
 */
export function tellingsOf(order: Commission, saber: Saber, topics: readonly Topic[]): Telling[] {
  const [reader, c, s] = [readerOf(order), told(order), toldSaber(order, saber)]
  const there = new Set(topics.map((t) => t.key))
  const all = (keys: readonly string[]) => keys.length > 1 && keys.every((k) => there.has(k))
  const group = (kind: string, ids: readonly string[], words: (ids: readonly string[]) => string) => ({
    ...{ keys: ids.map((id) => `${kind}:${id}`), words: () => words(ids) },
  })
  const buttons = s.parts.filter((p) => p.kind === 'switch').map((p) => p.id)
  const groups = [
    group('part', buttons, (ids) => buttonsText(reader, s, ids)),
    ...litParts(s).map((ids) => group('part', ids, (x) => lightsText(reader, s, x))),
    group('item', plainItems(s), (ids) => itemsText(reader, s, ids)),
    group(
      'credit',
      c.credits.map((k) => k.id),
      (ids) => creditsText(reader, c, ids),
    ),
    ...alikePresets(s).map((alike) => group('preset', alike, (ids) => alikeText(reader, c, s, ids))),
  ].filter((g) => all(g.keys))
  const tellings = topics.flatMap((t): Telling[] => {
    const found = groups.find((g) => g.keys.includes(t.key))
    if (!found) return [{ ...t, keys: [t.key] }]
    return t.key === found.keys[0] ? [{ ...t, say: found.words(), keys: found.keys }] : []
  })
  const [first] = tellingOrder(c)
  return first && first.id !== s.id ? likeFirst(reader, first, saidOf(c, first), tellings) : tellings
}

const SAID = new WeakMap<Saber, { read: readonly unknown[]; said: ReadonlySet<string> }>()
/** What is said of a saber's controls, and its cautions; worked out once for a saber as it is. */
function saidOf(c: Commission, s: Saber): ReadonlySet<string> {
  const had = SAID.get(s)
  const read = [c.client, c.writtenIn, c.translations]
  if (had?.read.every((v, i) => v === read[i])) return had.said
  const said = new Set(
    topicsOf(c, s)
      .filter((t) => t.key.startsWith('control:') || t.key.startsWith('caution:'))
      .map((t) => t.say),
  )
  SAID.set(s, { read, said })
  return said
}

/** What the later sabers of an order are held against, as one text: who is told first, and what is said of its controls and cautions. */
export function firstSaid(c: Commission): string {
  const [first] = tellingOrder(c)
  return c.sabers.length > 1 && first ? [first.id, first.name, ...saidOf(c, first)].join('\n') : ''
}

/**
 * What is told in the same words with the first saber of an order is only said to be so: its controls when all are the same, and
 * its cautions.
 */
function likeFirst(reader: Reader, first: Saber, there: ReadonlySet<string>, tellings: readonly Telling[]): Telling[] {
  const groups = (['controls', 'cautions'] as const).flatMap((about) => {
    const of = tellings.filter((t) => t.key.startsWith(about === 'controls' ? 'control:' : 'caution:'))
    const all = of.length > 1 && of.every((t) => there.has(t.say))
    return all ? [{ about, of, keys: of.flatMap((t) => t.keys) }] : []
  })
  return tellings.flatMap((t): Telling[] => {
    const group = groups.find((g) => g.of.includes(t))
    if (!group) return [t]
    if (group.of[0] !== t) return []
    return [
      {
        ...{ key: group.keys[0]!, keys: group.keys, chapter: t.chapter, must: true, weight: 0 },
        what: say(MAKER, 'topic.likeFirst.what', { saber: first.name }),
        say: say(reader, 'topic.likeFirst', { saber: first.name, about: group.about }),
      },
    ]
  })
}
