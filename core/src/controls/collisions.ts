import { known } from '../facts'
import type { ControlRow } from '../record'
import { HELD, isTimed, stemOf, timingOf } from './compile'
import { after, type ControlMap } from './modes'

/** Two rows that the board could not tell apart, or no hand could. */
export interface Collision {
  a: ControlRow
  b: ControlRow
  why: 'same' | 'holdsTooClose'
}

/** Whether two rows are in force in one preset with the same right: one for some presets overrules one for all. */
const presetsMeet = (a: ControlRow, b: ControlRow) => {
  const [p, q] = [a.presets ?? [], b.presets ?? []]
  return p.length && q.length ? p.some((x) => q.includes(x)) : p.length === q.length
}
const timeOf = (r: ControlRow, beep: number): number | undefined =>
  r.beeps === undefined ? (known(r.hold) ?? (isTimed(r) ? 0 : undefined)) : r.beeps * beep

/**
 * Finds pairs of rows with one mode, inputs, gesture, count, pose and preset that do different things. What is said of one pose
 * or of some presets overrules what is said of any, as a board has it. Holds may differ by time, but by no less than a hand
 * keeps apart (`timing.handKeeps`). In the order of the map; time grows with rows that share a gesture, not with all of them.
 */
export function collisions(m: Pick<ControlMap, 'modes' | 'timing' | 'controls'>): Collision[] {
  const hand = timingOf(m, 'handKeeps')
  const beep = timingOf(m, 'beepEvery')
  const groups = new Map<string, number[]>()
  m.controls.forEach((r, i) => {
    const key = `${stemOf(r)} ${r.pose}`
    const g = groups.get(key)
    if (g) g.push(i)
    else groups.set(key, [i])
  })
  const sameDoing = (a: ControlRow, b: ControlRow) =>
    a.does === b.does && (a.says ?? '') === (b.says ?? '') && after(m, a) === after(m, b)
  const out: { i: number; j: number; c: Collision }[] = []
  for (const g of groups.values())
    for (let x = 0; x < g.length; x++)
      for (let y = x + 1; y < g.length; y++) {
        const [a, b] = [m.controls[g[x]!]!, m.controls[g[y]!]!]
        if (!presetsMeet(a, b) || sameDoing(a, b)) continue
        const [ha, hb] = [timeOf(a, beep), timeOf(b, beep)]
        const put = (why: Collision['why']) => out.push({ i: g[x]!, j: g[y]!, c: { a, b, why } })
        if (HELD.has(a.gesture) && ha !== undefined && hb !== undefined && ha !== hb) {
          if (Math.abs(ha - hb) < hand - 1e-9) put('holdsTooClose')
        } else put('same')
      }
  return out.sort((p, q) => p.i - q.i || p.j - q.j).map((p) => p.c)
}
