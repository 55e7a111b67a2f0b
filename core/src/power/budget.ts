import { type Calculated, Gather } from '../findings/figure'
import { layOut, socketSpan, spanOf } from '../hilt/geometry'
import { known, type NumberFact } from '../record/fact'
import type { Blade, FittedPart, Preset, Saber, Zone } from '../record/schema'
import { formatNumber } from '../units/format'
import { type Discharge, discharge, ocv } from './discharge'
import { cellsIn, notePack, packOf } from './pack'
import { chooseResistor, type ResistorChoice } from './resistor'
import { wireGuideAmps, wireOhms } from './wire'

/** Channel levels 0…1 as the board is told them: a hex digit pair is a duty of v/255. */
export function levels(hex: string): [number, number, number] {
  if (!/^#[0-9a-f]{6}$/.test(hex)) throw new RangeError(`levels: not a colour "#rrggbb": ${hex}`)
  return [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16) / 255) as [number, number, number]
}

export const WHITE = '#ffffff'
const MODEL = 'Σ over pixels: idle + Σ channel max × level'

/** Pixels that a blade carries in all its strips: lit length × density × strips, rounded down per strip. */
export function pixels(saber: Saber, b: Blade): Calculated {
  const g = new Gather()
  const ref = `blade:${b.id}`
  const length = g.take(`length of ${b.name}`, b.length, ref)
  const density = g.take(`LED density of ${b.name}`, b.density, ref)
  const strips = g.take(`strips in ${b.name}`, b.strips, ref)
  const socket = saber.hilt.sockets.find((k) => k.id === b.socket)
  const seat = g.take('socket depth', socket?.depth, `socket:${b.socket}`)
  return g.figure(
    '×',
    '⌊(tube − seat) × density⌋ × strips',
    'lit length times density',
    () => Math.floor(((length - seat) / 1000) * density) * strips,
  )
}

/** Current of a blade showing one colour over its whole length, A. A string blade has one colour: all its groups lit, or none for black. */
export function bladeCurrent(saber: Saber, b: Blade, colour: string): Calculated {
  const g = new Gather()
  if (b.kind === 'string') {
    const n = g.take(`groups of ${b.name}`, b.groups, `blade:${b.id}`)
    const mA = g.take(`current of a group of ${b.name}`, b.groupCurrent, `blade:${b.id}`)
    const lit = levels(colour).some((l) => l > 0) ? 1 : 0
    return g.figure('A', 'groups × current of a group ÷ 1000', 'groups in parallel', () => (lit * n * mA) / 1000)
  }
  const ref = `blade:${b.id}`
  const n = g.from(`pixels of ${b.name}`, pixels(saber, b))
  const channel = g.take('current per channel', b.channelCurrent, ref)
  const idle = g.take('idle current per pixel', b.idleCurrent, ref)
  g.note('colour', colour)
  return g.figure(
    'A',
    'n × (idle + Σ channel × level) ÷ 1000',
    MODEL,
    () => (n * (idle + channel * levels(colour).reduce((a, l) => a + l, 0))) / 1000,
  )
}

/** Current of another zone (crystal, accent, chassis strip), A. A zone that follows another shows its colour and still draws its own current. */
export function zoneCurrent(z: Zone, colour: string): Calculated {
  const g = new Gather()
  const ref = `zone:${z.id}`
  const n = g.take(`LEDs in ${z.name}`, z.leds, ref)
  const channel = g.take(`channel current of ${z.name}`, z.channelCurrent, ref)
  const idle = g.take(`idle current of ${z.name}`, z.idleCurrent, ref)
  return g.figure(
    'A',
    'n × (idle + Σ channel × level) ÷ 1000',
    MODEL,
    () => (n * (idle + channel * levels(colour).reduce((a, l) => a + l, 0))) / 1000,
  )
}

/** Blades lit together when the saber is at its worst: the shipped or to-be-bought one in every socket, the hungriest where there are several. */
export function litBlades(saber: Saber): Blade[] {
  return saber.hilt.sockets.flatMap((k) => {
    const here = saber.blades.filter((b) => b.socket === k.id && (b.kind === 'pixel' || b.kind === 'string'))
    const shipped = here.filter((b) => b.use !== 'demo')
    const pool = shipped.length ? shipped : here
    return pool.toSorted((a, b) => (known(b.length) ?? 0) - (known(a.length) ?? 0)).slice(0, 1)
  })
}

