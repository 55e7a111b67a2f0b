import { known } from '../facts'
import type { Blade, Preset, Saber } from '../record'

/** What a look takes that a blade has not. */
export type Unmet = 'blade' | 'length' | 'tip' | 'plug'

/** Blades that the client has with it, or is to buy. */
export const clientBlades = (saber: Saber): Blade[] => saber.blades.filter((b) => b.use !== 'demo')

/** Whether a look takes a blade of some kind at all. */
export const asksForBlade = (p: Preset): boolean =>
  p.needs !== undefined || known(p.needsLength) !== undefined || p.needsTip === true || p.needsPlug === true

/** Lit length of a blade, mm: its tube beyond the seat; undefined where one of the two is not known. */
export function litLength(saber: Saber, b: Blade): number | undefined {
  const [length, seat] = [known(b.length), known(saber.hilt.sockets.find((k) => k.id === b.socket)?.depth)]
  return length === undefined || seat === undefined ? undefined : Math.max(0, length - seat)
}

/** What a preset takes that a blade lacks; nothing where it is seen whole on it. What nobody has said of the blade counts as lacking. */
export function unmetOn(saber: Saber, p: Preset, b: Blade): Unmet[] {
  const least = known(p.needsLength)
  const lit = litLength(saber, b)
  return [
    ...(p.needs !== undefined && p.needs !== b.id ? ['blade' as const] : []),
    ...(least !== undefined && (lit === undefined || lit < least - 1e-9) ? ['length' as const] : []),
    ...(p.needsTip && !b.litTip ? ['tip' as const] : []),
    ...(p.needsPlug && b.kind !== 'plug' ? ['plug' as const] : []),
  ]
}

/** How many looks a client can see: every preset on every blade, and how many of these are seen whole. */
export function lookCount(saber: Saber): { presets: number; blades: number; all: number; whole: number } {
  const blades = clientBlades(saber).filter((b) => b.kind !== 'plug')
  const whole = saber.presets.reduce(
    (n, p) => n + blades.filter((b) => !unmetOn(saber, p, b).filter((u) => u !== 'plug').length).length,
    0,
  )
  const presets = saber.presets.length
  return { presets, blades: blades.length, all: presets * blades.length, whole }
}
