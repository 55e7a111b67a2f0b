import { evenNumbers } from '../fit'
import type { Saber } from '../record'
import { formatNumber, MAKER } from '../units'
import { plannedTests } from './test-plan'

/** What a bench has, by the units it shows; small stand-ins until a real one is plugged in. */
const SHOWS: Record<string, string> = {
  V: 'bench meter (simulated)',
  A: 'bench meter (simulated)',
  mA: 'bench meter (simulated)',
  g: 'scale (simulated)',
  mm: 'feeler gauge (simulated)',
  s: 'stopwatch (simulated)',
}
/** How far a stand-in may be off, as a share: two in a hundred, as a bench meter. */
const OFF = 0.02

/**
 * What a stand-in for meter, scale, gauge and stopwatch shows on this saber: for every test without a reading that one of them
 * can take and that something computes, the computed value with a small error, a line each as readings are pasted. The same
 * `seed` gives the same lines. Tests that nothing computes are left out: a stand-in knows no more than the record.
 */
export function instrumentLines(s: Saber, seed: number): string[] {
  const even = evenNumbers(seed)
  const planned = new Map(plannedTests(MAKER, s).map((p) => [p.test.key, p]))
  return s.tests.flatMap((t) => {
    const shows = SHOWS[t.unit ?? '']
    const e = shows && !t.readings.length ? planned.get(t.key)?.predicts?.() : undefined
    if (!e) return []
    const value = e.value * (1 + OFF * (2 * even() - 1))
    return [`${t.key}; ${formatNumber(MAKER, value, 3)} ${t.unit}; ${shows}`]
  })
}
