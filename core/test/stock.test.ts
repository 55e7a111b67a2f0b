import { describe, expect, test } from '@jest/globals'
import { type Chosen, type InHand, lowOf, type OnOrder, orderListCsv, stockOf } from '@nubrin/core/stock'
import fc from 'fast-check'
import { tries } from './drawn'

const row = (id: string, stock?: number): InHand => ({ id, name: id, ...(stock === undefined ? {} : { stock }) })
const anyShop = fc.record({
  stocks: fc.array(fc.option(fc.nat(4), { nil: undefined }), { minLength: 2, maxLength: 2 }),
  chosen: fc.array(
    fc.record({ row: fc.option(fc.nat(1), { nil: undefined }), reserved: fc.option(fc.nat(9), { nil: undefined }) }),
    { maxLength: 9 },
  ),
  lines: fc.array(
    fc.record({
      row: fc.nat(1),
      quantity: fc.integer({ min: 1, max: 3 }),
      for: fc.option(fc.nat(8), { nil: undefined }),
    }),
    { maxLength: 4 },
  ),
})
const built = (x: typeof anyShop extends fc.Arbitrary<infer T> ? T : never) => {
  const shelf = x.stocks.map((n, i) => row(`r${i}`, n))
  const chosen = x.chosen.map(
    (c, i): Chosen => ({
      ...{ commission: `c${i}`, title: `c${i}`, part: 'p', name: 'p' },
      ...(c.row === undefined ? {} : { catalogue: `r${c.row}` }),
      ...(c.reserved === undefined ? {} : { reservedOn: `2026-11-1${c.reserved}` }),
    }),
  )
  const used = new Set<number>()
  const lines = x.lines.map((l, i): OnOrder => {
    // Ordered for somebody who chose of that row, and once.
    const own = l.for !== undefined && chosen[l.for]?.catalogue === `r${l.row}` && !used.has(l.for)
    if (own) used.add(l.for!)
    return {
      ...{ id: `l${i}`, catalogue: `r${l.row}`, quantity: l.quantity, supplier: 's', orderedOn: '2026-11-01' },
      ...(own ? { commission: `c${l.for}`, part: 'p' } : {}),
    }
  })
  return { shelf, chosen, lines }
}

