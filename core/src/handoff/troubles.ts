import { comesApart, type Saber } from '../record'
import type { Reader } from '../units'
import { say } from '../words'

/** What a client may find odd one day, by what is fitted. */
export const TROUBLES = [
  'flicker',
  'freezes',
  'crackles',
  'muffled',
  'loosePommel',
  'noWake',
  'noLight',
  'loosensBlade',
  'noCharge',
] as const
export type FaultHelp = (typeof TROUBLES)[number]

const has = (s: Saber, kind: Saber['parts'][number]['kind']) => s.parts.some((p) => p.kind === kind)
/** Whether a saber has what a trouble can come from. */
const CAN: Record<FaultHelp, (s: Saber) => boolean> = {
  flicker: (s) => s.blades.some((b) => b.kind === 'pixel') && s.hilt.sockets.length > 0,
  freezes: (s) => has(s, 'board'),
  crackles: (s) => has(s, 'speaker') && has(s, 'cell'),
  muffled: (s) => has(s, 'speaker'),
  loosePommel: (s) =>
    s.hilt.sections.some((x) => x.role === 'pommel' && x.joint.kind === 'thread' && comesApart(x.joint)),
  noWake: (s) => has(s, 'board') && has(s, 'cell'),
  noLight: (s) => s.blades.some((b) => b.kind === 'pixel' || b.kind === 'string'),
  loosensBlade: (s) => s.hilt.sockets.some((k) => k.retention.length > 0),
  noCharge: (s) => has(s, 'chargePort'),
}
/** How its power is cut, as a cure needs to know it. */
const cutBy = (s: Saber) =>
  s.cutPower === 'killSwitch' || s.cutPower === 'killKey'
    ? 'cut'
    : s.parts.some((p) => p.kind === 'cell' && p.removable)
      ? 'cell'
      : 'none'

/** Troubles that this saber can have, each with its cure. Usual ones; whatever is hot, swollen or smells is for the shop. */
export const troublesOf = (reader: Reader, s: Saber): { key: FaultHelp; what: string; cure: string }[] =>
  TROUBLES.filter((t) => CAN[t](s)).map((key) => ({
    ...{ key, what: say(reader, 'trouble.what', { trouble: key }) },
    cure: say(reader, 'trouble.cure', { trouble: key, reset: cutBy(s) }),
  }))
