import { availableParallelism } from 'node:os'
import PQueue from 'p-queue'
import { Piscina } from 'piscina'
import { HttpProblem, Invalid } from '../http/problem'
import type { Answer, Asked, Done, JobName, Whom, Work } from './kinds'
import { owned } from './owned'

/**
 * What waits for the same thread: the short judging that a screen waits for, the paper and pages that are given out, and the
 * files that come in, which strangers made and which may take as long as they may.
 */
const LANES = ['judging', 'paper', 'files'] as const
type Lane = (typeof LANES)[number]

/**
 * Where a job is done and how long it may take once a thread has it, ms, and what is said when it does not end. A good one takes
 * a second or two; on a machine that has much else to do it is slower rather than refused.
 */
interface Rule {
  lane: Lane
  ms: number
  tooLong: () => HttpProblem
}
type Budget = Record<JobName, Rule>
const again = (what: string) => () => new HttpProblem(503, 'tooLong', `${what} Try again.`)
const hard = (message: string, rule = 'time') => new Invalid(message, [{ path: 'file', rule, message }])
const BUDGET: Budget = {
  gate: { lane: 'judging', ms: 60_000, tooLong: again('The record took too long to judge.') },
  pegs: { lane: 'judging', ms: 120_000, tooLong: again('The rack took too long to judge.') },
  document: { lane: 'judging', ms: 60_000, tooLong: again('The record took too long to write.') },
  warm: { lane: 'paper', ms: 60_000, tooLong: again('The threads took too long to begin.') },
  pdf: { lane: 'paper', ms: 90_000, tooLong: again('The PDF took too long to make.') },
  card: { lane: 'paper', ms: 60_000, tooLong: again('The card took too long to make.') },
  learn: { lane: 'paper', ms: 120_000, tooLong: again('The records took too long to look through.') },
  quote: { lane: 'paper', ms: 60_000, tooLong: again('The quote took too long to make.') },
  label: { lane: 'paper', ms: 60_000, tooLong: again('The label took too long to make.') },
  pressed: { lane: 'paper', ms: 120_000, tooLong: again('The sounds took too long to press.') },
  louder: { lane: 'files', ms: 60_000, tooLong: again('The sounds took too long to write.') },
  sound: { lane: 'files', ms: 60_000, tooLong: () => hard('The sound takes too long to read.') },
  photo: { lane: 'files', ms: 60_000, tooLong: () => hard('The photo takes too long to read.') },
  parts: { lane: 'files', ms: 30_000, tooLong: () => hard('The list takes too long to read; nothing was taken in.') },
  earlier: { lane: 'files', ms: 30_000, tooLong: () => hard('The list takes too long to read; nothing was taken in.') },
  unpack: { lane: 'files', ms: 60_000, tooLong: () => hard('The file takes too long to read; nothing was changed.') },
}

/** How many jobs may wait in one lane, and how many of one person's; the next is told to come again. */
const [MAY_WAIT, OF_ONE] = [120, 40]
/** Threads of each lane: one fewer than the machine has where there are many. */
const THREADS = Math.max(1, Math.min(3, Math.floor((availableParallelism() - 1) / 2)))

/** Threads of one lane, and who waits for them. */
class Threads {
  private readonly pool: Piscina
  /** Whoever waits here uses up none of the time he may take. */
  private readonly turn = new PQueue({ concurrency: THREADS })
  /** How many jobs of each person wait or are done. */
  private readonly of = new Map<string, number>()

  constructor(script: string, warm: boolean) {
    this.pool = new Piscina({
      filename: script,
      // Kept where somebody looks at the screen meanwhile: the first record of a quiet hour is not to wait for its fonts.
      minThreads: warm ? 1 : 0,
      maxThreads: THREADS,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: 512 },
    })
    // A thread that died has failed its job, which is answered; nothing else is to be done.
    this.pool.on('error', () => {})
  }

  /** One after the other, of each person one before anybody's second. */
  async add<T>(whom: Whom, job: (pool: Piscina) => Promise<T>): Promise<T> {
    const id = whom === 'upkeep' ? '' : whom.id
    const before = this.of.get(id) ?? 0
    if (this.turn.size >= MAY_WAIT || before >= OF_ONE)
      throw new HttpProblem(503, 'busy', 'Too much is being worked on just now. Try again in a moment.')
    this.of.set(id, before + 1)
    try {
      return (await this.turn.add(() => job(this.pool), {
        priority: whom === 'upkeep' ? -MAY_WAIT : -before,
      })) as T
    } finally {
      const left = this.of.get(id)! - 1
      if (left) this.of.set(id, left)
      else this.of.delete(id)
    }
  }

  close(): Promise<void> {
    return this.pool.destroy()
  }
}

/** Threads that do the jobs, each kind in its lane, so that requests are answered meanwhile and short work is not behind long. */
export class ThreadWork implements Work {
  private readonly lanes: Record<Lane, Threads>

  constructor(
    script: string,
    private readonly budget: Budget = BUDGET,
  ) {
    this.lanes = Object.fromEntries(LANES.map((l) => [l, new Threads(script, l !== 'files')])) as Record<Lane, Threads>
  }

  async run<K extends JobName>(name: K, ask: Asked<K>, whom: Whom): Promise<Done<K>> {
    const rule = this.budget[name]
    return this.lanes[rule.lane].add(whom, (pool) => done(pool, rule, name, ask))
  }

  async close(): Promise<void> {
    await Promise.all(LANES.map((l) => this.lanes[l].close()))
  }
}

async function done<K extends JobName>(pool: Piscina, rule: Rule, name: K, ask: Asked<K>): Promise<Done<K>> {
  const limit = new AbortController()
  const timer = setTimeout(() => limit.abort(), rule.ms)
  try {
    const answer = (await pool.run(
      { name, ask },
      { signal: limit.signal, transferList: owned(ask) as never },
    )) as Answer
    if ('done' in answer) return answer.done as Done<K>
    const { status, type, detail, problems, more } = answer.refused
    throw new HttpProblem(status, type, detail, problems, more)
  } catch (e) {
    if (limit.signal.aborted) throw rule.tooLong()
    if ((e as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
      throw hard('The file takes more memory to read than it may.', 'memory')
    throw e
  } finally {
    clearTimeout(timer)
  }
}
