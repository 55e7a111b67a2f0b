import { type Marked, marksOf, type Ref, type Saber, type Test } from '../record'
import { MAKER } from '../units'
import { plannedTests } from './plan'

/**
 * What a reading that is taken now rests on by the test's plan, each thing with a mark of what it is, to see later whether it is
 * still that; one of the maker's own rests on its place alone.
 */
export function restedOn(s: Saber, test: Test): Marked[] {
  const planned = plannedTests(MAKER, s).find((p) => p.test.key === test.key)
  const refs: Ref[] = [...(planned?.rests ?? []), ...(test.place ? [test.place] : [])]
  return marksOf(s, refs, planned?.placed ? 'placed' : 'works').slice(0, 60)
}
