import type { GaveWay } from '../../facts'
import { type Loose, listOf } from './loose'

/** What version 8 wrote in English where the program itself knew why a statement gave way. */
const WRITTEN: Readonly<Record<string, GaveWay>> = {
  agrees: 'agrees',
  mistyped: 'mistyped',
  'assumed until then': 'assumed',
  'set anew': 'setAnew',
  corrected: 'corrected',
  'taken back': 'takenBack',
  'taken back on the bench': 'takenBack',
  'settled on the bench': 'settled',
}

/** Version 8 kept the program's own reasons as words; a maker's words stay as he wrote them. */
export function liftReasons(d: Loose): Loose {
  const past = (claim: Loose): Loose => {
    const gaveWay = WRITTEN[String(claim.why)]
    if (!gaveWay) return claim
    const { why: _w, ...rest } = claim
    return { ...rest, gaveWay }
  }
  const walk = (v: unknown): unknown => {
    if (Array.isArray(v)) return v.map(walk)
    if (typeof v !== 'object' || v === null) return v
    const entries = Object.entries(v).map(([k, x]) => [k, k === 'trail' ? listOf(x).map(past) : walk(x)])
    return Object.fromEntries(entries)
  }
  return { ...(walk(d) as Loose), version: 9 }
}
