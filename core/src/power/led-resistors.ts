import { type Calculated, Gather } from '../facts'
import { type FittedPart, refTo, type Saber } from '../record'
import { chooseResistor, type ResistorChoice } from './resistor'

/** The series resistor of each accent or in-hilt LED, from cell to LED: value, rating, and whether it goes dark at the empty cell. */
export function ledResistors(saber: Saber): { part: FittedPart; ohms: Calculated; choice?: ResistorChoice }[] {
  const cell = saber.parts.find((p) => p.kind === 'cell')
  return saber.parts
    .filter((p) => p.kind === 'accentLed' || p.kind === 'inHiltLed')
    .map((part) => {
      const g = new Gather()
      const ref = refTo('part', part.id)
      if (!cell) g.missing('a cell')
      const full = g.take('full voltage', cell?.specs.fullVolts, cell && refTo('part', cell.id))
      const empty = g.take('cut-off voltage', cell?.specs.cutoffVolts, cell && refTo('part', cell.id))
      const forward = g.take('forward voltage', part.specs.forwardVolts, ref)
      const mA = g.take('current', part.specs.channelCurrent, ref)
      let choice: ResistorChoice | undefined
      const ohms = g.figure('Ω', '(V full − Vf) ÷ I, next higher E24', 'Ohm’s law; E24 by IEC 60063', () => {
        choice = chooseResistor(full, empty, forward, mA / 1000)
        return choice.ohms
      })
      return { part, ohms, ...(choice ? { choice } : {}) }
    })
}
