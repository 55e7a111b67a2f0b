import { type Loose, listOf } from './loose'

/** What the six modes of version 5 were called, in their order. */
const CALLED = {
  asleep: 'asleep',
  off: 'blade off',
  lit: 'blade lit',
  menu: 'menu',
  muted: 'muted',
  combat: 'combat',
} as const
/** Where an action of version 5 led when its row did not say. */
const LED_TO: Readonly<Record<string, string>> = {
  powerOn: 'off',
  wake: 'off',
  sleep: 'asleep',
  ignite: 'lit',
  retract: 'off',
  menuOpen: 'menu',
  menuClose: 'off',
  mute: 'muted',
  unmute: 'lit',
  combatOn: 'combat',
  combatOff: 'lit',
}

/**
 * Version 5 had no joints beside the hilt's own, and steps without acts; a step that nobody has read as an act stays words.
 * Its board had six fixed modes: those that its rows stand in or lead to become modes of the record.
 */
export const liftActs = (d: Loose): Loose => ({
  ...d,
  version: 6,
  sabers: listOf(d.sabers).map((s, i) => ({ ...s, joints: [], timing: {}, ...modesOf(s, i + 1) })),
})

function modesOf(s: Loose, nth: number): Loose {
  const rows = listOf(s.controls)
  const used = new Set(rows.flatMap((r) => [r.state, r.to ?? LED_TO[String(r.does)]]))
  const idOf = (is: string) => `${String(s.id).slice(0, 30)}-mode${nth}-${is}`
  return {
    modes: Object.entries(CALLED).flatMap(([is, name]) => (used.has(is) ? [{ id: idOf(is), name, is }] : [])),
    controls: rows.map(({ state, to, ...r }) => ({
      ...r,
      mode: idOf(String(state)),
      ...(to === undefined ? {} : { to: idOf(String(to)) }),
    })),
  }
}
