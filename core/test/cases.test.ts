import { readFileSync, writeFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { proceduresOf } from '@nubrin/core/access'
import { buildHandoff } from '@nubrin/core/handoff'
import { readCommission, writeCommission } from '@nubrin/core/import'
import { judgeCommission } from '@nubrin/core/judge'
import { type Commission, readerOf } from '@nubrin/core/record'
import { compose } from '@nubrin/core/script'
import { dayText, MAKER } from '@nubrin/core/units'
import { FIRST } from './cases/first'
import { DAY, type Job, type Need } from './cases/plain'
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

/** Every value at a field of a record, by the names on the way to it, through every list. */
function valuesAt(v: unknown, way: readonly string[]): unknown[] {
  if (Array.isArray(v)) return v.flatMap((x) => valuesAt(x, way))
  const [key, ...rest] = way
  if (key === undefined) return v === undefined ? [] : [v]
  return typeof v === 'object' && v !== null ? valuesAt((v as Record<string, unknown>)[key], rest) : []
}
const sentences = (text: string) => text.split(/(?<=[.!?][”“)]?)\s+(?=\p{Lu}|\d)/u)
/** The sentence that holds some words, with what stands round them where they reach over several. */
const holding = (texts: readonly string[], words: string): string | undefined => {
  const all = texts.flatMap(sentences)
  return all.find((t) => t.includes(words)) ?? (texts.some((t) => t.includes(words)) ? words : undefined)
}

/** What is told of a job, on every surface. */
function surfaces(c: Commission) {
  const spoken = c.sabers.flatMap((s) => compose(c, s).map((b) => b.say))
  const document = buildHandoff(c, 'Shop', DAY)
  const hands = c.sabers.flatMap((s) =>
    proceduresOf(readerOf(c), s).flatMap((p) => (p.ok ? p.acts.flatMap((a) => [a.text, a.caution, a.cue]) : [])),
  )
  return { s: spoken, p: textsOf(document), h: hands.filter((t) => t !== undefined) }
}
/** Every text of a document. */
const textsOf = (v: unknown): string[] =>
  typeof v === 'string' ? [v] : typeof v === 'object' && v !== null ? Object.values(v).flatMap(textsOf) : []

const SURFACES = ['s', 'p', 'h'] as const

describe.each(JOBS.map((j) => [`${j.id}, need by need`, j] as const))('%s', (_id, j) => {
  const c = j.make()
  const found = new Set(judgeCommission(c, DAY).map((f) => `${f.check}.${f.code}`))
  const told = surfaces(c)
  test('there are seven or more', () => expect(j.carries.length).toBeGreaterThan(6))
  test.each(j.carries.map((n) => [n.what, n] as const))('%s', (_what, n) => {
    const [way, is] = n.at.split('=')
    const values = valuesAt(c, way!.split('/'))
    expect(values).not.toEqual([])
    if (is) expect(JSON.stringify(values)).toContain(is)
    if (n.bench) expect([...found]).toContain(n.bench)
    for (const at of SURFACES) {
      const words = n[at]
      if (words) expect(holding(told[at], words) === undefined ? `${at}: ${words}` : '').toBe('')
    }
    // What one surface does not tell has a reason.
    if (!n.s || !n.p) expect(n.but ?? '').toMatch(/\w{3}/)
  })
})

/** The needs of each job, as a page; written when it is asked for, else held against what is so. */
test('the page about the jobs says what is so', () => {
  const cell = (text: string) => text.replaceAll('|', '\\|').replaceAll('\n', ' ')
  const lines = JOBS.flatMap((j) => {
    const c = j.make()
    const told = surfaces(c)
    const beats = c.sabers.map((s) => compose(c, s))
    const seconds = beats.flat().reduce((a, b) => a + b.seconds, 0)
    const quote = (n: Need, at: (typeof SURFACES)[number]) => {
      const words = n[at] && holding(told[at], n[at])
      return words ? `“${cell(words)}”` : ''
    }
    return [
      `## ${j.id}: ${c.title}`,
      '',
      `${j.needs[0]!.toUpperCase()}${j.needs.slice(1)}.`,
      `Told in ${beats.flat().length} beats, about ${Math.round(seconds / 60)} min.${j.kept.length ? ` Kept in the shop: ${j.kept.map((t) => `“${t}”`).join(', ')}.` : ''}`,
      '',
      '| need | recorded at | the bench | in the script | on paper and page | hands, on bench and phone |',
      '|---|---|---|---|---|---|',
      ...j.carries.map(
        (n) =>
          `| ${n.what} | \`${n.at}\` | ${n.bench ? `\`${n.bench}\`` : ''} | ${quote(n, 's') || (n.but ?? '')} | ${quote(n, 'p') || (n.but ?? '')} | ${quote(n, 'h')} |`,
      ),
      '',
    ]
  })
  const all = JOBS.flatMap((j) => j.carries)
  const page = [
    '# The jobs',
    '',
    `Twenty-one jobs of made-up clients, each with something odd about it (\`core/test/cases\`), and ${all.length} single needs among them.`,
    'Every one is recorded whole, judged, told and handed over. Of each need: the field it is recorded in, what the bench says of it,',
    'and the sentences that tell it; where one surface does not, why. Made by `core/test/cases.test.ts` from what is really said.',
    '',
    ...lines,
  ].join('\n')
  if (process.env.NUBRIN_DOCS) writeFileSync('docs/cases.md', page)
  expect(readFileSync('docs/cases.md', 'utf8')).toBe(page)
})
