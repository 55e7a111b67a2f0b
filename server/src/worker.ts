import os from 'node:os'
import { move, transferableSymbol, valueSymbol } from 'piscina'
import { HttpProblem } from './http/problem'
import { JOBS } from './jobs'
import type { Answer, JobName } from './work/kinds'
import { owned } from './work/owned'

// What takes long gives way to what is short. On Linux this is the thread's own; elsewhere it would slow the whole process.
if (process.platform === 'linux') os.setPriority(0, os.constants.priority.PRIORITY_LOW)

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
