import type { Id, Saber } from '../record'
import { type Assembly, assemblyOf } from './assembly'
import type { Body } from './joint'

/** What one would see with this saber in hand. Plain data; what is as it leaves the shop is not in it. */
export interface State {
  /** Bodies that are not in their place. */
  off: Body[]
  /** Screws that are not tight: loosened, or out. */
  screws: Record<Id<'fastener'>, 'loose' | 'out'>
  /** The cut-off cuts: slid off, or the key in. */
  cut: boolean
  /** The blade is alight. */
  lit: boolean
}

/** The saber as it leaves the shop: closed, tight, dark, its plug in. What was left loose is loose. */
export function atRest(a: Assembly): State {
  return {
    off: [...a.spare],
    screws: Object.fromEntries(
      Object.entries(a.screws).flatMap(([id, f]) => (f.looseNow ? [[id, 'loose' as const]] : [])),
    ),
    cut: a.cutter !== undefined,
    lit: false,
  }
}

/** A saber as a machine: what it is made of, and how it lies there at rest. */
export interface Machine {
  assembly: Assembly
  rest: State
}
export function machineOf(s: Saber): Machine {
  const assembly = assemblyOf(s)
  return { assembly, rest: atRest(assembly) }
}

export const isOff = (st: State, b: Body): boolean => st.off.includes(b)

/** Whether the board has current: a cell, every cell in, every contact closed, nothing that cuts. */
export function powered(a: Assembly, st: State): boolean {
  if (!a.cells || st.cut) return false
  return st.off.every((b) => !a.joints[b]?.cell && !a.joints[b]?.contact)
}
