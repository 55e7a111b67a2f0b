import { describe, expect, test } from '@jest/globals'
import { fact } from '@nubrin/core/facts'
import type { Commission } from '@nubrin/core/record'
import {
  applyOps,
  composeOps,
  diffOps,
  fieldOf,
  invertOps,
  itemAt,
  type Op,
  rebaseOps,
  stepsOf,
  touches,
  valueAt,
  writeAt,
} from '@nubrin/core/record/ops'
import fc from 'fast-check'
import { tries } from './drawn'
import { demo } from './samples'

/** Records of lists with identities, fields that come and go, and lists of plain values. */
const item = (depth: number): fc.Arbitrary<Record<string, unknown>> =>
  fc.record(
    {
      name: fc.constantFrom('a', 'b', 'c', ''),
      n: fc.option(fc.integer({ min: -3, max: 3 }), { nil: null }),
      tags: fc.array(fc.constantFrom('x', 'y', 'z'), { maxLength: 3 }),
      deep: fc.record({ on: fc.boolean(), note: fc.string({ maxLength: 3 }) }, { requiredKeys: [] }),
      ...(depth ? { inner: listOf(depth - 1) } : {}),
    },
    { requiredKeys: [] },
  )
const listOf = (depth: number): fc.Arbitrary<{ id: string }[]> =>
  fc
    .uniqueArray(fc.constantFrom('i1', 'i2', 'i3', 'i4', 'i5'), { maxLength: 5 })
    .chain((ids) => fc.tuple(...ids.map(() => item(depth))).map((xs) => xs.map((x, i) => ({ id: ids[i]!, ...x }))))
const record = fc.record({ title: fc.string({ maxLength: 4 }), list: listOf(1), other: listOf(0) })

const done = <T>(value: T, ops: readonly Op[]): T => {
  const r = applyOps(value, ops)
  if (!r.ok) throw new Error(`${r.why} ${JSON.stringify(r.op)}`)
  return r.value
}

describe('operations by identity', () => {
  test('what differs, carried out, makes the one the other; undone, it makes it itself again', () => {
    fc.assert(
      fc.property(record, record, (a, b) => {
        const ops = diffOps(a, b)
        expect(done(a, ops)).toEqual(b)
        expect(done(done(a, ops), invertOps(ops))).toEqual(a)
        expect(diffOps(a, a)).toEqual([])
      }),
      { numRuns: 400 },
    )
  })
  test('two changes put together are the two changes', () => {
    fc.assert(
      fc.property(record, record, record, (a, b, c) => {
        expect(done(a, composeOps(diffOps(a, b), diffOps(b, c)))).toEqual(c)
      }),
      { numRuns: 300 },
    )
  })
  test('nothing is changed in place', () => {
    fc.assert(
      fc.property(record, record, (a, b) => {
        const before = structuredClone(a)
        done(a, diffOps(a, b))
        expect(a).toEqual(before)
      }),
    )
  })
  test('changes to different things go together in either order', () => {
    fc.assert(
      fc.property(record, record, record, (a, b, c) => {
        // Mine only in `list`, theirs only in `other`.
        const mine = diffOps(a, { ...a, list: b.list })
        const theirs = diffOps(a, { ...a, other: c.other })
        const { ops, clashes } = rebaseOps(mine, theirs)
        expect(clashes).toEqual([])
        expect(done(done(a, theirs), ops)).toEqual({ ...a, list: b.list, other: c.other })
      }),
      { numRuns: 300 },
    )
  })
  test('what is set elsewhere, taken out or put in twice is named and nothing is done', () => {
    const a = { list: [{ id: 'i1', n: 1 }] }
    expect(applyOps(a, [{ op: 'set', at: '/list/@i2/n', was: 1, value: 2 }])).toMatchObject({ ok: false, why: 'gone' })
    expect(applyOps(a, [{ op: 'insert', at: '/list', item: { id: 'i1' }, after: null }])).toMatchObject({
      ok: false,
      why: 'twice',
    })
    expect(a).toEqual({ list: [{ id: 'i1', n: 1 }] })
  })
})

