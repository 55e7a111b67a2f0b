import { describe, expect, test } from '@jest/globals'
import { validateChange, validateCommission } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import { demoCommissions } from '@nubrin/demo'
import fc from 'fast-check'
import { tries } from './drawn'
import { TODAY } from './samples'

const DEMOS = demoCommissions(TODAY)
type Node = Record<string, unknown> | unknown[]
const isNode = (v: unknown): v is Node => typeof v === 'object' && v !== null

/** The places of a record, objects and lists as well as what they hold. */
function places(v: unknown, path: (string | number)[] = []): (string | number)[][] {
  const own = path.length ? [path] : []
  if (!isNode(v)) return own
  return [...own, ...Object.keys(v).flatMap((k) => places((v as Record<string, unknown>)[k], [...path, k]))]
}
/** The same with something else at one place; all that is not on the way there is shared. */
function put(v: unknown, [k, ...rest]: (string | number)[], change: (was: unknown) => unknown): unknown {
  const copy = (Array.isArray(v) ? [...v] : { ...(v as object) }) as Record<string, unknown>
  const next = rest.length ? put(copy[k!], rest, change) : change(copy[k!])
  if (next === undefined && Array.isArray(copy)) copy.splice(Number(k), 1)
  else if (next === undefined) delete copy[k!]
  else copy[k!] = next
  return copy
}
/** What may be done at a place; most of it is refused in most places. */
const CHANGES: [string, (was: unknown) => unknown][] = [
  ['taken out', () => undefined],
  ['null', () => null],
  ['a word', () => 'word'],
  ['half a character', () => 'a\ud800b'],
  ['a number', () => 7],
  ['less than nothing', () => -1e9],
  ['an empty list', () => []],
  ['an empty thing', () => ({})],
  ['a field too many', (was) => (isNode(was) && !Array.isArray(was) ? { ...was, more: 1 } : was)],
  ['the first one twice', (was) => (Array.isArray(was) && was.length ? [was[0], ...was] : was)],
  ['the other way round', (was) => (Array.isArray(was) ? [...was].reverse() : was)],
  ['another id', (was) => (isNode(was) && 'id' in was ? { ...was, id: 'quite-another' } : was)],
  ['the same again', (was) => structuredClone(was)],
]
const told = (c: ReturnType<typeof validateCommission>) =>
  c.ok ? 'good' : c.problems.map((p) => `${p.path} ${p.rule} ${p.message} ${p.got ?? ''}`).sort()

describe('a change is judged as the whole record is', () => {
  const before = DEMOS.map((c) => ({ c, places: places(c) }))
  test('wherever it is made, and whatever it is', () => {
    let [good, bad] = [0, 0]
    fc.assert(
      fc.property(
        fc.constantFrom(...before).chain(({ c, places: all }) => fc.tuple(fc.constant(c), fc.constantFrom(...all))),
        fc.constantFrom(...CHANGES),
        ([c, path], [, change]) => {
          const after = put(c, path, change)
          const whole = validateCommission(after)
          expect(told(validateChange(c, after))).toEqual(told(whole))
          if (whole.ok) good++
          else bad++
        },
      ),
      { numRuns: tries(600, 100) },
    )
    // Neither side may be a rarity.
    expect(Math.min(good, bad)).toBeGreaterThan(tries(60, 10))
  })
  test('two changes at once, far apart', () => {
    const [one] = DEMOS
    const after = put(
      put(one, ['brief'], () => 7),
      ['sabers', 0, 'name'],
      () => 'x'.repeat(999),
    ) as Commission
    expect(told(validateChange(one!, after))).toEqual(told(validateCommission(after)))
    expect(told(validateChange(one!, after))).toHaveLength(2)
  })
  test('a thing that others name and that goes is missed, also where nothing else changed', () => {
    for (const { c } of before)
      for (const [i, s] of c.sabers.entries())
        for (const k of s.presets.keys()) {
          const after = put(c, ['sabers', i, 'presets', k], () => undefined)
          expect(told(validateChange(c, after))).toEqual(told(validateCommission(after)))
        }
  })
  test('another format or version is judged whole', () => {
    for (const [key, value] of [
      ['format', 'another'],
      ['version', 999],
      ['version', 'x'],
    ] as const) {
      const after = { ...DEMOS[0]!, [key]: value }
      expect(told(validateChange(DEMOS[0]!, after))).toEqual(told(validateCommission(after)))
    }
    expect(validateChange(DEMOS[0]!, null).ok).toBe(false)
  })
})
