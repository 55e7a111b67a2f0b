import { describe, expect, test } from '@jest/globals'
import { drawSection } from '@nubrin/core/drawing'
import { buildHandoff, controlsCard, recallMessage } from '@nubrin/core/handoff'
import { type Commission, readerOf } from '@nubrin/core/record'
import { type TopicMemory, topicsOf } from '@nubrin/core/script'
import { dayText, formatNumber, MAKER, mmAndInch, type Reader } from '@nubrin/core/units'
import { say } from '@nubrin/core/words'
import { drawn } from './drawn'
import { kindOfOrder, ORDERS } from './orders'
import { TODAY } from './samples'

const ENGLISH: Reader = { language: 'en', measures: 'inch' }
const GERMAN: Reader = { language: 'de', measures: 'mm' }

/** A record as two clients have it who share nothing but the saber. */
const forClient = (c: Commission, { language, measures }: Reader): Commission => ({
  ...c,
  client: { ...c.client, language, ...(measures ? { measures } : {}) },
})

/** All that is worded of an order for its client, one piece at a time. */
function* told(c: Commission, memory: TopicMemory): Generator<unknown> {
  const reader = readerOf(c)
  for (const s of c.sabers) {
    yield topicsOf(c, s, memory).map((t) => t.say)
    yield controlsCard(reader, s, 'A5').pages
    yield drawSection(reader, s, { width: 600, height: 200 }).prims
  }
  yield recallMessage(c, [c.title], { part: 'cell', lot: '', why: 'w', todo: 't' }, 'Shop')
  yield* buildHandoff(c, 'Shop', TODAY).chapters
}

describe('two audiences at once', () => {
  const words = async (reader: Reader): Promise<string[]> => {
    const out: string[] = []
    for (const word of [
      () => say(reader, 'about', { what: formatNumber(reader, 1234.5) }),
      () => mmAndInch(reader, 22.225),
      () => dayText(reader, '2026-10-03'),
      () => say(reader, 'notRecorded'),
    ]) {
      out.push(word())
      await Promise.resolve()
    }
    return out
  }
  test('each hears its own language and measures while the other is spoken to', async () => {
    expect(await Promise.all([words(ENGLISH), words(GERMAN), words(MAKER)])).toEqual([
      ['about 1234.5', '7/8 in · 22.23 mm', '3 October 2026', 'not recorded'],
      ['etwa 1234,5', '22,23 mm', '3. Oktober 2026', 'nicht festgehalten'],
      ['about 1234.5', '22.23 mm · 7/8 in', '3 October 2026', 'not recorded'],
    ])
  })
  test.each(drawn(ORDERS, 1 / 4, (o) => [kindOfOrder(o)], 'audience'))(
    '%s: told in turns, piece by piece, it says what it says alone',
    (_name, make) => {
      const c = make()
      const readers = [ENGLISH, GERMAN]
      const alone = readers.map((r) => [...told(forClient(structuredClone(c), r), new Map())])
      const memory: TopicMemory = new Map()
      const both = readers.map((r) => told(forClient(c, r), memory))
      const turns = readers.map((): unknown[] => [])
      for (let i = 0; i < alone[0]!.length; i++) for (const [k, b] of both.entries()) turns[k]!.push(b.next().value)
      expect(turns).toEqual(alone)
      expect(turns[0]).not.toEqual(turns[1])
    },
  )
})
