import { known, sized } from '../../facts'
import type { Blade, Saber } from '../../record'
import { formatNumber, inchFraction, MAKER } from '../../units'
import { socketOf } from './exposed'
import { judgeSocket, SOCKET_LIMITS } from './socket'

export interface Adapter {
  /** The tube and the socket it joins, mm. */
  tubeMm: number
  socketMm: number
  outsideMm: number
  insideMm: number
  wallMm: number
  lengthMm?: number
}

/** The thinnest sleeve worth making, mm of wall. */
const THINNEST = 0.6

/** The sleeve that would take a thinner tube into a wider socket, with the target clearance on both sides; undefined when none is needed, one is recorded, or the wall would be below 0.6 mm. */
export function adapterFor(saber: Saber, b: Blade): Adapter | undefined {
  const k = socketOf(saber, b)
  const [socketMm, tubeMm] = [sized(k?.bore), sized(b.outside)]
  if (b.adapter || socketMm === undefined || tubeMm === undefined || judgeSocket(socketMm, tubeMm).kind !== 'wrongSize')
    return undefined
  const outsideMm = socketMm - SOCKET_LIMITS.target
  const insideMm = tubeMm + SOCKET_LIMITS.target
  const wallMm = (outsideMm - insideMm) / 2
  if (wallMm < THINNEST) return undefined
  const lengthMm = known(k?.depth)
  return { tubeMm, socketMm, outsideMm, insideMm, wallMm, ...(lengthMm === undefined ? {} : { lengthMm }) }
}

/** The sleeve as one orders it. */
export function adapterText(a: Adapter): string {
  const length = a.lengthMm === undefined ? '' : `, ${formatNumber(MAKER, a.lengthMm, 1)} long`
  const from = inchFraction(a.tubeMm) ?? formatNumber(MAKER, a.tubeMm)
  const to = inchFraction(a.socketMm, 0.3) ?? formatNumber(MAKER, a.socketMm)
  return `a sleeve ${formatNumber(MAKER, a.insideMm)} inside, ${formatNumber(MAKER, a.outsideMm)} outside, wall ${formatNumber(MAKER, a.wallMm)} mm${length}: ${from} to ${to} in`
}
