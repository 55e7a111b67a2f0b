import { type Calculated, Gather, known } from '../facts'
import { type DieColour, drive, duties } from '../light'
import {
  type Blade,
  type FittedPart,
  keyWords,
  lightIn,
  type Preset,
  refTo,
  type Saber,
  WHITE,
  type Zone,
} from '../record'
import { formatNumber, MAKER } from '../units'
import { dieDuty } from './dies'
import { ledsOf, pixels } from './pixels'

/** The basis of every light's current. */
const MODEL = 'Σ over pixels: idle + Σ channel max × duty; duty by sRGB'
const BY_DIES = 'Σ over pixels: idle + Σ channel max × duty; duty by the primaries of its dies, white at D65'
const FORMULA = 'n × (idle + brightness × Σ channel × duty) ÷ 1000'

/**
 * How bright the board is set, 0…1: what is read off the configuration limits every colour. A brightness that nobody read
 * there is how bright it is used on the whole, and limits nothing.
 */
export const brightnessLimit = (saber: Saber): number => {
  const { brightness } = saber.use
  return brightness.source === 'configured' ? Math.min(1, (known(brightness) ?? 100) / 100) : 1
}
const noteLimit = (g: Gather, limit: number) => {
  if (limit < 1) g.note('brightness, as configured', `${formatNumber(MAKER, limit * 100, 0)} %`)
}
/** Σ duty of the dies of a pixel for a colour; by sRGB where nobody has said which dies it has. */
const sum = (colour: string, dies?: readonly DieColour[]) =>
  (dies?.length ? drive(colour, dies) : duties(colour)).reduce((a, l) => a + l, 0)

/** Current of a blade showing one colour over its whole length, A. A string blade has one colour: all its groups lit, or none for black. */
export function bladeCurrent(saber: Saber, b: Blade, colour: string): Calculated {
  const g = new Gather()
  if (b.kind === 'string') {
    const n = g.take(`groups of ${b.name}`, b.groups, refTo('blade', b.id))
    const mA = g.take(`current of a group of ${b.name}`, b.groupCurrent, refTo('blade', b.id))
    const lit = sum(colour) > 0 ? 1 : 0
    return g.figure('A', 'groups × current of a group ÷ 1000', 'groups in parallel', () => (lit * n * mA) / 1000)
  }
  const ref = refTo('blade', b.id)
  const n = g.from(`pixels of ${b.name}`, pixels(saber, b))
  const channel = g.take('current per channel', b.channelCurrent, ref)
  const idle = g.take('idle current per pixel', b.idleCurrent, ref)
  g.note('colour', colour)
  const limit = brightnessLimit(saber)
  noteLimit(g, limit)
  if (b.dies?.length) g.note('dies', b.dies.map((d) => keyWords(d)).join(', '))
  const basis = b.dies?.length ? BY_DIES : MODEL
  return g.figure('A', FORMULA, basis, () => (n * (idle + limit * channel * sum(colour, b.dies))) / 1000)
}

/** Current of another zone (crystal, accent, chassis strip), A. A zone that follows another shows its colour and still draws its own current. */
export function zoneCurrent(saber: Saber, z: Zone, colour: string): Calculated {
  const g = new Gather()
  const ref = refTo('zone', z.id)
  const what = `LEDs in ${z.name}`
  const n = known(z.leds) === undefined ? g.from(what, ledsOf(saber, z)) : g.take(what, z.leds, ref)
  const channel = g.take(`channel current of ${z.name}`, z.channelCurrent, ref)
  const idle = g.take(`idle current of ${z.name}`, z.idleCurrent, ref)
  const limit = brightnessLimit(saber)
  noteLimit(g, limit)
  if (z.dies?.length) g.note('dies', z.dies.map((d) => keyWords(d)).join(', '))
  const basis = z.dies?.length ? BY_DIES : MODEL
  return g.figure('A', FORMULA, basis, () => (n * (idle + limit * channel * sum(colour, z.dies))) / 1000)
}

