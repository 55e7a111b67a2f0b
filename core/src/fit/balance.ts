import { type Calculated, Gather, known } from '../facts'
import {
  clipped,
  crossAt,
  inArm,
  layOut,
  mainSocket,
  type Piece,
  type PlacedSection,
  socketSpan,
  spanOf,
} from '../geometry'
import { type Blade, type FittedPart, kindRule, type Ref, refTo, type Saber, type Section } from '../record'

/** Densities, g/cm³, for masses nobody has weighed (handbook values at room temperature). */
export const DENSITY: Record<string, number> = {
  aluminium: 2.7,
  brass: 8.5,
  copper: 8.96,
  steel: 7.85,
  silver: 10.4,
  polycarbonate: 1.2,
  PLA: 1.24,
  resin: 1.17,
  leather: 0.86,
  wood: 0.7,
  other: 2.7,
}

export interface Balance {
  mass: Calculated
  /** Centre of mass from the pommel's rear face. */
  centre: Calculated
  /** Moment about the middle of the grip, N·cm; positive pulls the front down. */
  moment: Calculated
  /** What the sum is made of, heaviest first: g, and where its middle lies, mm from the pommel. */
  loads: MassItem[]
}

interface MassItem {
  name: string
  ref: Ref
  mass: number
  x: number
  /** Nobody has weighed it. */
  about: boolean
}

/** Standard gravity, m/s² (CGPM 1901). */
const G = 9.80665

/** Volume of a frustum ring in cm³ from diameters in mm: π/12·L·(D² + D·d + d²). */
const frustum = (l: number, a: number, b: number) => ((Math.PI / 12) * l * (a * a + a * b + b * b)) / 1000

/** Volume in cm³ of some pieces of a profile, and its moment about the pommel's rear in cm³·mm: a cone's middle lies towards its wide end. */
function solid(list: readonly Piece[]): { volume: number; moment: number } {
  let [volume, moment] = [0, 0]
  for (const p of list) {
    const [l, a, b] = [p.x1 - p.x0, p.d0, p.d1]
    const v = frustum(l, a, b)
    const sum = a * a + a * b + b * b
    volume += v
    moment += v * (p.x0 + (sum > 0 ? (l / 4) * ((a * a + 2 * a * b + 3 * b * b) / sum) : l / 2))
  }
  return { volume, moment }
}
/** Where the middle of the metal of a placed section lies, mm from the pommel; the section's own middle where it has no wall. */
function middleOf(s: PlacedSection): number {
  // Over the length that it has outside and bore of its own; the rest stands in a neighbour.
  const [a, b] = [Math.max(s.outer[0]!.x0, s.bore[0]!.x0), Math.min(s.outer.at(-1)!.x1, s.bore.at(-1)!.x1)]
  const [outer, bore] = [solid(clipped(s.outer, a, b)), solid(clipped(s.bore, a, b))]
  const wall = outer.volume - bore.volume
  return wall > 0 ? (outer.moment - bore.moment) / wall : (s.x0 + s.x1) / 2
}

/**
 * Mass and centre of mass along the hilt: weighed sections as they are, others from profile × density (then "about"),
 * parts by their mass at their middle (named where it is not known), blades from their tubes unless weighed; arms of a crossguard and the blades in them
 * where the arms stand. A blade plug counts only when it is given: it stands on the bottom of the main socket.
 * CG = Σm·x/Σm.
 */
