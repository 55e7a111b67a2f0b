import { type Calculated, Gather, known } from '../../facts'
import { type Blade, refTo } from '../../record'

export interface StringSums {
  total: Calculated
  /** LEDs as stated against groups × LEDs in each; undefined while either is unknown. */
  agrees?: boolean
  differsBy?: number
  current: Calculated
}

/** The arithmetic of a string blade: groups × LEDs in each must be the stated total, and all groups lit draw the sum. */
export function stringSums(b: Blade): StringSums {
  const ref = refTo('blade', b.id)
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
