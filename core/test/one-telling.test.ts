import { describe, expect, test } from '@jest/globals'
import { piecesOf, proceduresOf } from '@nubrin/core/access'
import { buildHandoff } from '@nubrin/core/handoff'
import { readerOf } from '@nubrin/core/record'
import { compose, markdownOf, webVttOf } from '@nubrin/core/script'
import { learnAll } from '@nubrin/core/tongues'
import { LANGUAGES } from '@nubrin/core/units'
import { drawn } from './drawn'
import { kindOfOrder, ORDERS } from './orders'
import { TODAY } from './samples'

learnAll()
const orders = LANGUAGES.flatMap((language) =>
  ORDERS.filter(([name]) => name !== 'twelve sabers').map(([name, make]) => [name, language, make] as const),
)
/** A text without what differs between a line of paper and a sentence: signs, spaces and capitals. */
const close = (t: string) =>
  t
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '')
const SCREWS = /^(loosen|remove|tighten)$/

/** The first of some words that do not follow each other in a text. */
function lost(text: string, words: readonly string[]): string | undefined {
  let at = 0
  for (const w of words) {
    const next = text.indexOf(close(w), at)
    if (next < 0) return w
    at = next + close(w).length
  }
  return undefined
}

describe.each(drawn(orders, 1 / 4, (o) => [o[1], kindOfOrder(o)]))('%s, %s', (_name, language, make) => {
  const c = make()
  c.client.language = language
  const reader = readerOf(c)
  const d = buildHandoff(c, 'Shop', TODAY)
  test('script and captions tell the acts that the client’s page plays, in its order, and leave no warning out', () => {
    for (const [i, s] of c.sabers.entries()) {
      s.beats = []
      s.beats = compose(c, s)
      // A later saber is told like the first; what is left to paper is read.
      if (i > 0) continue
      const issued = new Set(d.procedures.filter((p) => p.saber === s.id).flatMap((p) => p.acts.map((x) => x.text)))
      for (const text of [markdownOf(reader, c.title, s), webVttOf(reader, s)].map(close))
        for (const { task, acts } of piecesOf(s, proceduresOf(reader, s))) {
          if (s.beats.find((b) => b.task === task)?.leftTo) continue
          // Screws that are turned one after the other are told in one breath.
          const alone = acts.filter((x) => x.ownWords || !x.does.some((a) => SCREWS.test(a.do)))
          const from = text.indexOf(close(s.beats.find((b) => b.task === task)!.say))
          expect([task, from >= 0]).toEqual([task, true])
          const told = text.slice(from, from + close(s.beats.find((b) => b.task === task)!.say).length)
          expect([
            task,
            lost(
              told,
              alone.map((x) => x.text),
            ),
          ]).toEqual([task, undefined])
          for (const x of acts) expect(issued).toContain(x.text)
          const warned = new Set(acts.flatMap((x) => (x.caution ? [x.caution] : [])))
          const inside = close(s.beats.map((b) => b.say).join(' '))
          for (const w of warned)
            if (!inside.includes(close(w)))
              expect(s.beats.some((b) => b.covers.some((k) => k.startsWith('caution:')))).toBe(true)
        }
    }
  })
  test('what is on paper are acts of the page, in its order, from where it says that they begin', () => {
    for (const b of d.chapters.flatMap((ch) => ch.blocks)) {
      if (b.kind !== 'steps') continue
      const p = d.procedures.filter((x) => x.saber === b.saber)[b.procedure!]!
      const from = (b.first ?? 1) - 1
      expect(b.steps.map((x) => x.text)).toEqual(p.acts.slice(from, from + b.steps.length).map((x) => x.text))
      expect(Boolean(b.lead)).toBe(from > 0)
      expect(Boolean(b.tail)).toBe(from + b.steps.length < p.acts.length)
    }
  })
})
