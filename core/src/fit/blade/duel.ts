import { sized } from '../../facts'
import { type Blade, byId, type Saber } from '../../record'
import { socketOf } from './exposed'
import { heldDeep, judgedSeats } from './seat'

/** Seat and wall below which a blade is not for contact; the shop may change them. */
export const DUEL = { seatInDiameters: 1.5, lightWall: 2, heavyWall: 3 }

/** One reason that speaks against contact, limits it, or cannot be judged, with its figures in mm. */
export type DuelReason =
  | {
      code:
        | 'plug'
        | 'string'
        | 'noScrew'
        | 'oneScrew'
        | 'looseScrew'
        | 'doesNotEnter'
        | 'covers'
        | 'magnetJoint'
        | 'resin'
    }
  | { code: 'shortSeat'; seat: number; least: number }
  | { code: 'thinWall' | 'lightWall'; wall: number }
  | { code: 'play'; clearance: number }
  | { code: 'glass'; windows: string[] }
  | { code: 'unknownDepth' | 'unknownOutside' | 'unknownWall' }

export interface DuelJudgement {
  /** Never a certificate: the strongest word is that nothing recorded speaks against it. */
  verdict: 'notForContact' | 'lightContact' | 'nothingAgainst' | 'unknown'
  /** What speaks against contact, what only limits it, and what is not known. */
  against: DuelReason[]
  limits: DuelReason[]
  unknown: DuelReason[]
}

/** Judges a blade in its socket for duelling from seat depth, retention, wall, magnets, glass and loose screws, with the reasons. */
export function judgeDuel(saber: Saber, b: Blade): DuelJudgement {
  const [against, limits, unknown]: [DuelReason[], DuelReason[], DuelReason[]] = [[], [], []]
  const k = socketOf(saber, b)
  const [depth, d, wall] = [heldDeep(saber, b), sized(b.outside), sized(b.wall)]
  if (b.kind === 'plug') against.push({ code: 'plug' })
  if (b.kind === 'string') limits.push({ code: 'string' })
  if (depth === undefined) unknown.push({ code: 'unknownDepth' })
  else if (d !== undefined && depth < DUEL.seatInDiameters * d)
    against.push({ code: 'shortSeat', seat: depth, least: DUEL.seatInDiameters * d })
  if (d === undefined) unknown.push({ code: 'unknownOutside' })
  if (wall === undefined) unknown.push({ code: 'unknownWall' })
  else if (wall < DUEL.lightWall) against.push({ code: 'thinWall', wall })
  else if (wall < DUEL.heavyWall) limits.push({ code: 'lightWall', wall })
  const screws = (k?.retention ?? []).map((id) => byId(saber.hilt.fasteners, id)).filter((f) => f !== undefined)
  if (!screws.length) against.push({ code: 'noScrew' })
  else if (screws.length < 2) limits.push({ code: 'oneScrew' })
  if (screws.some((f) => f.looseNow)) against.push({ code: 'looseScrew' })
  const fits = judgedSeats(saber, b).flatMap((x) => x.fit ?? [])
  const loose = fits.find((f) => f.kind === 'loose' || f.kind === 'wrongSize')
  if (loose) against.push({ code: 'play', clearance: loose.clearanceMm })
  if (fits.some((f) => f.kind === 'willNotEnter')) against.push({ code: 'doesNotEnter' })
  if (saber.parts.some((p) => p.kind === 'cover')) against.push({ code: 'covers' })
  if (saber.hilt.sections.some((s) => s.joint.kind === 'magnet')) against.push({ code: 'magnetJoint' })
  const windows = saber.hilt.openings.filter((o) => o.kind === 'window').map((o) => o.name)
  if (windows.length) limits.push({ code: 'glass', windows })
  if (saber.parts.some((p) => p.kind === 'chassis' && p.material === 'resin')) limits.push({ code: 'resin' })
  const verdict = against.length
    ? 'notForContact'
    : unknown.length
      ? 'unknown'
      : limits.length
        ? 'lightContact'
        : 'nothingAgainst'
  return { verdict, against, limits, unknown }
}
