import { type Calculated, Gather, known } from '../facts'
import { refTo, type Saber } from '../record'
import { usableShare } from './discharge'
import { litBlades } from './lights'
import { cellsIn, notePack, packOf } from './pack'
import { pixels } from './pixels'

/** Self-discharge of lithium-ion at room temperature, share of the capacity a month: usual, not a datasheet's. */
const SELF_DISCHARGE = 0.03
const MONTH_H = 30 * 24

/** The ways to leave a saber, and what still draws current then. */
export const LEFT_WAYS = ['on', 'asleep', 'deepSleep', 'cut', 'cellOut'] as const
export type LeftWay = (typeof LEFT_WAYS)[number]

/** How a saber lies where nobody cuts its power: in deep sleep where that is its own way, else asleep. */
export const leftAs = (saber: Saber): LeftWay => (saber.cutPower === 'deepSleep' ? 'deepSleep' : 'asleep')

/** Current that everything left connected draws in one way, mA, with its inputs in `g`. */
function drawn(saber: Saber, how: LeftWay, g: Gather): number {
  let mA = 0
  if (how === 'cut' || how === 'cellOut') return mA
  const boards = saber.parts.filter((p) => p.kind === 'board' || p.kind === 'auxBoard' || p.kind === 'display')
  if (!boards.some((b) => b.kind === 'board')) g.missing('a sound board')
  const key = how === 'on' ? 'idleCurrent' : how === 'asleep' ? 'sleepCurrent' : 'deepSleepCurrent'
  const word = { idleCurrent: 'idle', sleepCurrent: 'sleep', deepSleepCurrent: 'deep-sleep' }[key]
  for (const b of boards) {
    // What has no deeper sleep of its own goes on as it sleeps.
    const own = b.specs[key] ?? (b.kind !== 'board' && how === 'deepSleep' ? b.specs.sleepCurrent : undefined)
    if (b.kind === 'board' || own) mA += g.take(`${word} current of ${b.name}`, own, refTo('part', b.id))
  }
  // Pixels draw their idle current while they are powered; asleep, a board with a switched output cuts them off.
  for (const blade of litBlades(saber).filter((b) => b.kind === 'pixel')) {
    if (how === 'on') {
      const n = pixels(saber, blade)
      mA +=
        g.from(`pixels of ${blade.name}`, n) *
        g.take(`idle current of ${blade.name}`, blade.idleCurrent, refTo('blade', blade.id))
    } else g.note(`${blade.name}, asleep`, 'taken as switched off by the board', true)
  }
  return mA
}

/** Current of a saber that is on and not lit: what its boards draw, and its dark pixels. A. */
export function idleCurrent(saber: Saber): Calculated {
  const g = new Gather()
  const mA = drawn(saber, 'on', g)
  return g.figure('A', 'Σ idle currents ÷ 1000', 'on, not lit', () => mA / 1000)
}

/** Current of all that stays connected in one way of leaving a saber, mA. */
export function restCurrent(saber: Saber, how: LeftWay): Calculated {
  const g = new Gather()
  const mA = drawn(saber, how, g)
  return g.figure('mA', 'Σ currents', 'what stays connected', () => mA)
}

/**
 * Hours until a saber left in one way has emptied its cell: awake, asleep, in deep sleep, with the power cut by switch or
 * key, or with the cell taken out. What the way leaves connected draws its current, and self-discharge always goes on. The
 * cell counts as empty at its cut-off, where that is known.
 */
export function standby(saber: Saber, how: LeftWay): Calculated {
  const g = new Gather()
  const pack = packOf(saber)
  const cell = pack.cells[0]
  if (!cell) g.missing('a cell')
  const capacity = g.take('capacity', cell?.specs.capacity, cell && refTo('part', cell.id)) * Math.max(1, pack.parallel)
  notePack(g, pack)
  const cutoff = known(cell?.specs.cutoffVolts)
  if (cell && cutoff !== undefined) g.take('cut-off voltage', cell.specs.cutoffVolts, refTo('part', cell.id))
  const usable = cutoff === undefined ? 1 : usableShare(cutoff / cellsIn(known(cell?.specs.nominalVolts) ?? 3.6))
  const mA = drawn(saber, how, g)
  g.note(
    'self-discharge',
    `${SELF_DISCHARGE * 100} % a month, usual at room temperature`,
    how === 'cut' || how === 'cellOut',
  )
  return g.figure(
    'h',
    'capacity to the cut-off ÷ (Σ current + self-discharge)',
    'standby: what stays connected, and the cell itself',
    () => (usable * capacity) / (mA * pack.stepDown + (SELF_DISCHARGE * capacity) / MONTH_H),
  )
}
