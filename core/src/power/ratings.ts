import { type Calculated, known } from '../facts'
import { type FittedPart, type Ref, refTo, type Saber, WHITE } from '../record'
import { litCurrent } from './lights'
import { type LightLoad, loadsOf } from './looks'
import { packOf } from './pack'
import { wireGuideAmps } from './wire'

/** One rating held against what it must carry. */
export interface Rating {
  name: string
  ref: Ref
  ratedAmps: number
  /** Load ÷ rating. */
  share: number
  load: Calculated
}

/** Ratings of all that the blade's current passes in one colour, worst first; what lacks a rating is in `needs`. */
export function ratings(saber: Saber, colour = WHITE): { list: Rating[]; needs: { name: string; ref: Ref }[] } {
  return ratingsUnder(saber, litCurrent(saber, colour))
}

/** The most that may flow at the lights in a colour so that nothing it passes is over its rating, A; undefined where nothing is rated. */
export function allowedCurrent(saber: Saber, colour: string): number | undefined {
  const most = ratings(saber, colour).list.flatMap((r) => (r.load.ok && r.share > 0 ? [r.load.value / r.share] : []))
  return most.length ? Math.floor(Math.min(...most) * 1000 + 1e-6) / 1000 : undefined
}

/** The same under a load that is already known. */
function ratingsUnder(saber: Saber, load: Calculated): { list: Rating[]; needs: { name: string; ref: Ref }[] } {
  const list: Rating[] = []
  const needs: { name: string; ref: Ref }[] = []
  const carry = (p: FittedPart, name: string, rated: number | undefined, share = 1, what = 'the rating') => {
    const ref = refTo('part', p.id)
    if (rated === undefined) needs.push({ name: `${what} of ${p.name}`, ref })
    else if (load.ok) list.push({ name, ref, ratedAmps: rated, share: (load.value * share) / rated, load })
  }
  const supply = packOf(saber)
  for (const p of saber.parts) {
    if (p.kind === 'cell')
      carry(
        p,
        p.protected ? `${p.name}, cell and protection` : p.name,
        known(p.specs.contCurrent),
        supply.stepDown / supply.parallel,
      )
    if (p.kind === 'connector' || p.kind === 'contactBoard') {
      const [pin, n] = [known(p.specs.pinCurrent), known(p.specs.pins)]
      const what = pin === undefined ? 'the rating of a pin' : 'the number of power pins'
      carry(p, `${p.name}, pins`, pin === undefined || n === undefined ? undefined : pin * n, 1, what)
    }
    const rated = known(p.specs.contCurrent)
    if (p.kind === 'killSwitch' || p.kind === 'killKey') carry(p, p.name, rated)
    if (p.kind === 'board' && rated !== undefined) carry(p, p.name, rated)
    // A port whose contact a plug opens carries the current as a kill switch does; another one only what charges.
    if (p.kind === 'chargePort' && p.switched) carry(p, p.name, rated)
    if (p.kind === 'wire' && p.carries !== 'signal') {
      const awg = known(p.specs.gauge)
      carry(p, p.name, awg === undefined ? undefined : wireGuideAmps(Math.round(awg)))
    }
  }
  return { list: list.sort((a, b) => b.share - a.share), needs }
}

/** What is rated under several loads: its rating under the worst of them, and every load with its share, the worst first. */
export interface LoadedRating {
  worst: Rating
  loads: { load: LightLoad; share: number }[]
}

/** Every rating under each of some loads; loads that cannot be computed rate nothing. */
export function ratingsOfLoads(saber: Saber, loads: readonly LightLoad[]): LoadedRating[] {
  const found = new Map<string, LoadedRating>()
  for (const load of loads)
    for (const r of ratingsUnder(saber, load.current).list) {
      const at = found.get(r.ref + r.name) ?? { worst: r, loads: [] }
      at.loads.push({ load, share: r.share })
      if (r.share > at.worst.share) at.worst = r
      found.set(r.ref + r.name, at)
    }
  return [...found.values()].map((f) => ({ ...f, loads: f.loads.sort((a, b) => b.share - a.share) }))
}

/** A rating under the look that asks most of it; without a preset under full white, which has no look of its own. */
export type WorstRating = Rating & { by?: LightLoad }

/** Every rating under the worst look that lasts, of all presets, worst first. */
export function worstRatings(saber: Saber): { list: WorstRating[]; needs: { name: string; ref: Ref }[] } {
  const lasting = loadsOf(saber).filter((l) => l.lasts !== 'flash')
  const white = ratings(saber, WHITE)
  if (!lasting.length) return white
  const list = ratingsOfLoads(saber, lasting).map(({ worst, loads }) => ({ ...worst, by: loads[0]!.load }))
  return { list: list.sort((a, b) => b.share - a.share), needs: white.needs }
}
