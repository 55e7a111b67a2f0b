import { type Calculated, Gather } from '../findings/figure'
import { layOut } from '../hilt/geometry'
import { known } from '../record/fact'
import { byId } from '../record/lookup'
import type { Blade, Saber, Socket } from '../record/schema'
import { formatNumber, inchFraction, mmAndInch } from '../units/format'
import { judgeSocket, SOCKET_LIMITS } from './socket'

const socketOf = (saber: Saber, b: Blade): Socket | undefined => byId(saber.hilt.sockets, b.socket)

/** Length of tube outside the socket, mm. */
export function exposed(saber: Saber, b: Blade): Calculated {
  const g = new Gather()
  const length = g.take(`length of ${b.name}`, b.length, `blade:${b.id}`)
  const k = socketOf(saber, b)
  const depth = g.take(`depth of ${k?.name ?? 'the socket'}`, k?.depth, `socket:${b.socket}`)
  return g.figure('mm', 'tube − seat depth', 'geometry', () => length - depth)
}

/** Seat and wall below which a blade is not for contact; the shop may change them. */
export const DUEL = { seatInDiameters: 1.5, lightWall: 2, heavyWall: 3 }

export interface DuelJudgement {
  /** Never a certificate: the strongest word is that nothing recorded speaks against it. */
  verdict: 'notForContact' | 'lightContact' | 'nothingAgainst' | 'unknown'
  /** What speaks against contact, what only limits it, and what is not known. */
  against: string[]
  limits: string[]
  unknown: string[]
}

export const DUEL_WORDS: Record<DuelJudgement['verdict'], string> = {
  notForContact: 'not for contact',
  lightContact: 'light contact at most',
  nothingAgainst: 'nothing recorded speaks against contact',
  unknown: 'cannot be judged yet',
}

/** Judges a blade in its socket for duelling from seat depth, retention, wall, magnets, glass and loose screws, with the reasons. */
export function judgeDuel(saber: Saber, b: Blade): DuelJudgement {
  const [against, limits, unknown]: [string[], string[], string[]] = [[], [], []]
  const k = socketOf(saber, b)
  const [depth, d, wall, bore] = [known(k?.depth), known(b.outside), known(b.wall), known(k?.bore)]
  if (b.kind === 'plug') against.push('a plug is for display')
  if (b.kind === 'string') limits.push('a string blade carries its LEDs through the tube: they break under blows')
  if (depth === undefined) unknown.push('the depth of the socket')
  else if (d !== undefined && depth < DUEL.seatInDiameters * d)
    against.push(
      `the seat is ${formatNumber(depth, 1)} mm, less than ${DUEL.seatInDiameters} diameters (${formatNumber(DUEL.seatInDiameters * d, 1)} mm)`,
    )
  if (d === undefined) unknown.push('the outside of the tube')
  if (wall === undefined) unknown.push('the wall of the tube')
  else if (wall < DUEL.lightWall)
    against.push(`the wall is ${formatNumber(wall)} mm, thinner than ${DUEL.lightWall} mm`)
  else if (wall < DUEL.heavyWall)
    limits.push(`the wall is ${formatNumber(wall)} mm: heavy blows want ${DUEL.heavyWall} mm`)
  const screws = (k?.retention ?? []).map((id) => byId(saber.hilt.fasteners, id)).filter((f) => f !== undefined)
  if (!screws.length) against.push('no screw holds the blade')
  else if (screws.length < 2) limits.push('one screw holds the blade')
  if (screws.some((f) => f.looseNow)) against.push('a screw that holds the blade is loose')
  if (bore !== undefined && d !== undefined) {
    const fit = judgeSocket(bore, d)
    if (fit.kind === 'loose' || fit.kind === 'wrongSize')
      against.push(`the tube has ${formatNumber(fit.clearanceMm)} mm of play`)
    if (fit.kind === 'willNotEnter') against.push('the tube does not enter')
  }
  if (saber.parts.some((p) => p.kind === 'cover')) against.push('covers held by magnets come off')
  if (saber.hilt.sections.some((s) => s.joint.kind === 'magnet')) against.push('a joint is held by magnets')
  const glass = saber.hilt.openings.filter((o) => o.kind === 'window').map((o) => o.name)
  if (glass.length) limits.push(`${glass.join(' and ')} can break`)
  if (saber.parts.some((p) => p.kind === 'chassis' && /resin/i.test(p.name))) limits.push('a resin chassis is brittle')
  return {
    against,
    limits,
    unknown,
    verdict: against.length
      ? 'notForContact'
      : unknown.length
        ? 'unknown'
        : limits.length
          ? 'lightContact'
          : 'nothingAgainst',
  }
}

export interface Adapter {
  outsideMm: number
  insideMm: number
  wallMm: number
  lengthMm?: number
  words: string
}

/** The sleeve that would take a thinner tube into a wider socket, with the target clearance on both sides; undefined when none is needed or the wall would be below 0.6 mm. */
export function adapterFor(saber: Saber, b: Blade): Adapter | undefined {
  const k = socketOf(saber, b)
  const [bore, d] = [known(k?.bore), known(b.outside)]
  if (bore === undefined || d === undefined || judgeSocket(bore, d).kind !== 'wrongSize') return undefined
  const outsideMm = bore - SOCKET_LIMITS.target
  const insideMm = d + SOCKET_LIMITS.target
  const wallMm = (outsideMm - insideMm) / 2
  if (wallMm < 0.6) return undefined
  const lengthMm = known(k?.depth)
  return {
    outsideMm,
    insideMm,
    wallMm,
    ...(lengthMm === undefined ? {} : { lengthMm }),
    words: `a sleeve ${formatNumber(insideMm)} inside, ${formatNumber(outsideMm)} outside, wall ${formatNumber(wallMm)} mm${lengthMm === undefined ? '' : `, ${formatNumber(lengthMm, 1)} long`}: ${inchFraction(d) ?? formatNumber(d)} to ${inchFraction(bore, 0.3) ?? formatNumber(bore)} in`,
  }
}

