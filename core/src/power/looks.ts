import type { Calculated } from '../facts'
import { HELD_EFFECTS } from '../light'
import { colourOf, effectColours, type Preset, type Ref, refTo, type Saber, WHITE } from '../record'
import { bladeCurrent, litBlades, litCurrent, ownOr, zoneCurrent } from './lights'

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

/** The looks of a preset that can be seen: its steady colour, and every effect it colours. */
const seenOf = (preset: Preset): { look: string; colour: string }[] => [
  { look: 'steady', colour: colourOf(preset) },
  ...effectColours(preset).map(([look, colour]) => ({ look, colour })),
]

/** The looks of a preset: its steady colour, every effect it colours, and full white beside them for comparison. */
export function looksOf(preset: Preset | undefined): { look: string; colour: string }[] {
  return [...(preset ? seenOf(preset) : []), { look: 'white', colour: WHITE }]
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
        looks: looks.map((l) => ({
          ...l,
          current: zoneCurrent(saber, z, l.look === 'white' ? WHITE : ownOr(saber, preset, z, l.colour)),
        })),
      })),
  ]
}

/** One look of one preset as a load: what it draws, and whether it lasts. */
export interface LightLoad {
  preset: Preset
  look: string
  colour: string
  lasts: 'steady' | 'held' | 'flash'
  current: Calculated
}

/** Every look that this saber can show, of every preset, with what the whole saber draws then. None without a preset. */
export const loadsOf = (saber: Saber): LightLoad[] =>
  saber.presets.flatMap((preset) =>
    seenOf(preset).map(({ look, colour }) => ({
      ...{ preset, look, colour, current: litCurrent(saber, colour, preset) },
      lasts: look === 'steady' ? ('steady' as const) : HELD_EFFECTS.has(look) ? ('held' as const) : ('flash' as const),
    })),
  )