export function balance(saber: Saber, blades: readonly Blade[] = [], plug?: FittedPart): Balance {
  const g = new Gather()
  const shape = layOut(saber.hilt)
  let m = 0
  let mx = 0
  const loads: MassItem[] = []
  const add = (name: string, ref: Ref, mass: number, x: number, about: boolean) => {
    m += mass
    mx += mass * x
    if (mass > 0) loads.push({ name, ref, mass, x, about })
  }
  if (!shape.sections.length) g.missing('the hilt sections')
  /** A weighed section as it is, another from its volume in cm³, whose sizes are asked only then. */
  const metal = (q: Section, x: number, volumeOf: () => number) => {
    const ref = refTo('section', q.id)
    const weighed = known(q.mass)
    if (weighed !== undefined) {
      g.take(`mass of ${q.name}`, q.mass, ref)
      add(q.name, ref, weighed, x, q.mass?.source === 'assumed')
      return
    }
    const volume = volumeOf()
    g.note(`${q.name}, not weighed`, `${volume.toFixed(1)} cm³ × ${DENSITY[q.material]} g/cm³`, true)
    add(q.name, ref, Math.max(0, volume) * DENSITY[q.material]!, x, true)
  }
  for (const s of shape.sections) {
    const ref = refTo('section', s.section.id)
    g.take(`length of ${s.section.name}`, s.section.length, ref)
    metal(s.section, middleOf(s), () => {
      g.take(`outside of ${s.section.name}`, s.section.outside, ref)
      g.take(`bore of ${s.section.name}`, s.section.bore, ref)
      return solid(s.outer).volume - solid(s.bore).volume
    })
  }
  const cross = crossAt(shape) ?? 0
  for (const q of shape.quillons) {
    const ref = refTo('section', q.id)
    metal(q, cross, () => {
      const l = g.take(`length of ${q.name}`, q.length, ref)
      const d = g.take(`outside of ${q.name}`, q.outside, ref)
      const b = g.take(`bore of ${q.name}`, q.bore, ref)
      return frustum(l, d, d) - frustum(l, b, b)
    })
  }
  for (const p of saber.parts) {
    const mass = known(p.specs.mass)
    const span = spanOf(p)
    if (p.kind === 'plug') continue
    if (mass === undefined || !span) {
      // What weighs something and is not counted is said; a tool or a charger is no part of the weight in the hand.
      const rule = kindRule(p.kind)
      if (rule.inside && rule.extras.includes('mass'))
        g.note(p.name, mass === undefined ? 'not weighed: not counted' : 'without a place: not counted', true)
      continue
    }
    g.take(`mass of ${p.name}`, p.specs.mass, refTo('part', p.id))
    add(p.name, refTo('part', p.id), mass, (span.x0 + span.x1) / 2, p.specs.mass?.source === 'assumed')
  }
  if (plug) {
    const ref = refTo('part', plug.id)
    const main = mainSocket(saber, shape)
    const seat = main && socketSpan(saber, main.id, shape)
    if (!seat) g.missing('the socket depth', main && refTo('socket', main.id))
    const mass = g.take(`mass of ${plug.name}`, plug.specs.mass, ref)
    const length = g.take(`length of ${plug.name}`, plug.specs.length, ref)
    add(plug.name, ref, mass, (seat?.x0 ?? 0) + length / 2, plug.specs.mass?.source === 'assumed')
  }
  for (const b of blades) {
    const ref = refTo('blade', b.id)
    const across = inArm(
      shape,
      saber.hilt.sockets.find((k) => k.id === b.socket),
    )
    const seat = socketSpan(saber, b.socket, shape)
    if (!seat && !across) g.missing('the socket depth', refTo('socket', b.socket))
    const length = g.take(`length of ${b.name}`, b.length, ref)
    let mass = known(b.mass)
    if (mass !== undefined) g.take(`mass of ${b.name}`, b.mass, ref)
    else {
      const [d, w] = [g.take(`outside of ${b.name}`, b.outside, ref), g.take(`wall of ${b.name}`, b.wall, ref)]
      mass = ((Math.PI / 4) * (d ** 2 - (d - 2 * w) ** 2) * length * DENSITY.polycarbonate!) / 1000
      g.note(`${b.name}, tube alone`, `${mass.toFixed(0)} g from its size, strips and foam not counted`, true)
    }
    add(b.name, ref, mass, across ? cross : (seat?.x0 ?? 0) + length / 2, known(b.mass) === undefined)
  }
  const mid = gripMiddle(saber)
  return {
    loads: loads.sort((a, b) => b.mass - a.mass),
    mass: g.figure('g', 'Σ m', 'sum of masses', () => m),
    centre: g.figure('mm', 'Σ m·x ÷ Σ m', 'centre of mass', () => mx / m),
    moment: g.figure(
      'N·cm',
      'g × Σ m × (centre − middle of the grip)',
      'statics; g = 9.80665 m/s²',
      () => ((m / 1000) * G * (mx / m - mid)) / 10,
    ),
  }
}

/** As far and as heavy as a maker tries first. */
const [STEP_MM, STEP_GRAMS] = [10, 20]

/** The middle of the grip, where a hilt is usually wanted to balance; the hilt's own middle without one. */
export function gripMiddle(saber: Saber): number {
  const shape = layOut(saber.hilt)
  const grips = shape.sections.filter((s) => s.section.role === 'grip')
  return grips.length ? (grips[0]!.x0 + grips.at(-1)!.x1) / 2 : shape.length / 2
}

/** A small change to a saber: the cell further back, the buttons further forward, one end heavier. */
export type Change =
  | { code: 'cellBack'; name: string; mm: number }
  | { code: 'buttonsForward'; mm: number }
  | { code: 'heavier'; end: 'pommel' | 'emitter'; grams: number }

export interface WhatIf {
  what: Change
  /** New centre from the pommel, and by how much it moves, mm. */
  centre: number
  moves: number
}

/**
 * What small changes would do to the balance: the cell 10 mm further back, the buttons 10 mm further forward, a
 * pommel or emitter 20 g heavier. Exact: CG' = (M·CG + Σ Δ(m·x)) ÷ M'. Empty while the balance is unknown.
 */
export function balanceWhatIfs(saber: Saber, blades: readonly Blade[] = [], plug?: FittedPart): WhatIf[] {
  const b = balance(saber, blades, plug)
  if (!b.mass.ok || !b.centre.ok) return []
  const [M, c] = [b.mass.value, b.centre.value]
  const shape = layOut(saber.hilt)
  const out: WhatIf[] = []
  const put = (what: Change, dm: number, dmx: number) => {
    const centre = (M * c + dmx) / (M + dm)
    out.push({ what, centre, moves: centre - c })
  }
  const cell = saber.parts.find((p) => p.kind === 'cell')
  const cellMass = known(cell?.specs.mass)
  if (cell && cellMass !== undefined && spanOf(cell))
    put({ code: 'cellBack', name: cell.name, mm: STEP_MM }, 0, -STEP_MM * cellMass)
  const buttons = saber.parts.filter((p) => p.kind === 'switch' && known(p.specs.mass) !== undefined && spanOf(p))
  if (buttons.length)
    put({ code: 'buttonsForward', mm: STEP_MM }, 0, STEP_MM * buttons.reduce((a, p) => a + known(p.specs.mass)!, 0))
  for (const [role, at] of [
    ['pommel', shape.sections[0]],
    ['emitter', shape.sections.at(-1)],
  ] as const)
    if (at && at.section.role === role)
      put({ code: 'heavier', end: role, grams: STEP_GRAMS }, STEP_GRAMS, STEP_GRAMS * middleOf(at))
  return out
}
