import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { HttpProblem } from '../src/http/problem'
import { ThreadWork } from '../src/work'
import type { Whom } from '../src/work/kinds'

/** A thread that takes as long as it is asked to. */
const SLOW = `export default ({ ask }) => {
  Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ask.today)
  return { done: ask.today }
}`
const dir = mkdtempSync(join(tmpdir(), 'nubrin-work-'))
const script = join(dir, 'slow.mjs')
writeFileSync(script, SLOW)
const works: ThreadWork[] = []
/** Threads whose jobs may each take so long, ms. */
const threads = (ms: number) => {
  const tooLong = () => new HttpProblem(503, 'tooLong', 'Too long.')
  const lane = (name: string) => (name === 'gate' ? 'judging' : 'files')
  const w = new ThreadWork(
    script,
    new Proxy({} as ConstructorParameters<typeof ThreadWork>[1] & object, {
      get: (_rules, name: string) => ({ lane: lane(name), ms, tooLong }),
    }),
  )
  works.push(w)
  return (taking: number, whom: Whom = { id: 'one' }, name: 'gate' | 'parts' = 'gate'): Promise<unknown> =>
    w.run(name, { today: taking } as never, whom)
}
afterAll(async () => {
  await Promise.all(works.map((w) => w.close()))
  rmSync(dir, { recursive: true })
})

test('the time a job may take begins with its turn, not with its place in the queue', async () => {
  const run = threads(3000)
  const jobs = Array.from({ length: 12 }, () => 400)
  expect(await Promise.all(jobs.map((ms) => run(ms)))).toEqual(jobs)
}, 60_000)
test('a job that does not end is stopped and told so, and the next is done', async () => {
  const run = threads(2000)
  await expect(run(60_000)).rejects.toMatchObject({ type: 'tooLong' })
  expect(await run(1)).toBe(1)
})
test('short work does not wait for long, however much of that there is', async () => {
  const run = threads(60_000)
  let longDone = 0
  const long = Array.from({ length: 5 }, () => run(400, { id: 'one' }, 'parts').then(() => longDone++))
  expect(await run(1)).toBe(1)
  expect(longDone).toBeLessThan(5)
  await Promise.all(long)
}, 60_000)
test(
  'whoever has one thing to do is served before the second of whoever has many',
  () =>
    fc.assert(
      fc.asyncProperty(fc.array(fc.integer({ min: 1, max: 7 }), { minLength: 2, maxLength: 5 }), async (many) => {
        const run = threads(60_000)
        const served: string[] = []
        // What is in hand is not taken away: this fills the threads.
        const first = Array.from({ length: 4 }, () => run(60, { id: 'before' }))
        const upkeep = run(2, 'upkeep').then(() => served.push('upkeep'))
        const all = many.flatMap((n, who) =>
          Array.from({ length: n }, () => run(2, { id: `${who}` }).then(() => served.push(`${who}`))),
        )
        await Promise.all([...first, ...all, upkeep])
        // Counted by hand: in each round everybody who has anything left, and the upkeep last of all.
        const rounds = Array.from({ length: Math.max(...many) }, (_, k) =>
          many.flatMap((n, who) => (n > k ? [`${who}`] : [])),
        )
        const threadsAtOnce = 3
        let at = 0
        for (const round of rounds) {
          const got = served.slice(at, at + round.length)
          at += round.length
          const late = round.filter((who) => !got.includes(who))
          expect(late.length).toBeLessThan(threadsAtOnce)
        }
        expect(served.indexOf('upkeep')).toBeGreaterThanOrEqual(served.length - threadsAtOnce)
      }),
      { numRuns: 4 },
    ),
  60_000,
)
test('who has too many waiting is told at once, others are served, and nobody before is lost', async () => {
  const run = threads(60_000)
  const mine = Array.from({ length: 60 }, () => run(20))
  const other = run(1, { id: 'two' })
  const answers = await Promise.allSettled(mine)
  const told = answers.flatMap((a) => (a.status === 'rejected' ? [a.reason] : []))
  expect(told).toHaveLength(20)
  for (const t of told) expect(t).toMatchObject({ status: 503, type: 'busy' })
  expect(await other).toBe(1)
  // What is done makes room again.
  expect(await run(1)).toBe(1)
  const everybody = await Promise.allSettled(
    Array.from({ length: 10 }, (_, who) => Array.from({ length: 20 }, () => run(1, { id: `${who}` }))).flat(),
  )
  expect(everybody.filter((a) => a.status === 'rejected').length).toBeGreaterThanOrEqual(70)
}, 60_000)
