import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { ControlRow, Input, Mode, type Saber, Timing } from '../record'

export const MAP_FORMAT = 'nubrin-controls' as const
export const MAP_VERSION = 1 as const

/** A map of controls as a file of the open format. */
export const MapFile = T.Object(
  {
    format: T.Literal(MAP_FORMAT),
    version: T.Literal(MAP_VERSION),
    name: T.String({ minLength: 1, maxLength: 240 }),
    modes: T.Array(Mode, { maxItems: 60 }),
    timing: Timing,
    inputs: T.Array(Input, { maxItems: 12 }),
    controls: T.Array(ControlRow, { maxItems: 1200 }),
  },
  { additionalProperties: false },
)
export type MapFile = Static<typeof MapFile>

/** A saber's controls as a file: its modes, timing, inputs and rows. Which presets a row is for stays behind: they are this saber's. */
export function writeMap(s: Saber, name: string): string {
  const map: MapFile = {
    ...{ format: MAP_FORMAT, version: MAP_VERSION, name, modes: s.modes, timing: s.timing },
    inputs: s.inputs.map(({ part: _p, opening: _o, ...i }) => i),
    controls: s.controls.map(({ presets: _p, standard: _s, ...r }) => r),
  }
  return `${JSON.stringify(map, null, 2)}\n`
}