export interface StringSums {
  total: Calculated
  /** LEDs as stated against groups × LEDs in each; undefined while either is unknown. */
  agrees?: boolean
  differsBy?: number
  current: Calculated
}

/** The arithmetic of a string blade: groups × LEDs in each must be the stated total, and all groups lit draw the sum. */
export function stringSums(b: Blade): StringSums {
  const ref = `blade:${b.id}`
  const g = new Gather()
  const groups = g.take(`groups of ${b.name}`, b.groups, ref)
  const each = g.take(`LEDs in a group of ${b.name}`, b.ledsPerGroup, ref)
  const total = g.figure('×', 'groups × LEDs in each', 'counting', () => groups * each)
  const c = new Gather()
  const n = c.take(`groups of ${b.name}`, b.groups, ref)
  const mA = c.take(`current of a group of ${b.name}`, b.groupCurrent, ref)
  const current = c.figure('A', 'groups × current of a group ÷ 1000', 'groups in parallel', () => (n * mA) / 1000)
  const stated = known(b.ledsTotal)
  return {
    total,
    current,
    ...(total.ok && stated !== undefined
      ? { agrees: Math.abs(total.value - stated) < 1e-9, differsBy: stated - total.value }
      : {}),
  }
}

export interface Shopping {
  blade: Blade
  socket: string
  lines: string[]
  needs: string[]
}

/** What the client has to get for every blade that is not supplied, in words a shop understands, and what is still to be said. */
export function shoppingList(saber: Saber): Shopping[] {
  return saber.blades
    .filter((b) => b.use === 'toBuy')
    .map((blade) => {
      const k = socketOf(saber, blade)
      const needs: string[] = []
      const lines: string[] = []
      const put = (v: number | undefined, what: string, words: (v: number) => string) => {
        if (v === undefined) needs.push(what)
        else lines.push(words(v))
      }
      put(known(blade.outside), 'the outside of the tube', (v) => `tube ${mmAndInch(v)} outside`)
      put(known(blade.wall), 'its wall', (v) => `wall ${formatNumber(v)} mm`)
      put(known(blade.length), 'its length', (v) => `${mmAndInch(v)} long`)
      const out = exposed(saber, blade)
      if (out.ok) lines.push(`of which ${formatNumber(out.value, 0)} mm outside the hilt`)
      if (blade.kind === 'pixel') {
        put(known(blade.density), 'pixels per metre', (v) => `pixel strips, ${formatNumber(v, 0)} a metre`)
        put(known(blade.strips), 'how many strips', (v) => `${formatNumber(v, 0)} strips`)
        const c = saber.parts.find((p) => p.kind === 'connector')
        if (c) lines.push(`contacts to match: ${c.name}`)
        else needs.push('which contacts it must match')
      } else lines.push(blade.kind === 'inHilt' ? 'hollow tube, no LEDs' : blade.kind === 'plug' ? 'plug' : 'string')
      return { blade, socket: k?.name ?? '?', lines, needs }
    })
}

/** How the bench's blade differs from the shipped one in the same socket: what the film must not promise. */
export function demoAgainstShipped(saber: Saber): { demo: Blade; shipped: Blade; differs: string[] }[] {
  return saber.blades
    .filter((b) => b.use === 'demo')
    .flatMap((demo) => {
      const shipped = saber.blades.find((b) => b.socket === demo.socket && b.use !== 'demo')
      if (!shipped) return []
      const differs = (
        [
          ['length', demo.length, shipped.length],
          ['outside', demo.outside, shipped.outside],
          ['wall', demo.wall, shipped.wall],
          ['pixels a metre', demo.density, shipped.density],
        ] as const
      ).flatMap(([what, a, b]) => {
        const [x, y] = [known(a), known(b)]
        return x === undefined || y === undefined || Math.abs(x - y) < 1e-6
          ? []
          : [`${what} ${formatNumber(x)} on the bench, ${formatNumber(y)} shipped`]
      })
      if (demo.kind !== shipped.kind) differs.push(`${demo.kind} on the bench, ${shipped.kind} shipped`)
      return [{ demo, shipped, differs }]
    })
}

/** An arm's reach with a step, mm: added to what sticks out beyond the hand. Generous on purpose. */
const REACH = 1100

/** The clear radius to swing a blade in, m: reach and step, the hilt ahead of the hand, the blade outside. */
export function swingRoom(saber: Saber, b: Blade): Calculated {
  const g = new Gather()
  const shape = layOut(saber.hilt)
  const grip = shape.sections.find((s) => s.section.role === 'grip')
  const out = g.from('blade outside the hilt', exposed(saber, b))
  if (!shape.complete) g.missing('every section length')
  const ahead = shape.length - (grip ? (grip.x0 + grip.x1) / 2 : shape.length / 2)
  g.note('hilt ahead of the hand', `${formatNumber(ahead, 0)} mm`)
  g.note('arm and a step', `${REACH} mm`, true)
  return g.figure(
    'mm',
    'reach + hilt ahead of the hand + blade outside',
    'usual caution: room cleared',
    () => REACH + ahead + out,
  )
}
