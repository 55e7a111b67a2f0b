import { type Calculated, type Fact, fact, Gather, known } from '../facts'
import { type FittedPart, refTo, type Saber } from '../record'
import { isModule } from './dies'
import { packOf } from './pack'
import { chooseResistor, type ResistorChoice } from './resistor'

/** A resistor that an LED wants: of the whole of it, or of one of its dies. */
export interface WantedResistor {
  part: FittedPart
  name: string
  ohms: Calculated
  choice?: ResistorChoice
}
/** What one resistor stands before: a forward voltage, and a current, with where each is recorded. */
interface Behind {
  name: string
  forward: Fact<'V'> | undefined
  current: Fact<'mA'> | undefined
  ref: ReturnType<typeof refTo>
}

/**
 * What stands behind each resistor of an LED: each die by itself, or all of one string. Dies side by side on one resistor count
 * as one that takes the current of all; unlike ones may not stand so, and are each wanted a resistor of their own.
 */
function behindOf(p: FittedPart): Behind[] {
  const ref = refTo('part', p.id)
  const dies = p.dies ?? []
  if (!dies.length) return [{ name: p.name, forward: p.specs.forwardVolts, current: p.specs.channelCurrent, ref }]
  const sum = <U extends 'V' | 'mA'>(
    of: (d: (typeof dies)[number]) => Fact<U>,
    unit: U,
    how: 'sum' | 'least',
  ): Fact<U> => {
    const all = dies.map((d) => known(of(d)))
    const missing = dies.findIndex((_, i) => all[i] === undefined)
    if (missing >= 0) return of(dies[missing]!)
    const value = how === 'sum' ? all.reduce((a: number, v) => a + v!, 0) : Math.min(...(all as number[]))
    return fact(value, unit, 'computed')
  }
  const forwards = dies.map((d) => known(d.forwardVolts))
  if (p.joined === 'series')
    return [
      {
        ...{ name: p.name, ref },
        forward: sum((d) => d.forwardVolts, 'V', 'sum'),
        current: sum((d) => d.current, 'mA', 'least'),
      },
    ]
  if (p.through && forwards.every((v) => v !== undefined && Math.abs(v - forwards[0]!) <= 0.1))
    return [{ name: p.name, ref, forward: dies[0]!.forwardVolts, current: sum((d) => d.current, 'mA', 'sum') }]
  return dies.map((d) => ({
    ...{ name: `${p.name}, ${d.name}`, forward: d.forwardVolts, current: d.current, ref: refTo('die', d.id) },
  }))
}

/**
 * The series resistor of each accent or in-hilt LED, from the pack to the LED, and of each of its dies where they are recorded:
 * value, rating, and whether it goes dark at the empty pack. What a driver or a chip of its own feeds wants none. A module of
 * several dies that are not recorded is asked for them.
 */
export function ledResistors(saber: Saber): WantedResistor[] {
  const pack = packOf(saber)
  const cell = pack.cells[0]
  return saber.parts
    .filter((p) => isModule(p) && p.fed !== 'driver' && p.fed !== 'addressable')
    .flatMap((part) =>
      behindOf(part).map(({ name, forward, current, ref }): WantedResistor => {
        const g = new Gather()
        if (!cell) g.missing('a cell')
        const full = g.take('full voltage', cell?.specs.fullVolts, cell && refTo('part', cell.id))
        const empty = g.take('cut-off voltage', cell?.specs.cutoffVolts, cell && refTo('part', cell.id))
        if (pack.series > 1) g.note('cells in series', String(pack.series))
        if (!part.dies?.length && part.kind === 'inHiltLed' && (known(part.specs.dies) ?? 1) > 1)
          g.missing(`the forward voltage of each die of ${part.name}`, ref)
        const volts = g.take('forward voltage', forward, ref)
        const mA = g.take('current', current, ref)
        let choice: ResistorChoice | undefined
        const ohms = g.figure('Ω', '(V full − Vf) ÷ I, next higher E24', 'Ohm’s law; E24 by IEC 60063', () => {
          choice = chooseResistor(full * pack.series, empty * pack.series, volts, mA / 1000)
          return choice.ohms
        })
        return { part, name, ohms, ...(choice ? { choice } : {}) }
      }),
    )
}
