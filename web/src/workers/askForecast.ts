import type { ForecastAsk, ForecastSaid } from './forecast.worker'

let worker: Worker | undefined
let asked = 0
const waiting = new Map<number, { done: (s: ForecastSaid) => void; fail: (e: Error) => void }>()

/** Works out beside the page how the open commissions will go; one worker answers all that is asked, in turn. Fails with why not. */
export function askForecast(ask: ForecastAsk): Promise<ForecastSaid> {
  if (!worker) {
    worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<{ n: number; said?: ForecastSaid; why?: string }>) => {
      const it = waiting.get(data.n)
      waiting.delete(data.n)
      if (data.said) it?.done(data.said)
      else it?.fail(new Error(data.why))
    }
    worker.onerror = () => {
      for (const { fail } of waiting.values()) fail(new Error('The forecast stopped.'))
      waiting.clear()
      worker = undefined
    }
  }
  return new Promise((done, fail) => {
    asked++
    waiting.set(asked, { done, fail })
    worker!.postMessage({ ...ask, n: asked })
  })
}
