import { type Calculated, Gather, known } from '../facts'
import { type FittedPart, refTo, type Saber } from '../record'
import { packOf } from './pack'

/**
 * What sets the current that reaches the cells: the circuit behind the port that is built in, whatever supply feeds it; without
 * one each charger that cells are put into.
 */
export function chargersOf(saber: Saber): FittedPart[] {
  const ports = saber.parts.filter((p) => p.kind === 'chargePort')
  return ports.length ? ports : saber.parts.filter((p) => p.kind === 'charger')
}

/** A cell that is given more than it takes, A. */
export interface Overcharged {
  charger: FittedPart
  cell: FittedPart
  /** What reaches it. */
  amps: number
  /** What it takes by its maker's word; undefined where that is not recorded and what reaches it is more than its capacity in an hour. */
  takes: number | undefined
}

/**
 * Cells that are given more current than they take. Cells in parallel share what a port's circuit gives; those in series, and one
 * in a charger of its own, have all of it. Where a cell's own limit is not recorded, its capacity in one hour (1 C) is the most
 * that a cell takes without its datasheet saying so.
 */
export function overcharged(saber: Saber): Overcharged[] {
  const { cells, parallel } = packOf(saber)
  return chargersOf(saber).flatMap((charger) => {
    const gives = known(charger.specs.chargeCurrent)
    if (gives === undefined) return []
    const amps = charger.kind === 'chargePort' ? gives / parallel : gives
    return cells.flatMap((cell): Overcharged[] => {
      const takes = known(cell.specs.chargeCurrent)
      const capacity = known(cell.specs.capacity)
      const most = takes ?? (capacity === undefined ? undefined : capacity / 1000)
      return most !== undefined && amps > most + 1e-9 ? [{ charger, cell, amps, takes }] : []
    })
  })
}

/** Full voltage of a lithium cell by its nominal one, V: iron phosphate, the usual kinds, and those charged higher. */
const FULL_BY_NOMINAL: readonly [nominal: number, full: number][] = [
  [3.2, 3.65],
  [3.6, 4.2],
  [3.65, 4.2],
  [3.7, 4.2],
  [3.8, 4.35],
  [3.85, 4.4],
]
/** What one cell is charged to, V: by its own full voltage, else by its kind. */
function cellEnd(cell: FittedPart): number | undefined {
  const [full, nominal] = [known(cell.specs.fullVolts), known(cell.specs.nominalVolts)]
  return full ?? FULL_BY_NOMINAL.find(([v]) => nominal !== undefined && Math.abs(v - nominal) < 0.02)?.[1]
}

/** A charger that ends at another voltage than the cells that it charges together, V. */
export interface ChargeEnd {
  charger: FittedPart
  cell: FittedPart
  ends: number
  wanted: number
  series: number
}
/** How far an end of charge may be off, V a cell: what chargers of one kind differ by. */
const END_OFF = 0.05

/**
 * Chargers whose end of charge is not the full voltage of a cell times those in series; a charger outside has each cell by
 * itself. What is not recorded is not judged.
 */
export function wrongEnds(saber: Saber): ChargeEnd[] {
  const { cells, series } = packOf(saber)
  const [cell] = cells
  const one = cell && cellEnd(cell)
  if (!cell || one === undefined) return []
  return chargersOf(saber).flatMap((charger): ChargeEnd[] => {
    const ends = known(charger.specs.chargeVolts)
    const together = charger.kind === 'chargePort' ? series : 1
    const wanted = one * together
    return ends === undefined || Math.abs(ends - wanted) <= END_OFF * together + 1e-9
      ? []
      : [{ charger, cell, ends, wanted, series: together }]
  })
}

/** Charging time, CC–CV: about 1.3 × capacity ÷ current, h. */
export function chargeTime(saber: Saber): Calculated {
  const g = new Gather()
  const pack = packOf(saber)
  const cell = pack.cells[0]
  const [source] = chargersOf(saber)
  if (!cell) g.missing('a cell')
  if (!source) g.missing('a charge port or charger')
  const capacity = g.take('capacity', cell?.specs.capacity, cell && refTo('part', cell.id)) * Math.max(1, pack.parallel)
  const limits = [g.take('charge current', source?.specs.chargeCurrent, source && refTo('part', source.id))]
  if (cell?.specs.chargeCurrent)
    limits.push(g.take("the cell's charge current", cell.specs.chargeCurrent, refTo('part', cell.id)) * pack.parallel)
  return g.figure(
    'h',
    '1.3 × capacity ÷ current',
    'constant current, then constant voltage',
    () => (1.3 * capacity) / 1000 / Math.min(...limits),
  )
}

/** Wh of the fitted cells, for a carrier's question. */
export function wattHours(saber: Saber): Calculated {
  const g = new Gather()
  const cells = saber.parts.filter((p) => p.kind === 'cell')
  if (!cells.length) g.missing('a cell')
  let wh = 0
  for (const c of cells)
    wh +=
      (g.take(`capacity of ${c.name}`, c.specs.capacity, refTo('part', c.id)) / 1000) *
      g.take(`nominal voltage of ${c.name}`, c.specs.nominalVolts, refTo('part', c.id))
  return g.figure('Wh', 'Σ V × Ah', 'Wh = V·Ah', () => wh)
}
