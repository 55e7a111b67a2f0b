import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import { balance } from '@nubrin/core/fit'
import { judgeCommission } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import {
  CARRIERS,
  type Carrier,
  type CellsIn,
  carrierOf,
  carrierSays,
  cellsOf,
  confirmable,
  contentsOf,
  expectedMass,
  lithiumOf,
  proposePacking,
  refusalWords,
} from '@nubrin/core/shipping'
import { MAKER } from '@nubrin/core/units'
import fc from 'fast-check'
import { demo, TODAY } from './samples'

const g = (v: number) => fact(v, 'g', 'measured')
const ARE = ['inEquipment', 'withEquipment', 'alone'] as const

describe('what a carrier says of cells', () => {
  const carrier: Carrier = {
    id: 'x',
    name: 'X',
    rules: [
      { cells: 'inEquipment', abroad: false, mostWh: 20, mostCells: 4, answer: 'taken' },
      { cells: 'withEquipment', abroad: false, mostWh: 20, mostCells: 2, answer: 'confirm', by: 'the desk' },
      { cells: 'alone', abroad: false, answer: 'refused', why: 'never alone' },
    ],
  }
  const cell = (more: Partial<CellsIn> = {}): CellsIn => ({
    name: 'a cell',
    count: 1,
    are: 'inEquipment',
    wattHours: 10,
    ...more,
  })
  const one = (more: Partial<CellsIn> = {}, abroad = false) => carrierSays(carrier, abroad, [cell(more)])[0]!
  test.each([
    ['built in, within both limits', {}, false, 'taken'],
    ['as much energy as may be', { wattHours: 20 }, false, 'taken'],
    ['a little more', { wattHours: 20.01 }, false, 'refused'],
    ['as many as may be', { count: 4 }, false, 'taken'],
    ['one more', { count: 5 }, false, 'refused'],
    ['beside it', { are: 'withEquipment' as const }, false, 'confirm'],
    ['alone', { are: 'alone' as const }, false, 'refused'],
    ['over a border nobody speaks of', {}, true, 'refused'],
  ])('%s', (_what, more, abroad, answer) => expect(one(more, abroad).answer).toBe(answer))
  test('who must confirm and why it is refused are named', () => {
    expect(one({ are: 'withEquipment' }).by).toBe('the desk')
    expect(refusalWords(one({ are: 'alone' }).why)).toBe('never alone')
    expect(refusalWords(one({ count: 5 }).why)).toBe('5 cells; 4 are taken')
    expect(refusalWords(one({ wattHours: 22.2 }).why)).toBe('22.2 Wh a cell; 20 are taken')
  })
  test('energy that is not known is not judged where the rule asks for it, and too many are refused all the same', () => {
    const { wattHours: _w, ...unknown } = cell()
    expect(carrierSays(carrier, false, [unknown])[0]!.answer).toBe('unknown')
    expect(carrierSays(carrier, false, [{ ...unknown, count: 9 }])[0]!.answer).toBe('refused')
    expect(carrierSays(carrier, false, [{ ...unknown, are: 'alone' }])[0]!.answer).toBe('refused')
  })
  test('how many counts over the parcel, those built in apart from those beside', () => {
    const says = carrierSays(carrier, false, [
      cell({ count: 3 }),
      cell({ name: 'b', count: 2 }),
      cell({ are: 'withEquipment', count: 2 }),
    ])
    expect(says.map((x) => x.answer)).toEqual(['refused', 'refused', 'confirm'])
  })
  test('every carrier of the file answers every way of packing, and whoever asks to be asked says who', () => {
    for (const k of CARRIERS)
      for (const are of ARE)
        for (const abroad of [false, true]) {
          const rules = k.rules.filter((r) => r.cells === are && r.abroad === abroad)
          expect(`${k.id} ${are} ${abroad} ${rules.length}`).toBe(`${k.id} ${are} ${abroad} 1`)
          const [r] = rules
          if (r!.answer === 'confirm') expect(r!.by).toBeTruthy()
          if (r!.answer === 'refused') expect(r!.why).toBeTruthy()
        }
    expect(carrierOf('byHand')?.name).toBe('handed over in person')
    expect(carrierOf('nobody')).toBeUndefined()
  })
  test('more energy, or more cells, is never taken more easily', () => {
    const rank = { taken: 0, confirm: 1, unknown: 1, refused: 2 }
    fc.assert(
      fc.property(
        ...[fc.constantFrom(...CARRIERS), fc.constantFrom(...ARE), fc.boolean()],
        ...[
          fc.integer({ min: 1, max: 8 }),
          fc.double({ min: 0, max: 60, noNaN: true }),
          fc.double({ min: 0, max: 20, noNaN: true }),
        ],
        (k, are, abroad, count, wattHours, more) => {
          const at = (c: number, wh: number) =>
            rank[carrierSays(k, abroad, [cell({ are, count: c, wattHours: wh })])[0]!.answer]
          expect(at(count, wattHours + more)).toBeGreaterThanOrEqual(at(count, wattHours))
          expect(at(count + 1, wattHours)).toBeGreaterThanOrEqual(at(count, wattHours))
        },
      ),
    )
  })
})

