import { availableParallelism } from 'node:os'
import { Piscina } from 'piscina'
import { HttpProblem, Invalid } from '../http/problem'
import type { Answer, Asked, Done, JobName, Work } from './kinds'
import { owned } from './owned'

/** How long a job may take, ms, and what is said when it does not end. */
const BUDGET: Record<JobName, { ms: number; tooLong: () => HttpProblem }> = {
  warm: { ms: 20_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The threads took too long to begin.') },
  gate: { ms: 20_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The record took too long to judge. Try again.') },
  document: {
    ms: 20_000,
    tooLong: () => new HttpProblem(503, 'tooLong', 'The record took too long to write. Try again.'),
  },
  pdf: { ms: 30_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The PDF took too long to make. Try again.') },
  card: { ms: 20_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The card took too long to make. Try again.') },
  label: { ms: 20_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The label took too long to make. Try again.') },
  pressed: {
    ms: 40_000,
    tooLong: () => new HttpProblem(503, 'tooLong', 'The sounds took too long to press. Try again.'),
  },
  sound: { ms: 20_000, tooLong: () => hard('The sound takes too long to read.') },
  pegs: { ms: 60_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The rack took too long to judge. Try again.') },
  parts: { ms: 30_000, tooLong: () => hard('The list takes too long to read; nothing was taken in.') },
  unpack: { ms: 40_000, tooLong: () => hard('The file takes too long to read; nothing was changed.') },
}
const hard = (message: string, rule = 'time') => new Invalid(message, [{ path: 'file', rule, message }])

/** Threads that do the jobs: one fewer than the machine has, so that requests are answered meanwhile. */
export class ThreadWork implements Work {
  private readonly pool: Piscina

  constructor(script: string) {
    this.pool = new Piscina({
      filename: script,
      // One is kept, warm: the first record of a quiet hour is not to wait for its fonts.
      minThreads: 1,
      maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)),
      maxQueue: 60,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: 512 },
    })
    // A thread that died has failed its job, which is answered; nothing else is to be done.
    this.pool.on('error', () => {})
  }

  async run<K extends JobName>(name: K, ask: Asked<K>): Promise<Done<K>> {
    const limit = new AbortController()
    const timer = setTimeout(() => limit.abort(), BUDGET[name].ms)
    try {
      const answer = (await this.pool.run(
        { name, ask },
        { signal: limit.signal, transferList: owned(ask) as never },
      )) as Answer
      if ('done' in answer) return answer.done as Done<K>
      const { status, type, detail, problems, more } = answer.refused
      throw new HttpProblem(status, type, detail, problems, more)
    } catch (e) {
      if (limit.signal.aborted) throw BUDGET[name].tooLong()
      if ((e as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw hard('The file takes more memory to read than it may.', 'memory')
      if (/queue/i.test((e as Error).message) && !(e instanceof HttpProblem))
        throw new HttpProblem(503, 'busy', 'Too much is being worked on just now. Try again in a moment.')
      throw e
    } finally {
      clearTimeout(timer)
    }
  }

  async close(): Promise<void> {
    await this.pool.destroy()
  }
}
