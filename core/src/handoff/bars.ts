import { latest, plannedTests } from '../proof'
import type { Saber } from '../record'
import type { Reader } from '../units'
import type { Bar, Block } from './block'

/** What was wanted, computed and found, where all of that is figures. */
function bars(reader: Reader, s: Saber): Bar[] {
  const plans = new Map(plannedTests(reader, s).map((p) => [p.test.key, p]))
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
export const withBars = (reader: Reader, s: Saber, blocks: Block[]): Block[] =>
  blocks.map((b, i) => (i === 0 && b.kind === 'table' && s.tests.length ? { ...b, bars: bars(reader, s) } : b))

/** Where everything of a bar stands, as shares of its width, and whether what was found is what was wanted; an open end reaches the edge. */
export function barShares(b: Bar): { from: number; to: number; computed?: number; found?: number; good: boolean } {
  const ends = [b.min, b.max, b.computed, b.found].filter((v) => v !== undefined)
  const [lo, hi] = [Math.min(...ends), Math.max(...ends)]
  const room = (hi - lo) * 0.15 || Math.abs(hi) * 0.1 || 1
  const at = (v: number) => (v - lo + room) / (hi - lo + 2 * room)
  return {
    ...{ from: b.min === undefined ? 0 : at(b.min), to: b.max === undefined ? 1 : at(b.max) },
    ...(b.computed === undefined ? {} : { computed: at(b.computed) }),
    ...(b.found === undefined ? {} : { found: at(b.found) }),
    good:
      b.found !== undefined && (b.min === undefined || b.found >= b.min) && (b.max === undefined || b.found <= b.max),
  }
}
