import { type Calculated, Gather } from '../facts'
import { colourOf, type Preset, refTo, type Saber, WHITE } from '../record'
import { formatNumber, MAKER } from '../units'
import { type Discharge, discharge } from './discharge'
import { litCurrent } from './lights'
import { cellsIn, notePack, packOf } from './pack'
import { speakerWatts } from './speaker'
import { idleCurrent } from './storage'

/**
 * Mean current over the use profile, A: lit for its share with the speaker, on and dark otherwise. A brightness that the board
 * is set to limits the lit current already; one that is only how bright it is used on the whole comes in here.
 */
export function meanCurrent(saber: Saber, preset: Preset | undefined = saber.presets[0]): Calculated {
  const g = new Gather()
  if (!preset) g.missing('a preset for the colour')
  const share = g.take('share of time lit', saber.use.litShare)
  const set = saber.use.brightness.source === 'configured'
  const bright = set ? 100 : g.take('mean brightness', saber.use.brightness)
  const lit = g.from('current lit', litCurrent(saber, preset ? colourOf(preset) : WHITE, preset))
  const idle = g.from('current on and dark', idleCurrent(saber))
  const sound = speakerMeanAmps(saber, g)
  return g.figure(
    'A',
    'share × ((lit − idle) × brightness + speaker) + idle',
    'use profile of this saber',
    () => (share / 100) * ((lit - idle) * (bright / 100) + sound) + idle,
  )
}

export interface Runtime {
  minutes: Calculated
  curve: Discharge['curve']
}

/** Minutes of use from a full cell under the saber's use profile, by integrating the discharge. */
export function runtime(saber: Saber, preset: Preset | undefined = saber.presets[0]): Runtime {
  const g = new Gather()
  const pack = packOf(saber)
  const cell = pack.cells[0]
  const ref = cell && refTo('part', cell.id)
  if (!cell) g.missing('a cell')
  if (!preset) g.missing('a preset for the colour')
  const capacity = g.take('capacity', cell?.specs.capacity, ref)
  const resistance = g.take('internal resistance', cell?.specs.resistance, ref)
  const cutoff = g.take('cut-off voltage', cell?.specs.cutoffVolts, ref)
  const nominal = g.take('nominal voltage', cell?.specs.nominalVolts, ref)
  notePack(g, pack)
  const lit = g.from('current lit', litCurrent(saber, preset ? colourOf(preset) : WHITE, preset))
  const mean = g.from('mean current', meanCurrent(saber, preset))
  if (mean <= 0) g.missing('a mean current above nothing')
  let curve: Discharge['curve'] = []
  const minutes = g.figure(
    'min',
    '∫ dSoC until OCV(soc) − I·R = cut-off',
    'discharge with internal resistance, steps of 0.5 %',
    () => {
      const d = discharge({
        capacityMah: capacity * pack.parallel,
        internalOhms: (resistance / 1000) * (pack.series / pack.parallel),
        series: pack.series * cellsIn(nominal),
        cutoffVolts: cutoff * pack.series,
        meanAmps: mean * pack.stepDown,
        peakAmps: lit * pack.stepDown,
      })
      curve = d.curve
      return d.minutes
    },
  )
  return { minutes, curve }
}

/** Mean speaker current: a third of the peak electrical power at the shipped volume, at 3.7 V. Optional: without volume or speaker it counts as nothing and says so. */
function speakerMeanAmps(saber: Saber, g: Gather): number {
  const p = speakerWatts(saber, saber.use.volume)
  if (!p.ok) {
    g.note('speaker', 'not counted: volume or speaker not recorded', true)
    return 0
  }
  g.note('speaker, mean', `${formatNumber(MAKER, p.value / 3, 2)} W`, p.about)
  return p.value / 3 / 3.7
}
