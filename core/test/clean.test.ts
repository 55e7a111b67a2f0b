import { expect, test } from '@jest/globals'
import { judgeCommission } from '@nubrin/core/judge'
import fc from 'fast-check'
import { CHOICES, cleanOrder } from './clean'
import { drawn } from './drawn'
import { TODAY } from './samples'

/** A hundred orders in which nothing is wrong, always the same; drawn by a seed of their own. */
const ORDERS = fc.sample(CHOICES, { numRuns: 100, seed: 26 })

test.each(
  drawn(
    ORDERS.map((x, n) => [n, x] as const),
    1 / 4,
    ([, x]) => [x.cut, x.accent ? 'accent' : 'none'],
  ),
)('clean record %d raises nothing', (n, x) => {
  expect(
    judgeCommission(cleanOrder(n, x), TODAY).map((f) => `${f.check}.${f.code} ${f.level}: ${f.title} | ${f.detail}`),
  ).toEqual([])
})
