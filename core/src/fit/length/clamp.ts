import { type Calculated, Gather, known } from '../../facts'
import { layOut, sideOpenings, spanOf } from '../../geometry'
import { type FittedPart, refTo, type Saber, type Section } from '../../record'
import { axialSlack } from './chain'

/** Wanted clamp of a chassis held by its length, and air before a speaker's face, mm: trade practice; the shop may change them. */
export const CLAMP = { least: 0.2, most: 0.5, aim: 0.35 }
export const GRILLE_AIR = 0.5

export interface Clamp {
  chassis: FittedPart
  /** By how much the stack is longer than its room, mm; negative is play. */
  clamp: Calculated
  /** Spacer to add (positive) or length to take off (negative) to come to the wanted clamp; 0 within it. */
  changeMm?: number
}

/**
 * A chassis that is held by length is pressed by the pommel: what lies in line, with the chassis in place of all it
 * carries, must be 0.2–0.5 mm longer than the cavity. Undefined when none is held so.
 */
export function clampOf(saber: Saber): Clamp | undefined {
  const chassis = saber.parts.find((p) => p.kind === 'chassis' && p.heldBy === 'length')
  if (!chassis) return undefined
  const g = new Gather()
  const slack = axialSlack(saber)
  const ref = refTo('part', chassis.id)
  const own = g.take(`length of ${chassis.name}`, chassis.specs.length, ref)
  const span = spanOf(chassis)
  if (!span) g.missing(`where ${chassis.name} sits`, ref)
  if (!slack.cavity.ok) g.from('cavity', slack.cavity)
  const inside = (p: FittedPart) => {
    const s = spanOf(p)
    return span && s && (s.x0 + s.x1) / 2 > span.x0 && (s.x0 + s.x1) / 2 < span.x1
  }
  let stack = own
  for (const c of slack.chain) {
    const part = saber.parts.find((p) => refTo('part', p.id) === c.ref)
    if (!part || part.id === chassis.id || inside(part)) continue
    g.take(`length of ${c.name}`, part.specs.length, c.ref)
    stack += c.lengthMm
  }
  const room = slack.cavity.ok ? g.from('cavity', slack.cavity) : Number.NaN
  const clamp = g.figure(
    'mm',
    'chassis + what lies in line outside it − cavity',
    'held by length: 0.2 to 0.5 mm longer than its room',
    () => stack - room,
  )
  if (!clamp.ok) return { chassis, clamp }
  const v = clamp.value
  return { chassis, clamp, changeMm: v >= CLAMP.least && v <= CLAMP.most ? 0 : Number((CLAMP.aim - v).toFixed(2)) }
}

export interface GrilleAir {
  speaker: FittedPart
  /** Air between the speaker's face and the inner face of what it looks at, mm. */
  air: Calculated
  /** The grille it looks at; absent: the end of the pommel. */
  before?: string
}

/**
 * Air before the face of every speaker that looks at the pommel: up to the foremost edge of a grille behind it, or up to
 * the pommel's end wall. Speakers without a place are left out.
 */
export function grilleAir(saber: Saber): GrilleAir[] {
  const shape = layOut(saber.hilt)
  const pommel = shape.sections.find((s) => s.section.role === 'pommel')
  return saber.parts
    .filter((p) => p.kind === 'speaker' && known(p.faces) === 'pommel' && spanOf(p))
    .flatMap((speaker): GrilleAir[] => {
      const face = spanOf(speaker)!.x0
      const grilles = sideOpenings(saber.hilt).filter((o) => {
        const at = known(o.at)
        return o.kind === 'grille' && at !== undefined && at <= face + 1 && (!pommel || at <= pommel.x1)
      })
      const g = new Gather()
      g.note('face of the speaker', `${face} mm from the pommel`, speaker.at?.source === 'assumed')
      if (!grilles.length) {
        const { endWall } = saber.hilt
        const wall = endWall ? g.take('end wall of the pommel', endWall) : 0
        return [
          {
            speaker,
            air: g.figure('mm', 'face − inside of the pommel’s end', 'geometry', () => face - wall),
          },
        ]
      }
      let inner = -Infinity
      for (const o of grilles) {
        const at = g.take(`place of ${o.name}`, o.at, refTo('opening', o.id))
        const length = g.take(`length of ${o.name}`, o.length, refTo('opening', o.id))
        inner = Math.max(inner, at + length / 2)
      }
      return [
        {
          speaker,
          before: grilles[0]!.name,
          air: g.figure('mm', 'face − front edge of the grille', 'geometry', () => face - inner),
        },
      ]
    })
}

export interface OverClosing {
  section: Section
  /** How far it can be closed past its place, mm; undefined when nobody recorded it. */
  travelMm?: number
  /** What is left of the slack then, mm; undefined when either is unknown. */
  leftMm?: number
}

/** Threads that nothing stops and nothing locks: each shortens the cavity by up to its over-travel. */
export function overClosing(saber: Saber): OverClosing[] {
  const slack = axialSlack(saber).nominal
  return saber.hilt.sections
    .filter((s) => s.joint.kind === 'thread' && s.joint.stop === false && !s.joint.lockedForLife)
    .map((section) => {
      const travelMm = known(section.joint.overTravel)
      return {
        section,
        ...(travelMm === undefined ? {} : { travelMm }),
        ...(travelMm === undefined || !slack.ok ? {} : { leftMm: slack.value - travelMm }),
      }
    })
}