/** Everything that draws current with the blade lit in one colour: blades, zones, board, speaker. */
export function litCurrent(saber: Saber, colour: string): Calculated {
  const g = new Gather()
  const blades = litBlades(saber)
  let sum = 0
  if (!blades.length && !saber.zones.length && !saber.parts.some((p) => p.kind === 'inHiltLed'))
    g.missing('a blade or a light')
  for (const b of blades) sum += g.from(b.name, bladeCurrent(saber, b, colour))
  for (const z of saber.zones.filter((q) => !q.blade)) sum += g.from(z.name, zoneCurrent(z, colour))
  for (const p of saber.parts) {
    if (p.kind === 'board' || p.kind === 'auxBoard' || p.kind === 'display') {
      const idle = known(p.specs.idleCurrent)
      if (p.kind === 'board' || idle !== undefined)
        sum += g.take(`idle current of ${p.name}`, p.specs.idleCurrent, `part:${p.id}`) / 1000
    }
    if (p.kind === 'inHiltLed')
      sum +=
        (g.take(`current of ${p.name}`, p.specs.channelCurrent, `part:${p.id}`) *
          levels(colour).reduce((a, l) => a + l, 0)) /
        1000
  }
  return g.figure('A', 'Σ blades + Σ zones + boards', MODEL, () => sum)
}

/** One rating held against what it must carry. */
export interface Rating {
  name: string
  ref: string
  ratedAmps: number
  /** Load ÷ rating. */
  share: number
  load: Calculated
}

/** Ratings of all that the blade's current passes, worst first; what lacks a rating is in `needs`. */
export function ratings(saber: Saber, colour = WHITE): { list: Rating[]; needs: { name: string; ref: string }[] } {
  const load = litCurrent(saber, colour)
  const list: Rating[] = []
  const needs: { name: string; ref: string }[] = []
  const hold = (p: FittedPart, name: string, rated: number | undefined, share = 1) => {
    const ref = `part:${p.id}`
    if (rated === undefined) needs.push({ name: `the rating of ${p.name}`, ref })
    else if (load.ok) list.push({ name, ref, ratedAmps: rated, share: (load.value * share) / rated, load })
  }
  const supply = packOf(saber)
  for (const p of saber.parts) {
    if (p.kind === 'cell')
      hold(
        p,
        p.protected ? `${p.name}, cell and protection` : p.name,
        known(p.specs.contCurrent),
        supply.stepDown / supply.parallel,
      )
    if (p.kind === 'connector' || p.kind === 'contactBoard') {
      const [pin, n] = [known(p.specs.pinCurrent), known(p.specs.pins)]
      hold(p, `${p.name}, pins`, pin === undefined || n === undefined ? undefined : pin * n)
    }
    if (['killSwitch', 'killKey'].includes(p.kind) || (p.kind === 'board' && known(p.specs.contCurrent) !== undefined))
      hold(p, p.name, known(p.specs.contCurrent))
    if (p.kind === 'wire' && p.carries !== 'signal') {
      const awg = known(p.specs.gauge)
      hold(p, p.name, awg === undefined ? undefined : wireGuideAmps(Math.round(awg)))
    }
  }
  return { list: list.sort((a, b) => b.share - a.share), needs }
}

/** Voltage lost in the fitted wire between cell and connector, both ways, V. */
export function wireDrop(saber: Saber, colour = WHITE): Calculated {
  const g = new Gather()
  const wire = saber.parts.find((p) => p.kind === 'wire' && p.carries !== 'signal')
  if (!wire) g.missing('the wire from cell to connector')
  const awg = g.take('wire gauge', wire?.specs.gauge, wire && `part:${wire.id}`)
  const length = wire?.specs.length
    ? g.take('wire length, one way', wire.specs.length, `part:${wire.id}`)
    : runLength(saber, g)
  const amps = g.from('current', litCurrent(saber, colour))
  return g.figure('V', 'I × 2ρL/A', 'ρ(Cu) = 1.724e-8 Ω·m; AWG by ASTM B258', () => amps * wireOhms(awg, 2 * length))
}