describe('two people at one commission', () => {
  const start = demo('ember-fair')
  const change = (run: (c: Commission) => void) => {
    const next = structuredClone(start)
    run(next)
    return diffOps(start, next)
  }
  const both = (mine: Op[], theirs: Op[]) => {
    const { ops, clashes } = rebaseOps(mine, theirs)
    return { record: clashes.length ? undefined : done(done(start, theirs), ops), clashes }
  }
  test('she takes the first screw out while he turns the third: his lands on the third', () => {
    const screws = start.sabers[0]!.hilt.fasteners
    const third = screws.at(-1)!
    const theirs = change((c) => void c.sabers[0]!.hilt.fasteners.shift())
    const mine = change((c) => void (c.sabers[0]!.hilt.fasteners.at(-1)!.clock = fact(77, 'deg', 'measured')))
    if (screws.length < 2) throw new Error('the sample has too few screws')
    const after = both(mine, theirs).record!
    expect(after.sabers[0]!.hilt.fasteners.map((f) => f.id)).toEqual(screws.slice(1).map((f) => f.id))
    expect(after.sabers[0]!.hilt.fasteners.find((f) => f.id === third.id)!.clock.value).toBe(77)
  })
  test('both set the same field to different values: a clash, with both values', () => {
    const theirs = change((c) => void (c.title = 'theirs'))
    const mine = change((c) => void (c.title = 'mine'))
    expect(both(mine, theirs).clashes).toHaveLength(1)
    expect(both(theirs, theirs).clashes).toEqual([])
  })
  test('he edits what she took out: a clash, not a silent loss', () => {
    const gone = start.sabers[0]!.presets[0]!.id
    const theirs = change((c) => {
      c.sabers[0]!.presets = c.sabers[0]!.presets.filter((p) => p.id !== gone)
    })
    const mine = change((c) => void (c.sabers[0]!.presets.find((p) => p.id === gone)!.name = 'kept'))
    expect(both(mine, theirs).clashes.length).toBeGreaterThan(0)
  })
  test('both add to one list: both are there', () => {
    const add = (id: string) => change((c) => void c.questions.push({ id, text: id, blocks: false }))
    const after = both(add('mine'), add('theirs')).record!
    expect(
      after.questions
        .map((q) => q.id)
        .slice(-2)
        .sort(),
    ).toEqual(['mine', 'theirs'])
  })
  test('what a change touches is named by identity', () => {
    const id = start.sabers[0]!.presets[0]!.id
    const ops = change((c) => void (c.sabers[0]!.presets[0]!.name = 'another'))
    expect(touches(ops)).toEqual([`/sabers/@${start.sabers[0]!.id}/presets/@${id}/name`])
  })
})

describe('one way through a record by identity', () => {
  const c = demo('ember-fair')
  /** Every place, found by going through the value itself. */
  const places = (v: unknown, path: string): [string, unknown][] =>
    Array.isArray(v)
      ? v.flatMap((x) => (x && typeof x === 'object' && 'id' in x ? places(x, itemAt(path, String(x.id))) : []))
      : typeof v === 'object' && v !== null
        ? Object.entries(v).flatMap(([k, x]) => [
            [`${path}/${k}`, x] as [string, unknown],
            ...places(x, `${path}/${k}`),
          ])
        : []
  const all = places(c, '').filter(([path]) => stepsOf(path).length <= 16)
  test('what stands at a place is what is found there, and nothing beside it', () => {
    expect(all.length).toBeGreaterThan(500)
    for (const [path, value] of all) {
      expect(valueAt(c, path)).toBe(value)
      expect(valueAt(c, `${path}x`)).toBeUndefined()
    }
    expect(valueAt(c, '/sabers/@gone/name')).toBeUndefined()
    expect(valueAt(c, '/title/length')).toBeUndefined()
    expect(valueAt(c, '/toString')).toBeUndefined()
  })
  test('writing there is the same as the operation that sets it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...all), ([path]) => {
        const copy = structuredClone(c)
        writeAt(copy, path, () => 'other')
        const set = applyOps(c, [{ op: 'set', at: path, value: 'other' }])
        expect(set.ok && set.value).toEqual(copy)
      }),
      { numRuns: tries(100, 20) },
    )
    const copy = structuredClone(c)
    writeAt(copy, '/sabers/@gone/name', () => 'other')
    expect(copy).toEqual(c)
  })
  test('the field of a path is the last that is no thing and no place in a list', () => {
    expect(fieldOf('/sabers/@a/parts/@b/specs/capacity/rivals/0/value')).toBe('value')
    expect(fieldOf('/sabers/@a/parts/@b')).toBe('parts')
    expect(fieldOf('')).toBe('')
  })
})