describe('what lies in a parcel', () => {
  const reed = () => demo('reed-warden')
  const box = (c: Commission) => c.parcels[0]!
  test('without a word said all of it lies in the first; what is not packed lies in none', () => {
    const c = reed()
    expect(contentsOf(c, box(c))).toHaveLength(c.packing.length)
    c.parcels.push({ id: 'two', to: 'the fair', abroad: false })
    c.packing[0]!.parcel = 'two'
    c.packing[1]!.supply = 'toBuy'
    expect(contentsOf(c, box(c))).toHaveLength(c.packing.length - 2)
    expect(contentsOf(c, c.parcels[1]!)).toEqual([c.packing[0]])
  })
  test('a cell with a line of its own lies beside the saber; without one it is built in; without the saber it is alone', () => {
    const c = reed()
    expect(cellsOf(c, box(c))).toEqual([
      { name: 'Cell 18650, protected, 15 A', count: 1, are: 'withEquipment', wattHours: 10.8 },
    ])
    c.packing = c.packing.filter((p) => p.key !== 'part:rw-p2')
    expect(cellsOf(c, box(c)).map((x) => x.are)).toEqual(['inEquipment'])
    c.packing = reed().packing.filter((p) => p.key === 'part:rw-p2')
    expect(cellsOf(c, box(c)).map((x) => x.are)).toEqual(['alone'])
    c.packing = []
    expect(cellsOf(c, box(c))).toEqual([])
  })
  test('a cell that the client buys is not in it, a wired one is whoever brings it', () => {
    const c = reed()
    c.packing = c.packing.filter((p) => p.key !== 'part:rw-p2')
    const cell = c.sabers[0]!.parts.find((p) => p.kind === 'cell')!
    cell.supplied = 'notSupplied'
    expect(cellsOf(c, box(c))).toEqual([])
    cell.removable = false
    expect(cellsOf(c, box(c))).toHaveLength(1)
  })
  test('without a carrier nothing is said; energy needs both figures', () => {
    const c = reed()
    delete c.parcels[0]!.carrier
    expect(lithiumOf(c, box(c))).toEqual([])
    c.parcels[0]!.carrier = 'tern'
    delete c.sabers[0]!.parts.find((p) => p.kind === 'cell')!.specs.nominalVolts
    expect(lithiumOf(c, box(c)).map((x) => x.answer)).toEqual(['unknown'])
  })
  test('what is to be confirmed stands against shipping until somebody has, by name, for this parcel and this year', () => {
    const c = reed()
    Object.assign(c.parcels[0]!, { abroad: true })
    delete c.parcels[0]!.sentOn
    delete c.shipped
    const stands = () => judgeCommission(c, TODAY).filter((f) => f.check === 'lithium')
    expect(stands()).toMatchObject([{ code: 'confirm', gate: true }])
    const box = c.parcels[0]!
    Object.assign(box, { confirmedBy: 'Juno at the desk', confirmedOn: TODAY, confirmedFor: confirmable(c, box) })
    expect(stands()).toEqual([])
    const again = (change: (d: Commission) => void) => {
      const d = structuredClone(c)
      change(d)
      return judgeCommission(d, TODAY).flatMap((f) =>
        f.check === 'lithium' && f.code === 'confirm' ? [(f.params as { was: string }).was] : [],
      )
    }
    expect(again((d) => void (d.parcels[0]!.carrier = 'harbour'))).toEqual([])
    expect(again((d) => void (d.parcels[0]!.carrier = 'byHand'))).toEqual(['other'])
    expect(again((d) => void (d.packing.find((p) => p.key === 'part:rw-p2')!.quantity = 2))).toEqual(['other'])
    expect(
      again((d) => void (d.sabers[0]!.parts.find((p) => p.id === 'rw-p2')!.specs.capacity = fact(3100, 'mAh'))),
    ).toEqual(['other'])
    expect(again((d) => void (d.parcels[0]!.confirmedOn = '2025-12-31'))).toEqual(['year'])
    // Its year is that of the day on which it left.
    expect(again((d) => Object.assign(d.parcels[0]!, { confirmedOn: '2025-12-30', sentOn: '2025-12-31' }))).toEqual([])
  })
  test('it should weigh what its lines weigh, each weighed or reckoned, the cell once', () => {
    const c = reed()
    const s = c.sabers[0]!
    const cell = s.parts.find((p) => p.id === 'rw-p2')!
    const without = balance({ ...s, parts: s.parts.filter((p) => p !== cell) }).mass
    if (!without.ok) throw new Error('no mass')
    const lines = [46, 8, 12, 90, s.blades[0]!.mass!.value!, cell.specs.mass!.value!]
    const sum = expectedMass(c, box(c))
    expect(sum.ok && sum.value).toBeCloseTo(310 + without.value + lines.reduce((a, b) => a + b, 0), 6)
  })
  test('a line that was weighed counts as it was weighed, however many it holds; a part counts once a piece', () => {
    const c = reed()
    c.packing = [
      { id: 'pk1', what: 'rods', quantity: 3, packed: true, mass: g(30) },
      { id: 'pk2', what: 'cells', quantity: 2, packed: true, key: 'part:rw-p2' },
    ]
    const cell = c.sabers[0]!.parts.find((p) => p.id === 'rw-p2')!.specs.mass!.value!
    const sum = expectedMass(c, { ...box(c), boxMass: g(100) })
    expect(sum.ok && sum.value).toBeCloseTo(130 + 2 * cell, 6)
    delete c.packing[0]!.mass
    const open = expectedMass(c, { ...box(c), boxMass: g(100) })
    expect(open.ok ? [] : open.needs).toEqual([{ name: 'rods', ref: 'packed:pk1' }])
  })
})

