import { describe, expect, test } from '@jest/globals'
import { cadDxf, drawSection, drawUnrolled, svgOf } from '@nubrin/core/drawing'
import { fact } from '@nubrin/core/facts'
import { balance, shoppingList } from '@nubrin/core/fit'
import { crossSectionAt, layOut } from '@nubrin/core/geometry'
import { buildHandoff } from '@nubrin/core/handoff'
import { nestedDeeper, readCommission, readPartsCsv } from '@nubrin/core/import'
import { gateOf, judgeCommission, progress, stationStates } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { markdownOf, webVttOf } from '@nubrin/core/script'
import { proposePacking } from '@nubrin/core/shipping'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { drawn } from './drawn'
import { leaves, ODD, type Path, put } from './odd'
import { demo, TODAY } from './samples'

/** Everything that is made of a record. */
function everything(c: Commission) {
  const list = judgeCommission(c, TODAY)
  gateOf(list)
  progress(c, list)
  stationStates(c, list)
  proposePacking(MAKER, c)
  buildHandoff(c, 'Shop', TODAY)
  for (const s of c.sabers) {
    for (const zoom of [1, 6]) svgOf(drawSection(MAKER, s, { width: 900, height: 240, zoom }), 'x', 'x')
    svgOf(drawUnrolled(MAKER, s, { width: 900, height: 220 }), 'x', 'x')
    crossSectionAt(s, layOut(s.hilt).length / 2)
    balance(s)
    shoppingList(s)
    cadDxf(s)
    markdownOf(MAKER, s.name, s)
    webVttOf(MAKER, s, undefined)
  }

  return list
}
const failed = (c: Commission): string[] => {
  const read = readCommission(JSON.stringify(c))
  if (!read.ok) return []
  try {
    return everything(read.record)
      .filter((f) => f.title === 'This could not be judged')
      .map((f) => `${f.key}: ${f.title} ${f.detail}`)
  } catch (e) {
    return [`${(e as Error).stack?.split('\n').slice(0, 3).join(' ')}`]
  }
}

/** A small order whose hilt is closed, whose sections stand in each other, and which has an opening in its rear face. */
function closed(): Commission {
  const c = demo('first-lantern')
  const { hilt, parts } = c.sabers[0]!
  const mm = (v: number) => fact(v, 'mm', 'measured')
  hilt.endWall = mm(3)
  for (const s of hilt.sections) s.joint = { kind: 'thread', length: mm(8), engagement: mm(6), passes: mm(20) }
  hilt.openings.push({
    ...{ id: 'rear', name: 'slot', kind: 'vent', face: 'rear', at: mm(0), clock: fact(0, 'deg') },
    ...{ length: mm(5), width: mm(12), fromAxis: mm(7) },
  })
  parts.push({ id: 'coil', kind: 'spring', name: 'coil', specs: { leastCell: mm(60) } })
  return c
}

describe('whatever number stands in a record', () => {
  // Every number that the demo orders have, once by its field, in the smallest order that has it.
  const fields = new Map(
    [...demoCommissions(TODAY), closed()]
      .toSorted((a, b) => leaves(b, 'number').length - leaves(a, 'number').length)
      .flatMap((c) =>
        leaves(c, 'number').map((path) => [path.filter((k) => typeof k === 'string').join('.'), { c, path }]),
      ) as [string, { c: Commission; path: Path }][],
  )
  test.each(ODD)('%s: judged, drawn, told and handed over all the same', (what, value) => {
    const seen: string[] = []
    expect(fields.size).toBeGreaterThan(100)
    for (const [field, { c, path }] of drawn([...fields], 1 / 12, undefined, what))
      for (const f of failed(put(c, [path], value))) seen.push(`${field} ${f}`)
    expect(seen).toEqual([])
  })
  test('a thing that lies beside itself, two and three that lie beside each other in a circle, lights that follow each other', () => {
    const c = demo('reed-warden')
    const s = c.sabers[0]!
    const placed = s.parts.filter((p) => p.at)
    // A pack is wide and high, and a cell all the same: such a one lies beside another as a board does.
    const flat = { width: fact(18, 'mm'), height: fact(5, 'mm') }
    for (const p of placed.slice(0, 3)) Object.assign(p, { kind: 'cell', specs: { ...p.specs, ...flat } })
    for (const ring of [1, 2, 3]) {
      for (const [i, p] of placed.entries()) {
        const k = Math.floor(i / ring) * ring
        p.beside = placed[k + ((i - k + 1) % Math.min(ring, placed.length - k))]!.id
      }
      expect(failed(c)).toEqual([])
    }
    for (const [i, z] of s.zones.entries()) z.follows = s.zones[(i + 1) % s.zones.length]!.id
    expect(failed(c)).toEqual([])
  })
  test.each(['this', 'next'] as const)('sections that would swallow each other, the end of %s going in', (spigot) => {
    const c = demo('reed-warden')
    for (const s of c.sabers[0]!.hilt.sections)
      s.joint = {
        kind: 'thread',
        engagement: fact(1000, 'mm', 'measured'),
        passes: fact(0.001, 'mm', 'measured'),
        spigot,
      }
    expect(failed(c)).toEqual([])
    const shape = layOut(c.sabers[0]!.hilt)
    for (const s of shape.sections) expect(s.x1 - s.x0).toBeGreaterThan(0)
  })
  test('a value that no saber can have is named, and nothing is computed from it', () => {
    const c = demo('reed-warden')
    c.sabers[0]!.hilt.sections[1]!.length.value = 1e7
    c.sabers[0]!.parts.find((p) => p.kind === 'cell')!.specs.capacity!.value = -3000
    const found = judgeCommission(c, TODAY).filter((f) => f.check === 'impossible')
    expect(found).toMatchObject([
      { code: 'beyond', level: 'stop', gate: true, refs: [`section:${c.sabers[0]!.hilt.sections[1]!.id}`] },
      { code: 'beyond', title: expect.stringContaining('−3000 mAh') },
    ])
    expect(layOut(c.sabers[0]!.hilt).complete).toBe(false)
  })
})

