import type { Saber, WorkKind } from '../record'
import type { Lasts } from './chance'
import { TO_DO, WORK } from './kinds'
import type { Work } from './work'

/** What a shop has written down so far: hours of work that is done, days that orders took, days until a question was answered. */
export interface History {
  hours: readonly { kind: WorkKind | 'toDo'; job: Saber['job']; hours: number }[]
  leads: readonly { supplier: string; days: number }[]
  answers: readonly number[]
}
/** A guess with what it rests on: the shop's own log (n times), what somebody said of this one, or a rule of thumb. */
export interface Guess extends Lasts {
  n: number
  from: 'log' | 'said' | 'thumb'
}

/** So many of one kind make a log that is believed. */
export const ENOUGH = 5
/** Of something said beforehand: how far off it usually is. */
const SAID_SPREAD = 1.4
/** Days until a part comes and until a client answers, where the shop has no own. */
const LEAD = { median: 9, spread: 1.6 }
const ANSWER = { median: 3, spread: 2.2 }

/**
 * Median and spread of values that a shop wrote down, log-normal. The spread is what a next one will show, so it is wider the fewer
 * there are: the mean is not known exactly, and few show too little of how they vary (√((1+1/n)·(n−1)/(n−3)), from Student's t).
 * Undefined for fewer than five. What is not above zero is passed over.
 */
export function learnt(values: readonly number[]): Guess | undefined {
  const logs = values.flatMap((v) => (v > 0 ? [Math.log(v)] : []))
  const n = logs.length
  if (n < ENOUGH) return undefined
  const mean = logs.reduce((a, b) => a + b, 0) / n
  const variance = logs.reduce((a, b) => a + (b - mean) ** 2, 0) / (n - 1)
  const wider = (1 + 1 / n) * ((n - 1) / (n - 3))
  return { median: Math.exp(mean), spread: Math.exp(Math.sqrt(variance * wider)), n, from: 'log' }
}

const thumb = (l: Lasts): Guess => ({ median: l.median, spread: l.spread, n: 0, from: 'thumb' })
const thumbOf = (kind: WorkKind | 'toDo'): Guess => {
  const { hours, spread } = kind === 'toDo' ? TO_DO : WORK[kind]
  return thumb({ median: hours, spread })
}

/** What a shop's log says, by kind, by kind and job, and by supplier: small enough to travel. */
export type Log = Readonly<Record<string, Guess>>
/** What five or more of anything in a history say. */
export function logOf(history: History): Log {
  const by = new Map<string, number[]>()
  const put = (key: string, v: number) => void (by.get(key)?.push(v) ?? by.set(key, [v]))
  for (const h of history.hours) {
    put(`${h.kind} ${h.job}`, h.hours)
    put(h.kind, h.hours)
  }
  for (const l of history.leads) {
    put(`from ${l.supplier}`, l.days)
    put('from', l.days)
  }
  for (const days of history.answers) put('answer', days)
  return Object.fromEntries(
    [...by].flatMap(([key, values]) => {
      const guess = learnt(values)
      return guess ? [[key, guess] as const] : []
    }),
  )
}

/** How long things take in this shop. */
export interface Guesses {
  /** Hours of a piece of work: what was said of it, else the log of its kind on such jobs, else on any, else a rule of thumb. */
  hoursOf: (w: Pick<Work, 'kind' | 'like' | 'job' | 'hours'>) => Guess
  /** Days from order to arrival, by supplier where he is known. */
  leadOf: (supplier?: string) => Guess
  /** Days until a client answers. */
  answer: Guess
}
export const guessesFrom = (log: Log): Guesses => ({
  hoursOf: (w) => {
    if (w.hours !== undefined) return { median: w.hours, spread: SAID_SPREAD, n: 0, from: 'said' }
    const kind = w.like ?? w.kind
    return log[`${kind} ${w.job}`] ?? log[kind] ?? thumbOf(w.kind)
  },
  leadOf: (supplier) => log[`from ${supplier}`] ?? log.from ?? thumb(LEAD),
  answer: log.answer ?? thumb(ANSWER),
})
