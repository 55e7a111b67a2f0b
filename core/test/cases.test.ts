import { readFileSync, writeFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { buildHandoff } from '@nubrin/core/handoff'
import { readCommission, writeCommission } from '@nubrin/core/import'
import { judgeCommission } from '@nubrin/core/judge'
import { compose } from '@nubrin/core/script'
import { dayText, MAKER } from '@nubrin/core/units'
import { FIRST } from './cases/first'
import { DAY, type Job } from './cases/plain'
import { SECOND } from './cases/second'
import { THIRD } from './cases/third'

const JOBS: readonly Job[] = [...FIRST, ...SECOND, ...THIRD]
/** Every note that is the shop's own, wherever it stands. */
const shopNotes = (v: unknown): string[] =>
  typeof v !== 'object' || v === null
    ? []
    : Object.entries(v).flatMap(([k, x]) => (k === 'shopNote' ? [String(x)] : shopNotes(x)))

test('there are twenty-one, each with an id of its own', () => {
  expect(JOBS.map((j) => j.id)).toEqual(Array.from({ length: 21 }, (_, i) => `c${String(i + 1).padStart(2, '0')}`))
})

describe.each(JOBS.map((j) => [`${j.id}: ${j.needs}`, j] as const))('%s', (_needs, j) => {
  const c = j.make()
  const found = judgeCommission(c, DAY)
  const codes = found.map((f) => `${f.check}.${f.code}`)
  const page = JSON.stringify(buildHandoff(c, 'Shop', DAY))
  test('is recorded whole, and comes back from a file as it was', () => {
    const back = readCommission(writeCommission(c))
    expect(back.ok ? [] : back.problems).toEqual([])
    expect(back.ok && back.record).toEqual(c)
  })
  test('is judged without a judgement that fails, and raises what it should', () => {
    expect(codes.filter((k) => k.endsWith('.failed'))).toEqual([])
    expect(j.raises.filter((code) => !codes.includes(code))).toEqual([])
    expect((j.silent ?? []).filter((code) => codes.includes(code))).toEqual([])
  })
  test('reaches the client with every word for him, and none of the shop’s', () => {
    const there = (words: string) => page.includes(JSON.stringify(dayText(MAKER, words)).slice(1, -1))
    expect(j.told.filter((words) => !there(words))).toEqual([])
    expect([...j.kept, ...shopNotes(c)].filter(there)).toEqual([])
  })
  test('is told: every saber has a film that ends', () => {
    for (const s of c.sabers) expect(compose(c, s).length).toBeGreaterThan(5)
  })
})

/** What each job proves, as a page; written when it is asked for, else held against what is so. */
test('the page about the jobs says what is so', () => {
  const lines = JOBS.flatMap((j) => {
    const c = j.make()
    const beats = c.sabers.map((s) => compose(c, s))
    const seconds = beats.flat().reduce((a, b) => a + b.seconds, 0)
    return [
      `## ${j.id}: ${c.title}`,
      '',
      `${j.needs[0]!.toUpperCase()}${j.needs.slice(1)}.`,
      '',
      `- recorded: ${c.sabers.length} ${c.sabers.length === 1 ? 'saber' : 'sabers'}, comes back from a file as it was`,
      `- the bench says: ${j.raises.length ? j.raises.map((r) => `\`${r}\``).join(', ') : 'nothing of its own'}`,
      ...(j.silent?.length ? [`- and does not say: ${j.silent.map((r) => `\`${r}\``).join(', ')}`] : []),
      `- the client reads: ${j.told.map((t) => `“${t}”`).join(', ')}`,
      ...(j.kept.length ? [`- and never: ${j.kept.map((t) => `“${t}”`).join(', ')}`] : []),
      `- told in ${beats.flat().length} beats, about ${Math.round(seconds / 60)} min, in four orders and two languages`,
      '',
    ]
  })
  const page = [
    '# The jobs',
    '',
    'Twenty-one jobs of made-up clients, each with something odd about it (`core/test/cases`). Every one is recorded whole,',
    'judged, told and handed over; what each has to show stands below. Made by `core/test/cases.test.ts`.',
    '',
    ...lines,
  ].join('\n')
  if (process.env.NUBRIN_DOCS) writeFileSync('docs/cases.md', page)
  expect(readFileSync('docs/cases.md', 'utf8')).toBe(page)
})