describe('texts that no database and no page can hold', () => {
  const faults = (run: (c: Commission) => void) => {
    const c = demo('reed-warden')
    run(c)
    const r = readCommission(JSON.stringify(c))
    return r.ok ? [] : r.problems.map((p) => `${p.path} ${p.rule}`)
  }
  test.each([
    ['half a surrogate pair', (c: Commission) => void (c.title = 'Reed \ud800'), '/title text'],
    ['a character of nothing', (c: Commission) => void (c.sabers[0]!.name = 'a\u0000b'), '/sabers/0/name text'],
    ['a day that is none', (c: Commission) => void (c.deadline = '2026-02-30'), '/deadline format'],
    ['the year nought', (c: Commission) => void (c.deadline = '0000-01-01'), '/deadline format'],
    [
      'a leap second',
      (c: Commission) => void (c.sabers[0]!.tests[0]!.readings[0]!.at = '2016-12-31T23:59:60Z'),
      '/sabers/0/tests/0/readings/0/at format',
    ],
  ])('%s is refused where it stands', (_what, run, expected) => {
    expect(faults(run)).toEqual([expected])
  })
})

describe('what would take ages or all memory', () => {
  test('nested deeper than any document', () => {
    for (const text of [
      '['.repeat(1e5),
      `${'{"a":'.repeat(1e5)}1${'}'.repeat(1e5)}`,
      `${'['.repeat(41)}${']'.repeat(41)}`,
    ])
      expect(readCommission(text)).toMatchObject({ problems: [{ rule: 'maxDepth' }] })
    // Brackets in words are words.
    expect(nestedDeeper(JSON.stringify({ a: `${'['.repeat(100)}\\"${'{'.repeat(100)}` }), 5)).toBe(false)
    expect(nestedDeeper('[[[]]]', 3)).toBe(false)
    expect(nestedDeeper('[[[]]]', 2)).toBe(true)
  })
  test('headings of blanks and brackets, a million columns, cells of digits: told, and soon', () => {
    const rule = (csv: string) => readPartsCsv(csv).problems.map((p) => p.rule)
    expect(rule(`kind,name,x${' '.repeat(200_000)}(\ncell,Cell A,1`)).toEqual(['heading'])
    expect(rule(`kind,name,${'('.repeat(200_000)}\ncell,Cell A,1`)).toEqual(['heading'])
    expect(rule(`kind,name${','.repeat(1_000_000)}\ncell,Cell A`)).toEqual(['maxColumns'])
    expect(rule(`kind,name,diameter (mm)\ncell,Cell A,${'1'.repeat(200_000)}`)).toEqual(['maxLength'])
    expect(rule(`kind,name,diameter (mm)\ncell,Cell A,${'1 '.repeat(30)}x`)).toHaveLength(1)
  })
  test('a heading is read with its unit and its mark of tolerance, in any of their spellings', () => {
    const read = (h: string) => readPartsCsv(`kind,name,diameter (mm),${h}\ncell,Cell A,18.6,0.1`)
    for (const h of ['diameter ± (mm)', 'Diameter tol. [mm]', 'diameter tol', '  DIAMETER  ±  ( mm ) '])
      expect({ h, tol: read(h).parts[0]?.specs.diameter?.tol }).toEqual({ h, tol: 0.1 })
    expect(read('diameter ± (V)').problems.map((p) => p.rule)).toEqual(['unit'])
  })
})