describe('what the client is to have beside him', () => {
  test('who brings a thing says how he comes by it; what serves on the bench is no line', () => {
    const c = demo('crosswind')
    const s = c.sabers[0]!
    c.packing = []
    s.items = (['shop', 'client', 'notSupplied', 'bench'] as const).map((supplied, i) => ({
      ...{ id: `it${i}`, what: `thing ${supplied}`, role: 'accessory' as const, quantity: i + 1, supplied },
    }))
    const lines = proposePacking(MAKER, c).filter((p) => p.key.startsWith('item:'))
    expect(lines).toEqual([
      { key: 'item:it0', what: 'thing shop', quantity: 1 },
      { key: 'item:it1', what: 'thing client', quantity: 2, supply: 'hasAlready' },
      { key: 'item:it2', what: 'thing notSupplied', quantity: 3, supply: 'toBuy' },
    ])
  })
  test('the like of several sabers is one line that goes with none of them alone', () => {
    const c = demo('ember-fair')
    c.packing = []
    const lines = proposePacking(MAKER, c)
    const chargers = lines.filter((p) =>
      c.sabers.some((s) => s.parts.some((q) => q.kind === 'charger' && `part:${q.id}` === p.key)),
    )
    expect(chargers).toHaveLength(1)
    expect(chargers[0]!.saber).toBeUndefined()
    expect(chargers[0]!.quantity).toBe(c.sabers.flatMap((s) => s.parts).filter((p) => p.kind === 'charger').length)
    expect(lines.filter((p) => p.key.startsWith('saber:')).map((p) => p.saber)).toEqual(c.sabers.map((s) => s.id))
    const back = lines.filter((p) => p.key.startsWith('arrival:'))
    expect(back.every((p) => p.owner === 'client')).toBe(true)
  })
})

describe('how many of each', () => {
  test('what there is one of is one: saber, blade, key, record, and the cell that is built in', () => {
    const c = demo('reed-warden')
    c.packing = []
    const lines = proposePacking(MAKER, c)
    const of = (key: RegExp) => lines.filter((l) => key.test(l.key)).map((l) => l.quantity)
    expect(of(/^saber:/)).toEqual([1])
    expect(of(/^record$/)).toEqual([1])
    for (const kind of [/^blade:/, /^key:/]) for (const n of of(kind)) expect(n).toBe(1)
    expect(lines.every((l) => l.quantity >= 1)).toBe(true)
    // Built in: not removable, so no line of its own.
    const s = c.sabers[0]!
    const cells = s.parts.filter((p) => p.kind === 'cell')
    for (const p of cells) p.removable = false
    c.packing = [
      { id: 'pk', what: 'the saber', quantity: 1, key: `saber:${s.id}`, packed: true },
    ] as Commission['packing']
    expect(cellsOf(c, undefined).map((x) => [x.count, x.are])).toEqual(cells.map(() => [1, 'inEquipment']))
  })
})