describe('what is to be ordered', () => {
  test('is what is chosen, less what is in hand and free, less what is on its way; nothing is given twice', () => {
    fc.assert(
      fc.property(anyShop, (x) => {
        const { shelf, chosen, lines } = built(x)
        const { standings, toOrder, twice } = stockOf(chosen, shelf, lines)
        expect(standings.map((s) => s.chosen)).toEqual(chosen)
        for (const r of shelf) {
          const mine = standings.filter((s) => s.chosen.catalogue === r.id)
          const of = (is: string) => mine.filter((s) => s.had.is === is).length
          if (r.stock === undefined) {
            expect(of('toOrder') + of('inHand')).toBe(0)
            continue
          }
          expect(of('reserved') + of('inHand')).toBeLessThanOrEqual(r.stock)
          const reserved = mine.filter((s) => s.chosen.reservedOn).length
          const onOrder = lines.filter((l) => l.catalogue === r.id).reduce((n, l) => n + l.quantity, 0)
          const free = Math.max(0, r.stock - reserved)
          // What was ordered for somebody is not counted as free for him.
          const own = lines.filter(
            (l) =>
              l.catalogue === r.id &&
              l.commission &&
              !mine.find((s) => s.chosen.commission === l.commission)?.chosen.reservedOn,
          ).length
          const wanted = mine.length - Math.min(reserved, r.stock)
          const least = Math.max(0, wanted - free - onOrder)
          expect(of('toOrder')).toBeGreaterThanOrEqual(least)
          if (!own) expect(of('toOrder')).toBe(least)
          expect(toOrder.find((t) => t.row === r)?.toOrder ?? 0).toBe(of('toOrder'))
          expect(twice.find((t) => t.row === r)?.without.length ?? 0).toBe(Math.max(0, reserved - r.stock))
        }
        for (const l of lines)
          expect(standings.filter((s) => s.had.is === 'ordered' && s.had.line === l).length).toBeLessThanOrEqual(
            l.quantity,
          )
      }),
      { numRuns: tries(2000, 400) },
    )
  })

  test('whoever is worked on first gets what is free; a line goes to whom it was ordered for', () => {
    const chosen = ['a', 'b', 'c', 'd'].map((commission) => ({
      ...{ commission, title: commission, part: 'p', name: 'speaker', catalogue: 'sp' },
    }))
    const lines = [
      { id: 'l', catalogue: 'sp', quantity: 1, supplier: 's', orderedOn: '2026-11-01', commission: 'd', part: 'p' },
      { id: 'm', catalogue: 'sp', quantity: 1, supplier: 's', orderedOn: '2026-11-02' },
    ]
    const { standings, toOrder } = stockOf(chosen, [row('sp', 1)], lines)
    expect(standings.map((s) => s.had.is)).toEqual(['inHand', 'ordered', 'toOrder', 'ordered'])
    expect(standings.map((s) => (s.had.is === 'ordered' ? s.had.line.id : ''))).toEqual(['', 'm', '', 'l'])
    expect(toOrder).toMatchObject([{ chosen: 4, free: 1, onOrder: 2, toOrder: 1, for: [{ commission: 'c' }] }])
  })

  test('laid aside twice: who came last has none', () => {
    const chosen = [
      { commission: 'a', title: 'a', part: 'p', name: 'board', catalogue: 'b', reservedOn: '2026-11-03' },
      { commission: 'b', title: 'b', part: 'p', name: 'board', catalogue: 'b', reservedOn: '2026-11-01' },
    ]
    const { twice, standings } = stockOf(chosen, [row('b', 1)], [])
    expect(stockOf(chosen.toReversed(), [row('b', 1)], []).twice).toMatchObject([{ without: [{ commission: 'a' }] }])
    expect(twice).toMatchObject([{ without: [{ commission: 'a' }], reserved: [{}, {}] }])
    expect(standings.map((s) => s.had.is)).toEqual(['toOrder', 'reserved'])
  })
})

describe('what runs low', () => {
  const low = (stock: number | undefined, free: number, used: number) =>
    lowOf([{ row: row('r', stock), free }], () => ({ used, days: 90, lead: 18 })).map((l) => l.needed)
  test('is what is used often, where less is free than is used until the next delivery', () => {
    // Ten in ninety days are two in eighteen.
    expect(low(5, 1, 10)).toEqual([2])
    expect(low(5, 2, 10)).toEqual([])
    // Two in a season are not often, and what nobody counted is not known.
    expect(low(5, 0, 2)).toEqual([])
    expect(low(5, 0, 3)).toEqual([1])
    expect(low(undefined, 0, 10)).toEqual([])
  })
})

describe('a list to order by', () => {
  test('has each part with how many and for whom, of one supplier or of all; no cell is a formula', () => {
    const of = (id: string, supplier: string, n: number) => ({
      ...{ row: { ...row(id, 0), name: `=${id}`, supplier, cost: 4.5 }, chosen: n, free: 0, onOrder: 0, toOrder: n },
      for: [{ commission: 'a', title: 'Gull, Rock', part: 'p', name: id }],
    })
    const list = [of('a', 'Oxbow', 2), of('b', 'Tarn', 1)]
    expect(orderListCsv(list).split('\n')).toEqual([
      'supplier,part,id,quantity,cost,for',
      `Oxbow,"'=a",a,2,4.5,"Gull, Rock"`,
      `Tarn,"'=b",b,1,4.5,"Gull, Rock"`,
      '',
    ])
    expect(orderListCsv(list, 'Tarn').split('\n')).toHaveLength(3)
    expect(orderListCsv(list, 'nobody').split('\n')).toHaveLength(2)
  })
})
