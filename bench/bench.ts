import { drawSection } from '@nubrin/core/drawing'
import { chanceToClose } from '@nubrin/core/fit'
import { buildHandoff } from '@nubrin/core/handoff'
import { judgeCommission } from '@nubrin/core/judge'
import { demoCommissions } from '@nubrin/demo'
import { handoffPdf } from '../server/src/handoff/pdf'
import { compare, largeProblem } from './layouts'

const today = '2026-11-24'
const all = demoCommissions(today)
const largest = all.toSorted((a, b) => JSON.stringify(b).length - JSON.stringify(a).length)[0]!
const median = (runs: number[]) => runs.toSorted((a, b) => a - b)[runs.length >> 1]!
async function time(n: number, run: () => unknown): Promise<number> {
  const runs: number[] = []
  for (let i = 0; i < n; i++) {
    const t = performance.now()
    await run()
    runs.push(performance.now() - t)
  }
  return median(runs)
}
const line = (what: string, ms: number, limit: number) =>
  console.log(`${what}: ${ms.toFixed(1)} ms of ${limit} ms, ratio ${(limit / ms).toFixed(1)}`)

await time(20, () => judgeCommission(largest, today))
line(`keystroke to findings, ${largest.title}`, await time(60, () => judgeCommission(largest, today)), 16)
line('section drawing', await time(60, () => drawSection(largest.sabers[0]!, { width: 1240, height: 262 })), 16)
line(
  'handoff PDF, finished commission',
  await time(5, () => handoffPdf(buildHandoff(all.at(-1)!, 'Shop', today), all.at(-1)!.sabers, 'A4')),
  2000,
)
line('100 000 draws of a chain of twelve', await time(7, () => chanceToClose(0.4, Array(12).fill(0.2))), 250)
console.log(compare('of catalogue sizes', largeProblem(true), true))
console.log(compare('of all sizes', largeProblem(false), false))
