import { known, state } from '../facts'
import { type Marked, marksOf, type Reading, type Ref, type Saber, type Test } from '../record'
import { MAKER } from '../units'
import type { Planned } from './planned'
import { plannedTests } from './test-plan'

const plannedOf = (s: Saber, test: Pick<Test, 'key'>): Planned | undefined =>
  plannedTests(MAKER, s).find((p) => p.test.key === test.key)

/**
 * What a reading that is taken now rests on by the test's plan, each thing with a mark of what it is, to see later whether it is
 * still that; one of the maker's own rests on its place alone.
 */
export function restedOn(s: Saber, test: Test, planned = plannedOf(s, test)): Marked[] {
  const refs: Ref[] = [...(planned?.rests ?? []), ...(test.place ? [test.place] : [])]
  return marksOf(s, refs, planned?.placed ? 'placed' : 'works').slice(0, 60)
}

/** How far a reading of a recorded value may be off it where nobody said, as a share: what a thumb and a menu make of it. */
const OFF = 0.02

/**
 * Takes a reading of a test into a saber, which is changed: with what it rests on, and where it reads a recorded value and lies
 * beyond that value's tolerance, as a rival of it, to be settled by a person. Nothing where the test is gone.
 */
export function takeReading(s: Saber, test: string, reading: Omit<Reading, 'rested'>): void {
  const t = s.tests.find((x) => x.id === test)
  if (!t) return
  const planned = plannedOf(s, t)
  t.readings.push({ ...reading, rested: restedOn(s, t, planned) })
  const fact = planned?.reads?.of(s)
  const is = known(fact)
  if (!planned?.reads || !fact || is === undefined || reading.value === undefined) return
  const value = reading.value * planned.reads.per
  if (!Number.isFinite(value) || Math.abs(value - is) <= Math.max(fact.tol ?? 0, OFF * Math.abs(is))) return
  const on = reading.at.slice(0, 10)
  const said = {
    value,
    unit: fact.unit,
    source: 'measured' as const,
    with: t.what.slice(0, 200),
    on,
    by: reading.by.slice(0, 120),
  }
  planned.reads.put(s, state(fact, said))
}
