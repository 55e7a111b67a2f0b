import { cropped, drawSection, numbered, type Scene } from '../drawing'
import { type Apart, apartIn, machineOf, OPENED, runAll, type State } from '../machine'
import { colourOf, type Ref, type Saber } from '../record'
import type { Reader } from '../units'
import type { FrozenProcedure } from './procedures'

/** Bench beyond a saber that lies apart, mm; paper round a drawing, px. */
const AIR = 14
const PAPER = 6

interface Size {
  width: number
  height: number
}
type Stretch = Pick<Apart, 'from' | 'to'>

/** A saber as it lies, in lines, on a stretch of the bench. */
function lying(reader: Reader, s: Saber, apart: Apart, bench: Stretch, size: Size, tight = false): Scene {
  const [first] = s.presets
  return drawSection(reader, s, {
    ...{ ...size, apart, from: bench.from - AIR, to: bench.to + AIR, tight },
    ...(first ? { blade: colourOf(first) } : {}),
  })
}

/** How the saber lies before the first act of a procedure, and after each. */
export function statesIn(s: Saber, p: FrozenProcedure): State[] {
  const { assembly, rest } = machineOf(s)
  const out: State[] = [p.from ?? rest]
  for (const x of p.acts) out.push(runAll(assembly, out.at(-1)!, x.does).state)
  return out
}

/** The procedure by which a client opens it furthest; undefined where nothing comes out by his hands. */
export const farthestOf = (all: readonly FrozenProcedure[], saber: string): FrozenProcedure | undefined =>
  OPENED.flatMap((goal) => all.filter((p) => p.saber === saber && p.goal === goal && p.turn > 0))[0]

/** A saber as far apart as its client takes it, numbered as his hands go. */
export function takenApart(reader: Reader, s: Saber, p: FrozenProcedure, size: Size): Scene {
  const { assembly } = machineOf(s)
  const apart = apartIn(s, assembly, statesIn(s, p)[p.turn]!)
  const marks = p.acts.slice(0, p.turn).flatMap((x, i) => (x.place ? [{ ref: x.place as Ref, n: i + 1 }] : []))
  return cropped(numbered(lying(reader, s, apart, apart, size), marks), PAPER)
}

/** How it lies after each act of a procedure, drawn, all to one scale. */
export function actScenes(reader: Reader, s: Saber, p: FrozenProcedure, size: Size): Scene[] {
  const { assembly } = machineOf(s)
  const aparts = statesIn(s, p)
    .slice(1)
    .map((state) => apartIn(s, assembly, state))
  const bench = { from: Math.min(...aparts.map((a) => a.from)), to: Math.max(...aparts.map((a) => a.to)) }
  return aparts.map((a) => lying(reader, s, a, bench, size, true))
}
