import type { ControlRow, STATES } from '@nubrin/core/record'

/** What the states are called above their columns. */
export const STATE_TITLE: Record<(typeof STATES)[number], string> = {
  asleep: 'when asleep',
  off: 'blade off',
  lit: 'blade lit',
  menu: 'in the menu',
  muted: 'muted',
  combat: 'combat mode',
}

/** The first control of a state, before anything is said about it. */
export const startRow = (id: string, state: ControlRow['state'], input: string): ControlRow => ({
  id,
  state,
  pose: 'any',
  input,
  gesture: 'tap',
  does: state === 'asleep' ? 'wake' : 'other',
  status: 'configured',
})
