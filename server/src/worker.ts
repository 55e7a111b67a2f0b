import os from 'node:os'
import { move, transferableSymbol, valueSymbol } from 'piscina'
import { HttpProblem } from './http/problem'
import { JOBS } from './jobs'
import type { Answer, JobName } from './work/kinds'
import { owned } from './work/owned'

/**
 * What takes long gives way to what is short, three parts to one. Any lower, and on a machine that has something else to do it
 * would get nothing for so long that its limit of time runs out.
 */
const GIVES_WAY = 5
// On Linux this is the thread's own; elsewhere it would slow the whole process.
if (process.platform === 'linux') os.setPriority(0, GIVES_WAY)

export default async function work({ name, ask }: { name: JobName; ask: unknown }) {
  try {
    const done = await JOBS[name](ask as never)
    const answer: Answer = { done }
    return move({ [transferableSymbol]: owned(done), [valueSymbol]: answer } as never)
  } catch (e) {
    if (!(e instanceof HttpProblem)) throw e
    const { status, type, message: detail, problems, more } = e
    return { refused: { status, type, detail, problems, more } } satisfies Answer
  }
}
