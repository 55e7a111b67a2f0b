import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Looked, topHits } from '../src/rack/merge-hits'

const PLACES = ['open', 'shipped', 'model']
/** Everything that hangs in a shop, on few days so that many share one. */
const shop = fc
  .array(fc.record({ place: fc.constantFrom(...PLACES), day: fc.integer({ min: 1, max: 9 }), hit: fc.boolean() }), {
    maxLength: 60,
  })
  .map((all) =>
    all.map(({ place, day, hit }, i): Looked => ({ id: `c${i}`, place, due: `2026-11-0${day}`, hit: hit ? 1 : 0 })),
  )

test('what is topHits by looking at the first ones is what looking at all gives; the rest is not topHits', () => {
  let [some, none] = [0, 0]
  fc.assert(
    fc.property(shop, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 8 }), (all, per, want) => {
      const looked = PLACES.flatMap((p) =>
        all
          .filter((r) => r.place === p)
          .sort((a, b) => b.due.localeCompare(a.due))
          .slice(0, per),
      )
      const got = topHits(looked, per, want)
      if (!got) {
        none++
        return
      }
      some++
      const rank = (r: Looked) => `${r.place === 'open' ? 1 : 0} ${r.due}`
      const hits = all.filter((r) => r.hit).sort((a, b) => rank(b).localeCompare(rank(a)))
      // Things of one day may stand in any order: what is held is their rank.
      const ranks = got.map((id) => rank(all.find((r) => r.id === id)!))
      expect(ranks).toEqual(hits.slice(0, want).map(rank))
      expect(new Set(got).size).toBe(got.length)
      expect(got.every((id) => all.find((r) => r.id === id)!.hit)).toBe(true)
    }),
    { numRuns: 2000 },
  )
  expect(Math.min(some, none)).toBeGreaterThan(200)
})

test('a word that all of them have is topHits by the first ones', () => {
  const all = Array.from({ length: 12 }, (_, i): Looked => ({ id: `c${i}`, place: 'open', due: '2026-11-01', hit: 1 }))
  expect(topHits(all, 12, 5)).toEqual(['c0', 'c1', 'c2', 'c3', 'c4'])
  expect(topHits(all, 12, 13)).toBeUndefined()
  expect(topHits(all, 13, 13)).toHaveLength(12)
})
