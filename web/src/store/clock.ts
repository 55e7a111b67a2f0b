import type { Commission } from '@nubrin/core/record'
import { nextWork, type Work, workName, workOf } from '@nubrin/core/schedule'
import { tell } from '../base/toast'
import { call, freshId, queries, type Running } from '../data'

/** What is told of a piece of work, and of whose. */
const named = (c: Commission, w: Pick<Work, 'kind' | 'text' | 'saber'>): string => {
  const saber = c.sabers.length > 1 ? c.sabers.find((s) => s.id === w.saber)?.name : undefined
  return [w.text ?? workName(w.kind), saber].filter(Boolean).join(', ')
}
const show = (now: Running) => queries.setQueryData(['timer'], now)

/** Starts the clock on a piece of work; one that runs is stopped and written down. */
export async function startClock(c: Commission, w: Work): Promise<void> {
  const body = {
    ...{ id: freshId(), commission: c.id },
    ...(w.kind === 'toDo' ? { toDo: w.toDo! } : { work: w.kind }),
    ...(w.saber ? { saber: w.saber } : {}),
  }
  try {
    show(await call('startTimer', { body }))
    tell(`Clock started: ${named(c, w)}.`)
  } catch (e) {
    tell((e as Error).message)
  }
}

/** Stops the clock; what it ran is in the log of its commission. */
export async function stopClock(id: string): Promise<void> {
  try {
    const { hours, commission } = await call('stopTimer', { params: { id }, query: {} })
    tell(
      commission && hours
        ? `${hours < 1 ? `${Math.round(hours * 60)} min` : `${hours.toFixed(1)} h`} logged.`
        : 'Too short to log.',
    )
  } catch (e) {
    tell((e as Error).message)
  }
  await queries.invalidateQueries({ queryKey: ['timer'] })
}

/** Stops the clock where it runs on this commission, else starts it on what comes next. */
export async function toggleClock(c: Commission): Promise<void> {
  const now = await queries.fetchQuery({ queryKey: ['timer'], queryFn: () => call('timer', {}) }).catch(() => undefined)
  if (now?.timer?.commission === c.id) return stopClock(now.timer.id)
  const next = nextWork(workOf(c))
  if (!next) {
    tell('Everything is done here.')
    return
  }
  await startClock(c, next)
}
