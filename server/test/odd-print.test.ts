import { describe, expect, test } from '@jest/globals'
import { buildHandoff } from '@nubrin/core/handoff'
import { readCommission } from '@nubrin/core/import'
import type { Commission } from '@nubrin/core/record'
import { MAKER } from '@nubrin/core/units'
import { demoCommissions } from '@nubrin/demo'
import { drawn } from '../../core/test/drawn'
import { leaves, ODD, type Path, put } from '../../core/test/odd'
import { handoffPdf } from '../src/handoff/pdf'

const TODAY = '2026-11-24'

/** The record with one odd value in every number that may hold it; where the schema lets it not in, what was there stays. */
function allOdd(c: Commission, value: unknown): { record: Commission; changed: number } {
  let odd: Path[] = leaves(c, 'number').filter(([first]) => first !== 'version')
  for (;;) {
    const record = put(c, odd, value)
    const read = readCommission(JSON.stringify(record))
    if (read.ok) return { record: read.record, changed: odd.length }
    const wrong = read.problems.map((p) => p.path)
    const kept = odd.filter(
      (path) =>
        !wrong.some((w) => `${w}/`.startsWith(`/${path.join('/')}/`) || w === `/${path.slice(0, -1).join('/')}`),
    )
    if (kept.length === odd.length) throw new Error(JSON.stringify(read.problems.slice(0, 3)))
    odd = kept
  }
}

describe('whatever numbers stand in a record, it is printed', () => {
  const orders = demoCommissions(TODAY).filter((c) => c.sabers.length > 0)
  test.each(ODD)('%s, everywhere at once', async (what, value) => {
    const some = drawn(orders, 1 / 3, undefined, what)
    for (const c of some) {
      const { record, changed } = allOdd(c, value)
      // A value that is missing is mostly refused, since a fact needs one.
      expect(changed).toBeGreaterThan(leaves(c, 'number').length * (value === undefined ? 0.01 : 0.15))
      const pdf = await handoffPdf(MAKER, {
        document: buildHandoff(record, 'Shop', TODAY),
        ...{ sabers: record.sabers, paper: 'A4', extent: 'full' },
      })
      expect(Buffer.from(pdf.subarray(0, 5)).toString()).toBe('%PDF-')
      expect(Buffer.from(pdf.subarray(-8)).toString()).toContain('%%EOF')
    }
  })
})
