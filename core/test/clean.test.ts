import { expect, test } from '@jest/globals'
import { judgeCommission } from '@nubrin/core/judge'
import fc from 'fast-check'
import { type Choices, cleanOrder } from './clean'
import { drawn } from './drawn'
import { TODAY } from './samples'

const choices: fc.Arbitrary<Choices> = fc.record({
  tube: fc.constantFrom(22.225 as const, 25.4 as const),
  length: fc.integer({ min: 60, max: 95 }).map((n) => n * 10),
  grip: fc.integer({ min: 140, max: 190 }),
  cut: fc.constantFrom('killSwitch' as const, 'killKey' as const, 'cellOut' as const),
  key: fc.constantFrom('runsOut' as const, 'runsIn' as const, 'turned' as const),
  buttons: fc.constantFrom(1 as const, 2 as const),
  hold: fc.integer({ min: 8, max: 20 }).map((n) => n / 10),
  colours: fc.integer({ min: 1, max: 4 }),
  accent: fc.boolean(),
  screws: fc.constantFrom(1 as const, 2 as const),
  byHand: fc.boolean(),
})

/** A hundred orders in which nothing is wrong, always the same; drawn by a seed of their own. */
const ORDERS = fc.sample(choices, { numRuns: 100, seed: 26 })

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
