import { move, transferableSymbol, valueSymbol } from 'piscina'
import { HttpProblem } from '../http/problem'
import { JOBS, type JobName } from './jobs'
import { owned } from './owned'

/** What a thread answers: a class does not survive the way between threads, its parts do. */
export type Answer =
  | { done: unknown }
  | {
      refused: {
        status: number
        type: string
        detail: string
        problems: HttpProblem['problems']
        more: Record<string, unknown>
      }
    }

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
