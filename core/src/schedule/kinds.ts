import type { Saber, WorkKind } from '../record'

interface KindOfWork {
  /** What comes before it on the same saber as usual; of what is done once for all, on every saber. */
  after: readonly WorkKind[]
  /** The usual guess until a shop has a log of its own: hours that half of them take no longer than, and by what factor they spread. */
  hours: number
  spread: number
  /** Hours that pass by themselves afterwards. */
  cures?: number
}

/** What each kind of work waits for, and how long it is guessed to take: an experienced maker's rule of thumb, no published figure. */
export const WORK: Readonly<Record<WorkKind, KindOfWork>> = {
  measure: { after: [], hours: 1, spread: 1.5 },
  bore: { after: ['measure'], hours: 2.5, spread: 1.6 },
  print: { after: ['measure'], hours: 2, spread: 1.6 },
  finish: { after: ['bore'], hours: 3, spread: 1.7, cures: 24 },
  wire: { after: ['bore', 'print', 'finish'], hours: 6, spread: 1.6 },
  setUp: { after: ['wire'], hours: 2.5, spread: 1.7 },
  prove: { after: ['setUp'], hours: 1.5, spread: 1.5 },
  film: { after: ['prove'], hours: 1.5, spread: 1.6 },
  write: { after: ['prove'], hours: 1, spread: 1.6 },
  pack: { after: ['film', 'write'], hours: 0.75, spread: 1.5 },
}
/** The guess for a thing that is left to do. */
export const TO_DO = { hours: 0.75, spread: 2 } as const

/** What is done on a saber, by the job that it is. A model sheet is no work. */
export const WORK_OF_JOB: Readonly<Record<Saber['job'], readonly WorkKind[]>> = {
  install: ['measure', 'bore', 'print', 'wire', 'setUp', 'prove'],
  conversion: ['measure', 'bore', 'print', 'finish', 'wire', 'setUp', 'prove'],
  repair: ['wire', 'prove'],
  scratch: ['measure', 'bore', 'print', 'finish', 'wire', 'setUp', 'prove'],
  showcase: ['measure', 'bore', 'finish', 'wire', 'setUp', 'prove'],
  rebuild: ['measure', 'bore', 'print', 'finish', 'wire', 'setUp', 'prove'],
  model: [],
}
