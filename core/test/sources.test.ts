import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'

const files = (dir: string): string[] =>
  readdirSync(dir).flatMap((f) => {
    const p = join(dir, f)
    return statSync(p).isDirectory() ? files(p) : /\.tsx?$/.test(p) ? [p] : []
  })
const read = (file: string) => readFileSync(file, 'utf8')
const bare = (text: string) => text.replace(/\/\*[\s\S]*?\*\/|\/\/.*/g, '')

describe('the core is pure', () => {
  test('it knows only its own few packages', () => {
    const allowed = /^(ajv|@sinclair\/typebox(\/value)?|culori\/fn|papaparse|dxf-writer|intl-messageformat)$/
    const strange = files('core/src').flatMap((f) =>
      [...read(f).matchAll(/(?:from |import\()'([^'\n]+)'/g)]
        .map((m) => m[1]!)
        .filter((i) => !i.startsWith('.') && !allowed.test(i))
        .map((i) => `${f}: ${i}`),
    )
    expect(strange).toEqual([])
  })
  test('it has no clock, no chance, no screen and no process', () => {
    const outer = /\b(document|window|process|localStorage)\.|\bDate\.now|new Date\(\)|Math\.random/
    const strange = files('core/src').filter((f) =>
      outer.test(bare(read(f)).replace(/'[^'\n]*'|`[^`]*`|\.\/document/g, '')),
    )
    expect(strange).toEqual([])
  })
  test('nothing outside of a call is set again: who is spoken to, and whatever else, is handed in', () => {
    const kept = /^(?:export )?(?:let|var) /m
    expect(files('core/src').filter((f) => kept.test(bare(read(f))))).toEqual([])
  })
})

describe('one clock', () => {
  test('the database is never asked for the time: the server says what time it is', () => {
    const asked =
      /\b(NOW|SYSDATE|CURDATE|CURTIME|UTC_TIMESTAMP|UNIX_TIMESTAMP)\s*\(|CURRENT_(TIMESTAMP|DATE)|Sequelize\.NOW/
    expect([...files('server/src'), ...files('server/test')].filter((f) => asked.test(bare(read(f))))).toEqual([])
  })
  test('a worker of the page has none of its own', () => {
    expect(files('web/src/workers').filter((f) => /\bDate\b/.test(bare(read(f))))).toEqual([])
    expect(/\bDate\b/.test(bare(read('web/public/sw.js')))).toBe(false)
  })
})

describe('what the bench says', () => {
  test('stands in its catalogue, and in no rule', () => {
    const prose = /'[^'\n]*[a-z]+ [a-z]+ [a-z]+ [a-z]+[^'\n]*'|`[^`\n]*[a-z]+ [a-z]+ [a-z]+[^`\n]*`/g
    const said = files('core/src/judge/checks').flatMap((f) =>
      [
        ...bare(read(f))
          .replace(/^ *source: .*$/gm, '')
          .matchAll(prose),
      ].map((m) => `${f}: ${m[0]}`),
    )
    expect(said).toEqual([])
  })
})

describe('the client’s sentences', () => {
  test('are made nowhere but in the catalogue', () => {
    const prose = /'[A-Z][a-z]+ [a-z]+ [a-z]+[^']*\.'|`[A-Z][a-z]+ [^`]*\.`/
    const own = [...files('core/src/script/topics'), 'core/src/script/cautions.ts', ...files('core/src/handoff')]
    expect(own.filter((f) => prose.test(bare(read(f))))).toEqual([])
  })
})
