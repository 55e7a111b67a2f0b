import { readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from '@jest/globals'
import { CHECKS, type Finding, judgeCommission, WORDS } from '@nubrin/core/judge'
import type { Commission } from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'
import { FIRST } from './cases/first'
import { SECOND } from './cases/second'
import { THIRD } from './cases/third'
import { FIRES } from './fires'
import { MORE } from './more-findings'
import { demo, TODAY } from './samples'
import { SPEAKS } from './speaks'

const FILE = join(dirname(fileURLToPath(import.meta.url)), 'findings.txt')
/** How many examples of each kind of finding stand in the file. */
const EXAMPLES = 2

/** The finished order with one thing changed. */
const changed = (run: (typeof FIRES)[string]): Commission => {
  const c = demo('reed-warden')
  run(c.sabers[0]!, c)
  return c
}
/** All that a finding is, on four lines to be read by a person. */
const line = (f: Finding) =>
  [
    `${f.check}.${f.code}  ${f.level}${f.gate ? ', stands against shipping' : ''}  ${f.key}  ${f.refs.join(' ')}`.trim(),
    ...[f.title, f.detail, f.remedy].map((t) => `    ${t}`),
  ].join('\n')

/** Looked for within each test, so that what a test covers is seen. */
const found = (): readonly Finding[] => [
  ...Object.entries(FIRES).flatMap(([check, run]) =>
    judgeCommission(changed(run), TODAY).filter((f) => f.check === check),
  ),
  ...SPEAKS.flatMap(([check, , run]) =>
    judgeCommission(
      changed((s, c) => void run(s, c)),
      TODAY,
    ).filter((f) => f.check === check),
  ),
  ...MORE.flatMap((run) => judgeCommission(changed(run), TODAY)),
  ...[...[...FIRST, ...SECOND, ...THIRD].map((j) => j.make()), ...demoCommissions(TODAY)].flatMap((c) =>
    judgeCommission(c, TODAY),
  ),
]

/**
 * What the bench says, as it was last read and found right; NUBRIN_DOCS=1 writes it anew, to be read again before it is kept.
 */
test('every kind of finding says what was last read and found right: words, level, place, key', () => {
  const of = new Map<string, string[]>()
  const all = found()
  for (const f of all) {
    const kind = `${f.check}.${f.code}`
    const list = of.get(kind) ?? []
    if (list.length < EXAMPLES && !list.includes(line(f))) list.push(line(f))
    of.set(kind, list)
  }
  const made = `${[...of]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([, list]) => list)
    .join('\n')}\n`
  if (process.env.NUBRIN_DOCS) writeFileSync(FILE, made)
  expect(made).toBe(readFileSync(FILE, 'utf8'))
  const seen = new Set(all.map((f) => `${f.check}.${f.code}`))
  expect(
    CHECKS.flatMap((c) => Object.keys(WORDS[c.id]!.says).map((code) => `${c.id}.${code}`)).filter((k) => !seen.has(k)),
  ).toEqual([])
})
