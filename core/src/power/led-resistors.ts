import { type Calculated, Gather, known } from '../facts'
import { type FittedPart, refTo, type Saber } from '../record'
import { packOf } from './pack'
import { chooseResistor, type ResistorChoice } from './resistor'

/**
 * The series resistor of each accent or in-hilt LED, from the pack to the LED: value, rating, and whether it goes dark at the
 * empty pack. A module of several dies has a forward voltage for each, of which the record holds one: then it is asked for.
 */
export function ledResistors(saber: Saber): { part: FittedPart; ohms: Calculated; choice?: ResistorChoice }[] {
  const pack = packOf(saber)
  const cell = pack.cells[0]
  return saber.parts
    .filter((p) => p.kind === 'accentLed' || p.kind === 'inHiltLed')
    .map((part) => {
      const g = new Gather()
      const ref = refTo('part', part.id)
      if (!cell) g.missing('a cell')
      const full = g.take('full voltage', cell?.specs.fullVolts, cell && refTo('part', cell.id))
      const empty = g.take('cut-off voltage', cell?.specs.cutoffVolts, cell && refTo('part', cell.id))
      if (pack.series > 1) g.note('cells in series', String(pack.series))
      if (part.kind === 'inHiltLed' && (known(part.specs.dies) ?? 1) > 1)
        g.missing(`the forward voltage of each die of ${part.name}`, ref)
      const forward = g.take('forward voltage', part.specs.forwardVolts, ref)
      const mA = g.take('current', part.specs.channelCurrent, ref)
      let choice: ResistorChoice | undefined
      const ohms = g.figure('Ω', '(V full − Vf) ÷ I, next higher E24', 'Ohm’s law; E24 by IEC 60063', () => {
        choice = chooseResistor(full * pack.series, empty * pack.series, forward, mA / 1000)
        return choice.ohms
      })
      return { part, ohms, ...(choice ? { choice } : {}) }
    })
}
