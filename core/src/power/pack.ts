import { type Gather, known } from '../facts'
import type { FittedPart, Saber } from '../record'

/** Cells as they are joined, and how the lights are fed from them. */
export interface Pack {
  cells: FittedPart[]
  series: number
  parallel: number
  /** Current drawn from the pack per ampere at the lights: 1 from a single cell, less through a step-down converter. */
  stepDown: number
}

/** Cells inside one fitted pack, by its nominal voltage: 3.6 V each. */
export const cellsIn = (nominalVolts: number): number => Math.max(1, Math.round(nominalVolts / 3.65))

/** Above this a pack feeds pixels, which take 5 V, only through a converter, 85 to 95 % efficient by their datasheets. */
const DIRECT_VOLTS = 5.5
const RAIL_VOLTS = 5
const EFFICIENCY = 0.9

/** How the fitted cells are joined: in parallel unless they say series. Without a cell: one of none. */
export function packOf(saber: Saber): Pack {
  const cells = saber.parts.filter((p) => p.kind === 'cell')
  const inSeries = cells.length > 1 && cells.some((c) => c.wiring === 'series')
  const series = inSeries ? cells.length : 1
  const volts = (known(cells[0]?.specs.nominalVolts) ?? 3.6) * series
  return {
    cells,
    series,
    parallel: inSeries ? 1 : Math.max(1, cells.length),
    stepDown: volts > DIRECT_VOLTS ? RAIL_VOLTS / (volts * EFFICIENCY) : 1,
  }
}

/** Puts the joining of cells and a converter among the inputs of a figure, when there is something to say. */
export function notePack(g: Gather, p: Pack) {
  if (p.cells.length > 1) g.note('cells', `${p.cells.length} in ${p.series > 1 ? 'series' : 'parallel'}`)
  if (p.stepDown < 1)
    g.note(
      'converter',
      `${RAIL_VOLTS} V at ${EFFICIENCY * 100} %: ${p.stepDown.toFixed(2)} A drawn for 1 A of light`,
      true,
    )
}
