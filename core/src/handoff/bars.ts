import { latest, plannedTests } from '../proof'
import type { Saber } from '../record'
import type { Bar, Block } from './block'

/** What was wanted, computed and found, where all of that is figures. */
function bars(s: Saber): Bar[] {
  const plans = new Map(plannedTests(s).map((p) => [p.test.key, p]))
  return s.tests.map((t) => {
    const found = latest(t)?.value
    const computed = plans.get(t.key)?.predicts?.()?.value
    if (found === undefined || (t.min === undefined && t.max === undefined)) return {}
    return {
      ...(t.min === undefined ? {} : { min: t.min }),
      ...(t.max === undefined ? {} : { max: t.max }),
      ...(computed === undefined ? {} : { computed }),
      found,
    }
  })
}

/** The tests with their bars. They are drawn, not read, and cost most of a record: whoever only reads goes without. */
export const withBars = (s: Saber, blocks: Block[]): Block[] =>
  blocks.map((b, i) => (i === 0 && b.kind === 'table' && s.tests.length ? { ...b, bars: bars(s) } : b))
