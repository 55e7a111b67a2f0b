import Papa from 'papaparse'
import type { Problem, Test } from '../record'
import { eitherOr, type ParseFailure, parseMeasure, parseNumber, quantityOf, UNITS, type Unit } from '../units'

/** One line of readings, understood: which test, and its value or its verdict. */
export interface TakenReading {
  test: string
  value?: number
  pass?: boolean
  with?: string
}
export interface Readings {
  taken: TakenReading[]
  problems: (Problem & { row: number })[]
}
/** More lines than any saber has tests. */
const MOST_LINES = 500
const VERDICTS: Record<string, boolean> = {
  ok: true,
  pass: true,
  passes: true,
  yes: true,
  fail: false,
  fails: false,
  no: false,
}

/**
 * Readings as they are pasted from a meter, a scale or a sheet: a line each, `test; value; instrument`, apart by semicolon,
 * tab or comma. A test is named by its words or its key, by as much of them as is its alone; a value has the test's unit or
 * one like it, a verdict is pass or fail. What cannot be understood is named by line; the rest is taken.
 */
export function readReadings(
  text: string,
  tests: readonly Pick<Test, 'id' | 'key' | 'what' | 'unit' | 'min' | 'max'>[],
): Readings {
  const out: Readings = { taken: [], problems: [] }
  const lines = text.split(/\r?\n/)
  if (lines.length > MOST_LINES) {
    const message = `has ${lines.length} lines; ${MOST_LINES} are read at once`
    return { taken: [], problems: [{ row: 0, path: '', rule: 'maxItems', message }] }
  }
  for (const [i, line] of lines.entries()) {
    if (!line.trim()) continue
    const fault = (rule: string, message: string, got: string) =>
      void out.problems.push({ row: i + 1, path: `/${i + 1}`, rule, message, got: got.slice(0, 60) })
    const delimiter = [';', '\t', ','].find((d) => line.includes(d)) ?? ';'
    const [name = '', said = '', instrument = ''] = (Papa.parse<string[]>(line, { delimiter }).data[0] ?? []).map((c) =>
      c.trim(),
    )
    const found = testsNamed(tests, name)
    if (found.length !== 1) {
      fault('test', found.length ? `is the beginning of ${found.length} tests` : 'is no test of this saber', name)
      continue
    }
    const t = found[0]!
    const extra = instrument ? { with: instrument.slice(0, 240) } : {}
    if (t.min === undefined && t.max === undefined) {
      const pass = VERDICTS[said.toLowerCase()]
      if (pass === undefined) fault('verdict', 'is neither pass nor fail', said)
      else out.taken.push({ test: t.id, pass, ...extra })
      continue
    }
    const read = parseReading(said, t.unit)
    if (read.ok) out.taken.push({ test: t.id, value: read.value, ...extra })
    else fault('number', eitherOr(read, `is no value${t.unit ? ` in ${t.unit}` : ''}`), said)
  }
  return out
}

/** The tests that a name means: one whose words or key it is, else those that begin with it. */
function testsNamed<T extends Pick<Test, 'key' | 'what'>>(tests: readonly T[], name: string): T[] {
  const bare = name.toLowerCase()
  if (!bare) return []
  const exact = tests.filter((t) => t.key.toLowerCase() === bare || t.what.toLowerCase() === bare)
  return exact.length ? exact : tests.filter((t) => t.what.toLowerCase().startsWith(bare))
}

/** Reads what was measured in a test: in its unit where that is one of the record's, else as a plain number. */
export const parseReading = (said: string, unit: string | undefined): { ok: true; value: number } | ParseFailure =>
  unit && (UNITS as readonly string[]).includes(unit)
    ? parseMeasure(said, quantityOf(unit as Unit), unit as Unit)
    : parseNumber(said)
