import {
  type Alternative,
  alternatives,
  type CloseChance,
  chanceToClose,
  findLayouts,
  type LayoutResult,
  type LayoutWish,
  type PreparedLayouts,
  prepareLayouts,
} from '@nubrin/core/fit'
import type { CataloguePart } from '@nubrin/core/parts'
import type { Saber } from '@nubrin/core/record'

/** What the page asks of this worker, and what it answers. */
export type Ask =
  | { kind: 'layouts'; saber: Saber; shelf: CataloguePart[]; wish: LayoutWish; today: string }
  | { kind: 'alternatives'; saber: Saber; shelf: CataloguePart[]; part: string }
  | { kind: 'chance'; room: number; tols: number[]; draws: number }
export type Answer =
  | { kind: 'progress'; share: number }
  /** Without a result while something is not known yet. */
  | { kind: 'layouts'; prepared: PreparedLayouts; result?: LayoutResult }
  | { kind: 'alternatives'; part: string; list: Alternative[] }
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
    if (ask.kind === 'alternatives') {
      post({ kind: 'alternatives', part: ask.part, list: alternatives(ask.saber, ask.part, ask.shelf) })
      return
    }
    const prepared = prepareLayouts(ask.saber, ask.shelf, ask.wish, ask.today)
    if (prepared.needs.length) {
      post({ kind: 'layouts', prepared })
      return
    }
    const result = findLayouts(prepared.problem, (share) => post({ kind: 'progress', share }))
    post({ kind: 'layouts', prepared, result })
  } catch (err) {
    post({ kind: 'failed', message: err instanceof Error ? err.message : String(err) })
  }
}
