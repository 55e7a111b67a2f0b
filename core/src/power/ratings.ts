import { type Calculated, known } from '../facts'
import { type FittedPart, type Ref, refTo, type Saber } from '../record'
import { litCurrent, WHITE } from './lights'
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

/** Ratings of all that the blade's current passes, worst first; what lacks a rating is in `needs`. */
export function ratings(saber: Saber, colour = WHITE): { list: Rating[]; needs: { name: string; ref: Ref }[] } {
  const load = litCurrent(saber, colour)
  const list: Rating[] = []
  const needs: { name: string; ref: Ref }[] = []
  const carry = (p: FittedPart, name: string, rated: number | undefined, share = 1) => {
    const ref = refTo('part', p.id)
    if (rated === undefined) needs.push({ name: `the rating of ${p.name}`, ref })
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
      carry(p, `${p.name}, pins`, pin === undefined || n === undefined ? undefined : pin * n)
    }
    if (['killSwitch', 'killKey'].includes(p.kind) || (p.kind === 'board' && known(p.specs.contCurrent) !== undefined))
      carry(p, p.name, known(p.specs.contCurrent))
    if (p.kind === 'wire' && p.carries !== 'signal') {
      const awg = known(p.specs.gauge)
      carry(p, p.name, awg === undefined ? undefined : wireGuideAmps(Math.round(awg)))
    }
  }
  return { list: list.sort((a, b) => b.share - a.share), needs }
}
