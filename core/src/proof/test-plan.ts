import { type LightLoad, loadsOf } from '../power'
import type { Ref, Saber, Test } from '../record'
import { MAKER, type Reader } from '../units'
import { errandTests } from './errand-tests'
import { bladeTests, repairTests, sizeTests, spareTests, windowTests } from './fit-tests'
import type { Planned, Proposal } from './planned'
import { cellTests, currentTests, lightTests, portTests } from './power-tests'
import { linkTests, sensitivityTests, setUpTests } from './set-up-tests'

/** What could hurt or fail for good comes first. */
const ALL = [
  ...[
    cellTests,
    currentTests,
    repairTests,
    bladeTests,
    errandTests,
    portTests,
    lightTests,
    setUpTests,
    sensitivityTests,
  ],
  ...[windowTests, linkTests, spareTests, sizeTests],
]

/** The tests that a saber calls for, from what is fitted, promised and repaired. Nothing is predicted until it is asked. */
export const plannedTests = (reader: Reader, s: Saber, loads: readonly LightLoad[] = loadsOf(s)): Planned[] =>
  ALL.flatMap((tests) => tests(reader, s, loads))

/** Tests proposed, with the limits that follow from what Power, Fit and Voice expect. */
export const proposeTests = (reader: Reader, s: Saber): Proposal[] =>
  plannedTests(reader, s).map(({ test, predicts, limits }) => {
    const e = limits && predicts?.()
    return e ? { ...test, ...limits(e) } : test
  })

/**
 * The tests that a fix at a place asks for again: those that stand there or rest on it, with every set-up they have. What was
 * never tested is not asked for again.
 */
export function touchedBy(s: Saber, place: Ref): Test[] {
  const keys = new Set(plannedTests(MAKER, s).flatMap((p) => (p.rests.includes(place) ? [p.test.key] : [])))
  return s.tests.filter((t) => t.readings.length > 0 && (t.place === place || keys.has(t.key)))
}
