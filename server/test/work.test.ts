import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, expect, test } from '@jest/globals'
import { HttpProblem } from '../src/http/problem'
import { ThreadWork } from '../src/work'

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
  const rule = { ms, tooLong: () => new HttpProblem(503, 'tooLong', 'Too long.') }
  const w = new ThreadWork(
    script,
    new Proxy({} as ConstructorParameters<typeof ThreadWork>[1] & object, { get: () => rule }),
  )
  works.push(w)
  return (taking: number): Promise<unknown> => w.run('gate', { record: {} as never, today: taking as never })
}
afterAll(async () => {
  await Promise.all(works.map((w) => w.close()))
  rmSync(dir, { recursive: true })
})

test('the time a job may take begins with its turn, not with its place in the queue', async () => {
  const run = threads(3000)
  const jobs = Array.from({ length: 12 }, () => 400)
  expect(await Promise.all(jobs.map(run))).toEqual(jobs)
}, 60_000)
test('a job that does not end is stopped and told so, and the next is done', async () => {
  const run = threads(2000)
  await expect(run(60_000)).rejects.toMatchObject({ type: 'tooLong' })
  expect(await run(1)).toBe(1)
})
test('who comes when too many wait is told at once, and nobody before is lost', async () => {
  const run = threads(60_000)
  const first = Array.from({ length: 4 }, () => run(400))
  const answers = await Promise.allSettled(Array.from({ length: 80 }, () => run(1)))
  const told = answers.filter((a) => a.status === 'rejected')
  expect(answers.filter((a) => a.status === 'fulfilled').length).toBeGreaterThanOrEqual(56)
  expect(told.length).toBeGreaterThanOrEqual(16)
  for (const t of told) expect(t.reason).toMatchObject({ status: 503, type: 'busy' })
  expect(await Promise.all(first)).toHaveLength(4)
})