/** Below this the blue and white dies of a pixel sag, V (their forward voltage is 3.0 to 3.4). */
export const FAR_LED_VOLTS = 3.3

/**
 * Voltage at the last pixel of a blade with a half-charged cell: what the cell gives under the whole load, less both ways
 * of the wire, less the strip. A strip's load is spread evenly, so it costs half of what all its current would: I·R·L/2.
 */
export function farLedVolts(saber: Saber, b: Blade, colour = WHITE): Calculated {
  const g = new Gather()
  const pack = packOf(saber)
  const cell = pack.cells[0]
  const ref = cell && `part:${cell.id}`
  if (!cell) g.missing('a cell')
  const nominal = g.take('nominal voltage', cell?.specs.nominalVolts, ref)
  const inner = g.take('internal resistance', cell?.specs.resistance, ref)
  notePack(g, pack)
  const whole = g.from('current of the whole saber', litCurrent(saber, colour))
  const wire = g.from('lost in the wire', wireDrop(saber, colour))
  const own = g.from(`current of ${b.name}`, bladeCurrent(saber, b, colour))
  const strips = g.take(`strips in ${b.name}`, b.strips, `blade:${b.id}`)
  const perMetre = g.take(`resistance of a metre of strip in ${b.name}`, b.stripResistance, `blade:${b.id}`)
  const length = g.take(`length of ${b.name}`, b.length, `blade:${b.id}`)
  const socket = saber.hilt.sockets.find((k) => k.id === b.socket)
  const depth = g.take('socket depth', socket?.depth, `socket:${b.socket}`)
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

/** Current of one light in one look. */
export interface LookCurrent {
  look: string
  colour: string
  current: Calculated
}
export interface ZoneBudget {
  ref: string
  name: string
  looks: LookCurrent[]
}

/** The looks of a preset: its steady colour, full white, and every effect it colours. */
export function looksOf(preset: Preset | undefined): { look: string; colour: string }[] {
  return [
    ...(preset ? [{ look: 'steady', colour: preset.colour }] : []),
    ...Object.entries(preset?.effects ?? {}).map(([look, colour]) => ({ look, colour })),
    { look: 'white', colour: WHITE },
  ]
}

/** What every light draws in every look of a preset: blades, and zones with a life or a leader of their own. */
export function zoneBudget(saber: Saber, preset: Preset | undefined = saber.presets[0]): ZoneBudget[] {
  const looks = looksOf(preset)
  return [
    ...litBlades(saber).map((b) => ({
      ref: `blade:${b.id}`,
      name: b.name,
      looks: looks.map((l) => ({ ...l, current: bladeCurrent(saber, b, l.colour) })),
    })),
    ...saber.zones
      .filter((z) => !z.blade)
      .map((z) => ({
        ref: `zone:${z.id}`,
        name: z.name,
        looks: looks.map((l) => ({ ...l, current: zoneCurrent(z, l.colour) })),
      })),
  ]
}

/** Mean current over the use profile, A: lit for its share at its mean brightness with the speaker, idle otherwise. */
export function meanCurrent(saber: Saber, preset: Preset | undefined = saber.presets[0]): Calculated {
  const g = new Gather()
  if (!preset) g.missing('a preset for the colour')
  const share = g.take('share of time lit', saber.use.litShare)
  const bright = g.take('mean brightness', saber.use.brightness)
  const lit = g.from('current lit', litCurrent(saber, preset?.colour ?? WHITE))
  const idle = boardIdle(saber, g)
  const sound = speakerMeanAmps(saber, g)
  return g.figure(
    'A',
    'share × ((lit − idle) × brightness + speaker) + idle',
    'use profile of this saber',
    () => (share / 100) * ((lit - idle) * (bright / 100) + sound) + idle,
  )
}

function runLength(saber: Saber, g: Gather): number {
  const shape = layOut(saber.hilt)
  const cell = saber.parts.find((p) => p.kind === 'cell')
  const span = cell && spanOf(cell)
  const seat = saber.hilt.sockets.map((k) => socketSpan(saber, k.id, shape)).find(Boolean)
  if (!span || !seat) g.missing('the wire length')
  const mm = span && seat ? Math.max(0, seat.x0 - span.x0) : Number.NaN
  if (span && seat) g.note('wire run, cell to socket', `${formatNumber(mm, 0)} mm`, true)
  return mm
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
  const ref = cell && `part:${cell.id}`
  if (!cell) g.missing('a cell')
  if (!preset) g.missing('a preset for the colour')
  const capacity = g.take('capacity', cell?.specs.capacity, ref)
  const resistance = g.take('internal resistance', cell?.specs.resistance, ref)
  const cutoff = g.take('cut-off voltage', cell?.specs.cutoffVolts, ref)
  const nominal = g.take('nominal voltage', cell?.specs.nominalVolts, ref)
  notePack(g, pack)
  const lit = g.from('current lit', litCurrent(saber, preset?.colour ?? WHITE))
  const mean = g.from('mean current', meanCurrent(saber, preset))
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

function boardIdle(saber: Saber, g: Gather): number {
  const board = saber.parts.find((p) => p.kind === 'board')
  if (!board) g.missing('a sound board')
  return g.take('board, idle', board?.specs.idleCurrent, board && `part:${board.id}`) / 1000
}

/** Mean speaker current: a third of the peak electrical power at the shipped volume, at 3.7 V. Optional: without volume or speaker it counts as nothing and says so. */
function speakerMeanAmps(saber: Saber, g: Gather): number {
  const p = speakerWatts(saber, saber.use.volume)
  if (!p.ok) {
    g.note('speaker', 'not counted: volume or speaker not recorded', true)
    return 0
  }
  g.note('speaker, mean', `${formatNumber(p.value / 3, 2)} W`, p.about)
  return p.value / 3 / 3.7
}

/** Electrical power at a volume of 0…100: (Vrms·v)²/Z, since volume is amplitude. W. */
export function speakerWatts(saber: Saber, volume: NumberFact | undefined): Calculated {
  const g = new Gather()
  const speaker = saber.parts.find((p) => p.kind === 'speaker')
  const board = saber.parts.find((p) => p.kind === 'board')
  if (!speaker) g.missing('a speaker')
  if (!board) g.missing('a sound board')
  const v = g.take('volume', volume)
  const z = g.take('impedance', speaker?.specs.impedance, speaker && `part:${speaker.id}`)
  const rms = g.take("board's highest output", board?.specs.maxRms, board && `part:${board.id}`)
  return g.figure(
    'W',
    '(Vrms × volume)² ÷ Z',
    'volume is amplitude, so power goes with its square',
    () => (rms * v * 0.01) ** 2 / z,
  )
}

/** The highest volume setting at which the speaker stays within its rating, 0…100. */
export function safeVolume(saber: Saber): Calculated {
  const g = new Gather()
  const speaker = saber.parts.find((p) => p.kind === 'speaker')
  const board = saber.parts.find((p) => p.kind === 'board')
  if (!speaker) g.missing('a speaker')
  if (!board) g.missing('a sound board')
  const z = g.take('impedance', speaker?.specs.impedance, speaker && `part:${speaker.id}`)
  const p = g.take('rated power', speaker?.specs.ratedWatts, speaker && `part:${speaker.id}`)
  const rms = g.take("board's highest output", board?.specs.maxRms, board && `part:${board.id}`)
  return g.figure('%', 'min(100, √(P·Z) ÷ Vrms × 100), rounded down', 'P = Vrms²/Z', () =>
    Math.min(100, Math.floor((Math.sqrt(p * z) / rms) * 100)),
  )
}

/** Self-discharge of lithium-ion at room temperature, share of the capacity a month: usual, not a datasheet's. */
const SELF_DISCHARGE = 0.03
const MONTH_H = 30 * 24

/** The ways to leave a saber, and what still draws current then. */
export const LEFT_WAYS = ['on', 'asleep', 'deepSleep', 'cut', 'cellOut'] as const
export type LeftWay = (typeof LEFT_WAYS)[number]

/**
 * Hours until a saber left in one way has emptied its cell: awake, asleep, in deep sleep, with the power cut by switch or
 * key, or with the cell taken out. What the way leaves connected draws its current, and self-discharge always goes on.
 */
export function standby(saber: Saber, how: LeftWay): Calculated {
  const g = new Gather()
  const pack = packOf(saber)
  const cell = pack.cells[0]
  if (!cell) g.missing('a cell')
  const capacity = g.take('capacity', cell?.specs.capacity, cell && `part:${cell.id}`) * Math.max(1, pack.parallel)
  notePack(g, pack)
  let mA = 0
  const boards = saber.parts.filter((p) => p.kind === 'board' || p.kind === 'auxBoard' || p.kind === 'display')
  const board = boards.find((b) => b.kind === 'board')
  if (how !== 'cut' && how !== 'cellOut') {
    if (!board) g.missing('a sound board')
    const key = how === 'on' ? 'idleCurrent' : how === 'asleep' ? 'sleepCurrent' : 'deepSleepCurrent'
    const word = { idleCurrent: 'idle', sleepCurrent: 'sleep', deepSleepCurrent: 'deep-sleep' }[key]
    for (const b of boards)
      if (b.kind === 'board' || b.specs[key]) mA += g.take(`${word} current of ${b.name}`, b.specs[key], `part:${b.id}`)
    // Pixels draw their idle current while they are powered; asleep, a board with a switched output cuts them off.
    for (const blade of litBlades(saber).filter((b) => b.kind === 'pixel')) {
      if (how === 'on') {
        const n = pixels(saber, blade)
        mA += g.from(`pixels of ${blade.name}`, n) * g.take(`idle current of ${blade.name}`, blade.idleCurrent)
      } else g.note(`${blade.name}, asleep`, 'taken as switched off by the board', true)
    }
  }
  g.note(
    'self-discharge',
    `${SELF_DISCHARGE * 100} % a month, usual at room temperature`,
    how === 'cut' || how === 'cellOut',
  )
  return g.figure(
    'h',
    'capacity ÷ (Σ current + self-discharge)',
    'standby: what stays connected, and the cell itself',
    () => capacity / (mA * pack.stepDown + (SELF_DISCHARGE * capacity) / MONTH_H),
  )
}

/** Charging time, CC–CV: about 1.3 × capacity ÷ current, h. */
export function chargeTime(saber: Saber): Calculated {
  const g = new Gather()
  const pack = packOf(saber)
  const cell = pack.cells[0]
  const source = saber.parts.find((p) => p.kind === 'chargePort') ?? saber.parts.find((p) => p.kind === 'charger')
  if (!cell) g.missing('a cell')
  if (!source) g.missing('a charge port or charger')
  const capacity = g.take('capacity', cell?.specs.capacity, cell && `part:${cell.id}`) * Math.max(1, pack.parallel)
  const limits = [g.take('charge current', source?.specs.chargeCurrent, source && `part:${source.id}`)]
  if (cell?.specs.chargeCurrent)
    limits.push(g.take("the cell's charge current", cell.specs.chargeCurrent, `part:${cell.id}`) * pack.parallel)
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
      (g.take(`capacity of ${c.name}`, c.specs.capacity, `part:${c.id}`) / 1000) *
      g.take(`nominal voltage of ${c.name}`, c.specs.nominalVolts, `part:${c.id}`)
  return g.figure('Wh', 'Σ V × Ah', 'Wh = V·Ah', () => wh)
}

/** The series resistor of each accent or in-hilt LED, from cell to LED: value, rating, and whether it goes dark at the empty cell. */
export function ledResistors(saber: Saber): { part: FittedPart; ohms: Calculated; choice?: ResistorChoice }[] {
  const cell = saber.parts.find((p) => p.kind === 'cell')
  return saber.parts
    .filter((p) => p.kind === 'accentLed' || p.kind === 'inHiltLed')
    .map((part) => {
      const g = new Gather()
      const ref = `part:${part.id}`
      if (!cell) g.missing('a cell')
      const full = g.take('full voltage', cell?.specs.fullVolts, cell && `part:${cell.id}`)
      const empty = g.take('cut-off voltage', cell?.specs.cutoffVolts, cell && `part:${cell.id}`)
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
