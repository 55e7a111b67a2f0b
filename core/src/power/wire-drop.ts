import { type Calculated, Gather } from '../facts'
import { layOut, socketSpan, spanOf } from '../geometry'
import { type Blade, refTo, type Saber, WHITE } from '../record'
import { formatNumber, MAKER } from '../units'
import { ocv } from './discharge'
import { bladeCurrent, litCurrent } from './lights'
import { cellsIn, notePack, packOf } from './pack'
import { wireOhms } from './wire'

/** Voltage lost in the fitted wire between cell and connector, both ways, V. `load` is the current of the whole saber. */
export function wireDrop(saber: Saber, colour = WHITE, load = litCurrent(saber, colour)): Calculated {
  const g = new Gather()
  const wire = saber.parts.find((p) => p.kind === 'wire' && p.carries !== 'signal')
  if (!wire) g.missing('the wire from cell to connector')
  const awg = g.take('wire gauge', wire?.specs.gauge, wire && refTo('part', wire.id))
  const length = wire?.specs.length
    ? g.take('wire length, one way', wire.specs.length, refTo('part', wire.id))
    : runLength(saber, g)
  const amps = g.from('current', load)
  return g.figure('V', 'I × 2ρL/A', 'ρ(Cu) = 1.724e-8 Ω·m; AWG by ASTM B258', () => amps * wireOhms(awg, 2 * length))
}

/** Below this the blue and white dies of a pixel sag, V (their forward voltage is 3.0 to 3.4). */
export const FAR_LED_VOLTS = 3.3

/**
 * Voltage at the last pixel of a blade with a half-charged cell: what the cell gives under the whole load, less both ways
 * of the wire, less the strip. `load` is the current of the whole saber. A strip's load is spread evenly, so it costs half of what all its current would: I·R·L/2.
 */
export function farLedVolts(saber: Saber, b: Blade, colour = WHITE, load = litCurrent(saber, colour)): Calculated {
  const g = new Gather()
  const pack = packOf(saber)
  const cell = pack.cells[0]
  const ref = cell && refTo('part', cell.id)
  if (!cell) g.missing('a cell')
  const nominal = g.take('nominal voltage', cell?.specs.nominalVolts, ref)
  const inner = g.take('internal resistance', cell?.specs.resistance, ref)
  notePack(g, pack)
  const whole = g.from('current of the whole saber', load)
  const wire = g.from('lost in the wire', wireDrop(saber, colour, load))
  const own = g.from(`current of ${b.name}`, bladeCurrent(saber, b, colour))
  const strips = g.take(`strips in ${b.name}`, b.strips, refTo('blade', b.id))
  const perMetre = g.take(`resistance of a metre of strip in ${b.name}`, b.stripResistance, refTo('blade', b.id))
  const length = g.take(`length of ${b.name}`, b.length, refTo('blade', b.id))
  const socket = saber.hilt.sockets.find((k) => k.id === b.socket)
  const depth = g.take('socket depth', socket?.depth, refTo('socket', b.socket))
  return g.figure(
    'V',
    'OCV(half) − I·R(cell) − I·R(wire) − I/strips × R(strip) × L ÷ 2',
    'Ohm’s law; evenly spread load',
    () => {
      const rail =
        pack.stepDown < 1
          ? 5
          : pack.series * cellsIn(nominal) * ocv(0.5) - (whole * inner * (pack.series / pack.parallel)) / 1000
      return rail - wire - ((own / strips) * (perMetre / 1000) * ((length - depth) / 1000)) / 2
    },
  )
}

function runLength(saber: Saber, g: Gather): number {
  const shape = layOut(saber.hilt)
  const cell = saber.parts.find((p) => p.kind === 'cell')
  const span = cell && spanOf(cell)
  const seat = saber.hilt.sockets.map((k) => socketSpan(saber, k.id, shape)).find(Boolean)
  if (!span || !seat) g.missing('the wire length')
  const mm = span && seat ? Math.max(0, seat.x0 - span.x0) : Number.NaN
  if (span && seat) g.note('wire run, cell to socket', `${formatNumber(MAKER, mm, 0)} mm`, true)
  return mm
}
