import {
  asked,
  forecast,
  guessesFrom,
  type Log,
  outlookSaid,
  planOf,
  type Question,
  type Said,
  type ShopState,
  type Stretch,
  typicalCourse,
  unplannedText,
  wholeText,
} from '@nubrin/core/schedule'

export interface ForecastAsk {
  shop: ShopState
  log: Log
  question: Question
}
/** One piece of somebody's day on the bench. */
export interface BenchPiece extends Omit<Stretch, 'item'> {
  commission: string
  key: string
}
/** What is waited for, and the day on which it comes half of the time. */
export interface ForecastSaid {
  outlooks: { id: string; likely?: string; surely?: string; chance?: number; said: Said }[]
  busy: { person: string; share: number }[]
  course: BenchPiece[]
  unplanned: { commission: string; text: string }[]
  whole: string
}

/** Works a forecast out, and the course that everything takes half of the time. */
function worked({ shop, log, question }: ForecastAsk): ForecastSaid {
  const then = asked(shop, question)
  const plan = planOf(then.shop, guessesFrom(log))
  const f = forecast(plan, { more: then.more })
  return {
    outlooks: f.outlooks.map(({ held: _h, ...o }, i) => ({ ...o, said: outlookSaid(plan, f.outlooks[i]!) })),
    busy: f.busy,
    course: typicalCourse(plan, then.more).map(({ item, ...s }) => {
      const { open, work } = plan.items[item]!
      return { ...s, commission: plan.shop.open[open]!.id, key: work.key }
    }),
    unplanned: plan.unplanned.map((u) => ({ commission: u.commission, text: unplannedText(plan, u) })),
    whole: wholeText(f),
  }
}

self.onmessage = ({ data }: MessageEvent<ForecastAsk & { n: number }>) => {
  const { n, ...ask } = data
  try {
    self.postMessage({ n, said: worked(ask) })
  } catch (err) {
    self.postMessage({ n, why: err instanceof Error ? err.message : String(err) })
  }
}
