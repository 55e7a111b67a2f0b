import { availableParallelism } from 'node:os'
import PQueue from 'p-queue'
import { Piscina } from 'piscina'
import { HttpProblem, Invalid } from '../http/problem'
import type { Answer, Asked, Done, JobName, Work } from './kinds'
import { owned } from './owned'

/**
 * How long a job may take once a thread has it, ms, and what is said when it does not end. A good one takes a second or two; on a
 * machine that has much else to do it is slower rather than refused.
 */
type Budget = Record<JobName, { ms: number; tooLong: () => HttpProblem }>
const BUDGET: Budget = {
  warm: { ms: 60_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The threads took too long to begin.') },
  gate: { ms: 60_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The record took too long to judge. Try again.') },
  document: {
    ms: 60_000,
    tooLong: () => new HttpProblem(503, 'tooLong', 'The record took too long to write. Try again.'),
  },
  pdf: { ms: 90_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The PDF took too long to make. Try again.') },
  card: { ms: 60_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The card took too long to make. Try again.') },
  label: { ms: 60_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The label took too long to make. Try again.') },
  pressed: {
    ms: 120_000,
    tooLong: () => new HttpProblem(503, 'tooLong', 'The sounds took too long to press. Try again.'),
  },
  sound: { ms: 60_000, tooLong: () => hard('The sound takes too long to read.') },
  pegs: { ms: 120_000, tooLong: () => new HttpProblem(503, 'tooLong', 'The rack took too long to judge. Try again.') },
  parts: { ms: 30_000, tooLong: () => hard('The list takes too long to read; nothing was taken in.') },
  unpack: { ms: 60_000, tooLong: () => hard('The file takes too long to read; nothing was changed.') },
}
const hard = (message: string, rule = 'time') => new Invalid(message, [{ path: 'file', rule, message }])

/** How many jobs may wait for a thread; the next is told to come again. */
const MAY_WAIT = 60
const THREADS = Math.max(1, Math.min(4, availableParallelism() - 1))

/** Threads that do the jobs: one fewer than the machine has, so that requests are answered meanwhile. */
export class ThreadWork implements Work {
  private readonly pool: Piscina
  /** Whoever waits here uses up none of the time he may take. */
  private readonly turn = new PQueue({ concurrency: THREADS })

  constructor(
    script: string,
    private readonly budget: Budget = BUDGET,
  ) {
    this.pool = new Piscina({
      filename: script,
      // One is kept, warm: the first record of a quiet hour is not to wait for its fonts.
      minThreads: 1,
      maxThreads: THREADS,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: 512 },
    })
    // A thread that died has failed its job, which is answered; nothing else is to be done.
    this.pool.on('error', () => {})
  }

  async run<K extends JobName>(name: K, ask: Asked<K>): Promise<Done<K>> {
    if (this.turn.size >= MAY_WAIT)
      throw new HttpProblem(503, 'busy', 'Too much is being worked on just now. Try again in a moment.')
    return (await this.turn.add(() => this.done(name, ask))) as Done<K>
  }

  private async done<K extends JobName>(name: K, ask: Asked<K>): Promise<Done<K>> {
    const limit = new AbortController()
    const timer = setTimeout(() => limit.abort(), this.budget[name].ms)
    try {
      const answer = (await this.pool.run(
        { name, ask },
        { signal: limit.signal, transferList: owned(ask) as never },
      )) as Answer
      if ('done' in answer) return answer.done as Done<K>
      const { status, type, detail, problems, more } = answer.refused
      throw new HttpProblem(status, type, detail, problems, more)
    } catch (e) {
      if (limit.signal.aborted) throw this.budget[name].tooLong()
      if ((e as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw hard('The file takes more memory to read than it may.', 'memory')
      throw e
    } finally {
      clearTimeout(timer)
    }
  }

  async close(): Promise<void> {
    await this.pool.destroy()
  }
}
