import { readFileSync, writeFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { describeFormat, FORMAT_VERSION, KINDS, SPECS } from '@nubrin/core/record'
import { Commission } from '../src/record/schema/commission'

const PAGE = 'docs/format.md'
const [BEGIN, END] = ['<!-- from the schema -->', '<!-- end -->']

/** NUBRIN_DOCS=1 writes the part of the page that is made from the schema. */
test('the page about the format says what the schema says', () => {
  const page = readFileSync(PAGE, 'utf8')
  const [before, rest] = [page.slice(0, page.indexOf(BEGIN) + BEGIN.length), page.slice(page.indexOf(END))]
  const made = `${before}\n\n${describeFormat()}\n${rest}`
  if (process.env.NUBRIN_DOCS) writeFileSync(PAGE, made)
  expect(readFileSync(PAGE, 'utf8')).toBe(made)
  expect(page).toContain(`"version": ${FORMAT_VERSION}`)
})
test('every field of the schema stands on it, by an own walk', () => {
  const page = describeFormat()
  const keys = new Set<string>()
  const walk = (s: Record<string, unknown>) => {
    if (s['x-fact']) return
    for (const [k, v] of Object.entries((s.properties ?? {}) as Record<string, Record<string, unknown>>)) {
      keys.add(k)
      walk(v)
    }
    if (s.items) walk(s.items as Record<string, unknown>)
  }
  walk(Commission as unknown as Record<string, unknown>)
  expect(keys.size).toBeGreaterThan(150)
  for (const k of keys) expect(page).toContain(`| \`${k}\` |`)
  for (const k of Object.keys(SPECS)) expect(page).toContain(`\`${k}\``)
  for (const k of Object.keys(KINDS)) expect(page).toContain(`\`${k}\``)
})
