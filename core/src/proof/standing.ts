import { marksOf, type Reading, type Ref, type Saber, type Test } from '../record'
import { formatNumber, type Reader } from '../units'
import { say } from '../words'

/** How a reading stands against the test's limits. A text-only test takes the maker's own verdict. */
export function judge(test: Pick<Test, 'min' | 'max' | 'unit'>, value: number | undefined, own: boolean): boolean {
  if (value === undefined) return own && test.min === undefined && test.max === undefined
  if (!Number.isFinite(value)) return false
  return value >= (test.min ?? Number.NEGATIVE_INFINITY) && value <= (test.max ?? Number.POSITIVE_INFINITY)
}

export type Standing = 'none' | 'pass' | 'fail' | 'retest' | 'notPossible' | 'waived'

/**
 * A test's standing: what somebody let be is waived, whatever it showed; what cannot be tried here is said so by name; else its
 * latest reading, unless a fix that names it may have come after, or something that it rested on is another by now. A fix of
 * which only the day is known comes before a reading of that day when the test failed earlier that day, since that is what was
 * fixed.
 */
export function standing(saber: Saber, test: Test): Standing {
  const last = latest(test)
  if (test.waived) return 'waived'
  if (!last) return test.notPossible ? 'notPossible' : 'none'
  if (!last.pass) return 'fail'
  const day = last.at.slice(0, 10)
  const failedThatDay = test.readings.some((r) => !r.pass && r.at.slice(0, 10) === day)
  const touched = saber.repairs
    .filter((f) => f.retest.includes(test.id))
    .some((f) => f.on > day || (f.on === day && (f.at ? f.at > last.at : !failedThatDay)))
  return touched || changedSince(saber, test).length ? 'retest' : 'pass'
}

/**
 * What of the things that the latest reading of a test rested on is another one by now, or gone; nothing where the reading does
 * not say what it rested on, as in records of version 9 and before.
 */
export function changedSince(s: Saber, test: Test): Ref[] {
  const rested = latest(test)?.rested ?? []
  if (!rested.length) return []
  const refs = rested.map((r) => r.of)
  // A reading that rested on where things are was marked with it.
  const now = new Set([...marksOf(s, refs), ...marksOf(s, refs, 'placed')].map((m) => `${m.of} ${m.was}`))
  return rested.filter((r) => !now.has(`${r.of} ${r.was}`)).map((r) => r.of)
}

export const latest = (t: Test): Reading | undefined => [...t.readings].sort((a, b) => a.at.localeCompare(b.at)).at(-1)

/** "min 3 V, max 4.25 V", "at least 10 cycles", or what is expected in words. */
export function limitText(reader: Reader, t: Pick<Test, 'min' | 'max' | 'unit' | 'expect'>): string {
  const number = (v: number | undefined) => (v === undefined ? '' : formatNumber(reader, v))
  const form =
    t.min !== undefined && t.max !== undefined
      ? 'range'
      : t.min !== undefined
        ? 'least'
        : t.max !== undefined
          ? 'most'
          : t.expect === undefined
            ? 'works'
            : 'expect'
  return say(reader, 'limit', {
    form,
    min: number(t.min),
    max: number(t.max),
    unit: t.unit ? ` ${t.unit}` : '',
    expect: t.expect ?? '',
  })
}
