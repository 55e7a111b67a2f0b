import { type CloseChance, chanceToClose, findLayouts, type LayoutProblem, type LayoutResult } from '@nubrin/core/fit'

/** What the page asks of this worker, and what it answers. */
export type Ask =
  | { kind: 'layouts'; problem: LayoutProblem }
  | { kind: 'chance'; room: number; tols: number[]; draws: number }
export type Answer =
  | { kind: 'progress'; share: number }
  | { kind: 'layouts'; result: LayoutResult; ms: number }
  | { kind: 'chance'; result: CloseChance }
  | { kind: 'failed'; message: string }

const post = (a: Answer) => self.postMessage(a)

self.onmessage = (e: MessageEvent<Ask>) => {
  try {
    const ask = e.data
    if (ask.kind === 'chance') {
      post({ kind: 'chance', result: chanceToClose(ask.room, ask.tols, ask.draws) })
      return
    }
    const started = performance.now()
    const result = findLayouts(ask.problem, (share) => post({ kind: 'progress', share }))
    post({ kind: 'layouts', result, ms: performance.now() - started })
  } catch (err) {
    post({ kind: 'failed', message: err instanceof Error ? err.message : String(err) })
  }
}
