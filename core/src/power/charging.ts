import { type Calculated, Gather } from '../facts'
import { refTo, type Saber } from '../record'
import { packOf } from './pack'

/** Charging time, CC–CV: about 1.3 × capacity ÷ current, h. */
export function chargeTime(saber: Saber): Calculated {
  const g = new Gather()
  const pack = packOf(saber)
  const cell = pack.cells[0]
  const source = saber.parts.find((p) => p.kind === 'chargePort') ?? saber.parts.find((p) => p.kind === 'charger')
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