/**
 * Current of an in-hilt module in one colour, A: a single die shines by the brightest channel, three dies are red, green and
 * blue, more share the channels evenly; dies that are recorded shine by their own colours with their own currents.
 */
export function moduleCurrent(saber: Saber, p: FittedPart, colour: string): Calculated {
  const g = new Gather()
  const ref = refTo('part', p.id)
  const limited = brightnessLimit(saber)
  if (p.dies?.length) {
    const mA = p.dies.map((d) => g.take(`current of ${d.name} of ${p.name}`, d.current, refTo('die', d.id)))
    noteLimit(g, limited)
    return g.figure('A', 'brightness × Σ current of a die × its duty ÷ 1000', MODEL, () =>
      p.dies!.reduce((a, d, i) => a + (limited * mA[i]! * dieDuty(duties(colour), known(d.colour))) / 1000, 0),
    )
  }
  const dies = g.take(`dies of ${p.name}`, p.specs.dies, ref)
  const each = g.take(`current of a die of ${p.name}`, p.specs.channelCurrent, ref)
  noteLimit(g, limited)
  const duty = dies === 1 ? Math.max(...duties(colour)) : (dies * sum(colour)) / 3
  return g.figure(
    'A',
    'brightness × current of a die × Σ duty over dies ÷ 1000',
    MODEL,
    () => (limited * each * duty) / 1000,
  )
}

/** Blades lit together when the saber is at its worst: one in every socket, of those that ship or are to be bought, the one that draws most at white. */
export function litBlades(saber: Saber): Blade[] {
  const hunger = (b: Blade) => {
    const c = bladeCurrent(saber, b, WHITE)
    return c.ok ? c.value : -1
  }
  return saber.hilt.sockets.flatMap((k) => {
    const here = saber.blades.filter((b) => b.socket === k.id && (b.kind === 'pixel' || b.kind === 'string'))
    const shipped = here.filter((b) => b.use !== 'demo')
    const pool = shipped.length ? shipped : here
    return pool.toSorted((a, b) => hunger(b) - hunger(a)).slice(0, 1)
  })
}

/** The colour that a light has of its own in a preset; that of the blade where it goes with it, or nobody has said. */
export function ownOr(saber: Saber, preset: Preset | undefined, z: Zone, blade: string): string {
  const own = preset && lightIn(saber, preset, z)
  return (own?.blade ? undefined : own?.colour) ?? blade
}

/**
 * Everything that draws current with the blade lit in one colour: blades, zones, board, speaker. Lights with a colour of their own in a
 * preset draw by that; the others, and those of which nobody has said anything, as the blade.
 */
export function litCurrent(saber: Saber, colour: string, preset?: Preset): Calculated {
  const g = new Gather()
  const blades = litBlades(saber)
  let all = 0
  if (!blades.length && !saber.zones.length && !saber.parts.some((p) => p.kind === 'inHiltLed'))
    g.missing('a blade or a light')
  for (const b of blades) all += g.from(b.name, bladeCurrent(saber, b, colour))
  for (const z of saber.zones.filter((q) => !q.blade))
    all += g.from(z.name, zoneCurrent(saber, z, ownOr(saber, preset, z, colour)))
  for (const p of saber.parts) {
    if (p.kind === 'board' || p.kind === 'auxBoard' || p.kind === 'display') {
      const idle = known(p.specs.idleCurrent)
      if (p.kind === 'board' || idle !== undefined)
        all += g.take(`idle current of ${p.name}`, p.specs.idleCurrent, refTo('part', p.id)) / 1000
    }
    if (p.kind === 'inHiltLed') all += g.from(p.name, moduleCurrent(saber, p, colour))
  }
  return g.figure('A', 'Σ blades + Σ zones + boards', MODEL, () => all)
}
