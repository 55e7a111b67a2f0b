import { type ControlMap, usualModes } from '@nubrin/core/controls'
import { fact } from '@nubrin/core/facts'
import { type ControlRow, STATES } from '@nubrin/core/record'

let n = 0
/** A tap on the one button while lit, changed as a test needs it. */
export const row = (more: Partial<ControlRow> = {}): ControlRow => ({
  ...{ id: `r${n++}`, mode: 'm-lit', pose: 'any', input: 'a', gesture: 'tap', does: 'deflect', status: 'configured' },
  ...more,
})
export const sec = (s: number) => fact(s, 's', 'configured')
/** A map of these rows in every mode a board can have, with nothing else said. */
export const mapOf = (controls: ControlRow[], more: Partial<ControlMap> = {}): ControlMap => ({
  modes: usualModes('m', STATES),
  timing: {},
  inputs: [],
  fonts: [],
  presets: [],
  settings: { sensitivities: [] },
  controls,
  ...more,
})
