import { known } from '../facts'
import { duties } from '../light'
import { byId, type FittedPart, type Id, type Saber } from '../record'
import { packOf } from './pack'

/** One die as it is judged: its forward voltage, V, the most it takes for good, A, and the resistor of its own. */
interface DieFigures {
  id: string
  name: string
  forward: number | undefined
  amps: number | undefined
  through: Id<'part'> | undefined
  colour: string | undefined
}

/** Whether a part is an LED that is no pixel. */
export const isModule = (p: FittedPart): boolean => p.kind === 'accentLed' || p.kind === 'inHiltLed'

/**
 * The dies of an LED: as each is recorded; one of that forward voltage where it has a single one; undefined where it has several
 * and they are not recorded.
 */
export function diesOf(p: FittedPart): DieFigures[] | undefined {
  const amps = (mA: number | undefined) => (mA === undefined ? undefined : mA / 1000)
  if (p.dies?.length)
    return p.dies.map((d) => ({
      ...{ id: d.id, name: d.name, forward: known(d.forwardVolts), amps: amps(known(d.current)), through: d.through },
      colour: known(d.colour),
    }))
  if ((known(p.specs.dies) ?? 1) > 1) return undefined
  return [
    {
      ...{ id: p.id, name: p.name, forward: known(p.specs.forwardVolts), amps: amps(known(p.specs.channelCurrent)) },
      ...{ through: p.through, colour: undefined },
    },
  ]
}

/** Two dies are alike in parallel up to this, V: beyond it the one of less takes nearly all of the current. */
const ALIKE = 0.1
/** A resistor is within this of its name. */
const TOLERANCE = 0.05
/** Above this a module wants something that carries its heat off, W; beneath, its own body does. */
const WARM = 1

export type DieFault =
  /** Dies of unlike forward voltage side by side on one resistor. */
  | { code: 'unlike'; dies: string[]; volts: number[] }
  /** Nothing limits the current. */
  | { code: 'unlimited' }
  /** A die gets more than it takes, A. */
  | { code: 'over'; id: string; die: string; amps: number; takes: number; ohms: number }
  /** Dies in series want more than the pack gives when it is full, V. */
  | { code: 'dark'; wants: number; pack: number }
  /** Nobody has said what limits the current. */
  | { code: 'howFed' }
  /** It has several dies, and they are not recorded. */
  | { code: 'unsaid' }
  /** Its heat, W, is more than its heatsink carries off; or it has none. */
  | { code: 'hot'; watts: number; takes: number; sink: string }
  | { code: 'noSink'; watts: number }

/** What is wrong with how an LED is fed and cooled. A chip of its own or a driver limits the current by itself. */
export function dieFaults(saber: Saber, p: FittedPart): DieFault[] {
  // What is a light of its own by the board's count has a chip.
  if (p.fed === undefined && saber.zones.some((z) => z.part === p.id)) return []
  const dies = diesOf(p)
  if (!dies) return p.fed === 'addressable' ? [] : [{ code: 'unsaid' }]
  return [...(p.fed === 'driver' || p.fed === 'addressable' ? [] : onResistor(saber, p, dies)), ...heat(saber, p)]
}

function onResistor(saber: Saber, p: FittedPart, dies: readonly DieFigures[]): DieFault[] {
  const ohmsOf = (id: string | undefined) => known(byId(saber.parts, id)?.specs.ohms)
  const pack = packOf(saber)
  const full = known(pack.cells[0]?.specs.fullVolts)
  const volts = full === undefined ? undefined : full * pack.series
  const sum = (xs: (number | undefined)[]) =>
    xs.reduce<number | undefined>((a, x) => (a === undefined || x === undefined ? undefined : a + x), 0)
  const over = ({ id, name }: DieFigures, amps: number, takes: number, ohms: number): DieFault[] =>
    amps > takes * (1 + TOLERANCE) + 1e-9 ? [{ code: 'over', id, die: name, amps, takes, ohms }] : []
  const shared = dies.filter((d) => !d.through || d.through === p.through)
  const own = dies.filter((d) => d.through && d.through !== p.through)
  const out: DieFault[] = own.flatMap((d): DieFault[] => {
    const ohms = ohmsOf(d.through)
    if (ohms === undefined || volts === undefined || d.forward === undefined || d.amps === undefined) return []
    return over(d, Math.max(0, volts - d.forward) / ohms, d.amps, ohms)
  })
  if (!shared.length) return out
  const series = p.joined === 'series' && shared.length > 1
  const wants = series ? sum(shared.map((d) => d.forward)) : shared[0]!.forward
  if (series && wants !== undefined && volts !== undefined && wants >= volts)
    out.push({ code: 'dark', wants, pack: volts })
  const through = p.through ?? shared[0]!.through
  if (!through) {
    const nothing = p.fed === 'resistor' || !saber.parts.some((q) => q.kind === 'resistor')
    // Where resistors are fitted and none is named, which of them it is for is asked of the resistor.
    if (nothing) out.push(p.fed === 'resistor' ? { code: 'unlimited' } : { code: 'howFed' })
    return out
  }
  if (!series && shared.length > 1) {
    const said = shared.flatMap((d) => (d.forward === undefined ? [] : [{ name: d.name, v: d.forward }]))
    const [least, most] = [Math.min(...said.map((d) => d.v)), Math.max(...said.map((d) => d.v))]
    if (said.length > 1 && most - least > ALIKE + 1e-9)
      return [...out, { code: 'unlike', dies: said.map((d) => d.name), volts: said.map((d) => d.v) }]
  }
  const ohms = ohmsOf(through)
  if (ohms === undefined || volts === undefined || wants === undefined) return out
  const each = Math.max(0, volts - wants) / ohms / (series ? 1 : shared.length)
  const weakest = shared
    .flatMap((d) => (d.amps === undefined ? [] : [{ ...d, amps: d.amps }]))
    .toSorted((a, b) => a.amps - b.amps)[0]
  return weakest ? [...out, ...over(weakest, each, weakest.amps, ohms)] : out
}

/** The heat of a module with every die on, taken as all that it draws, W. */
export function moduleWatts(p: FittedPart): number | undefined {
  const dies = p.fed === 'addressable' ? undefined : diesOf(p)
  if (!dies?.every((d) => d.forward !== undefined && d.amps !== undefined)) return undefined
  return dies.reduce((w, d) => w + d.forward! * d.amps!, 0)
}

function heat(saber: Saber, p: FittedPart): DieFault[] {
  const watts = moduleWatts(p)
  if (p.kind !== 'inHiltLed' || watts === undefined || watts <= WARM) return []
  const sinks = saber.parts.filter((q) => q.kind === 'heatsink')
  if (!sinks.length) return [{ code: 'noSink', watts }]
  const takes = sinks.flatMap((q) => known(q.specs.ratedWatts) ?? [])
  const all = takes.reduce((a, b) => a + b, 0)
  return takes.length === sinks.length && watts > all
    ? [{ code: 'hot', watts, takes: all, sink: sinks.map((q) => q.name).join(', ') }]
    : []
}

/** How much of a colour, as duties of its channels, a die of its own colour shows, 0…1; one without a colour shines by the brightest channel. */
export function dieDuty(colour: readonly [number, number, number], die: string | undefined): number {
  if (!die) return Math.max(...colour)
  const own = duties(die)
  const total = own.reduce((a, b) => a + b, 0)
  return total > 0 ? own.reduce((a, w, i) => a + w * colour[i]!, 0) / total : 0
}
