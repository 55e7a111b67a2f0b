import type { Calculated } from '../facts'
import { type Preset, type Ref, refTo, type Saber } from '../record'
import { bladeCurrent, litBlades, WHITE, zoneCurrent } from './lights'

/** Current of one light in one look. */
interface LookCurrent {
  look: string
  colour: string
  current: Calculated
}
export interface ZoneBudget {
  ref: Ref
  name: string
  looks: LookCurrent[]
}

/** The looks of a preset: its steady colour, full white, and every effect it colours. */
export function looksOf(preset: Preset | undefined): { look: string; colour: string }[] {
  return [
    ...(preset ? [{ look: 'steady', colour: preset.colour }] : []),
    ...Object.entries(preset?.effects ?? {}).map(([look, colour]) => ({ look, colour })),
    { look: 'white', colour: WHITE },
  ]
}

/** What every light draws in every look of a preset: blades, and zones with a life or a leader of their own. */
export function zoneBudget(saber: Saber, preset: Preset | undefined = saber.presets[0]): ZoneBudget[] {
  const looks = looksOf(preset)
  return [
    ...litBlades(saber).map((b) => ({
      ref: refTo('blade', b.id),
      name: b.name,
      looks: looks.map((l) => ({ ...l, current: bladeCurrent(saber, b, l.colour) })),
    })),
    ...saber.zones
      .filter((z) => !z.blade)
      .map((z) => ({
        ref: refTo('zone', z.id),
        name: z.name,
        looks: looks.map((l) => ({ ...l, current: zoneCurrent(z, l.colour) })),
      })),
  ]
}
