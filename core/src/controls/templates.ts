import { type ControlRow, type Mode, type ModeIs, STATES } from '../record'
import { LEADS_TO } from './modes'

/** What the usual modes are called. */
export const MODE_NAMES: Readonly<Record<ModeIs, string>> = {
  ...{ asleep: 'asleep', off: 'blade off', lit: 'blade lit', menu: 'menu', muted: 'muted', combat: 'combat' },
}

/** The usual modes of some sorts, in their usual order, with ids made from a beginning. */
export const usualModes = (prefix: string, sorts: Iterable<ModeIs>): Mode[] => {
  const wanted = new Set(sorts)
  return STATES.filter((is) => wanted.has(is)).map((is) => ({ id: `${prefix}-${is}`, name: MODE_NAMES[is], is }))
}

/** The sorts of modes that rows lead to without saying so. */
export const sortsLedTo = (rows: readonly ControlRow[]): ModeIs[] => rows.flatMap((r) => LEADS_TO[r.does] ?? [])
