import { known } from '../facts'
import {
  type EVENT_IS,
  LIGHT_EVENTS,
  type LightEvent,
  type Moves,
  nameOf,
  type Preset,
  type Saber,
  type Zone,
} from '../record'
import { missingSounds, reachableEvents } from '../voice'
import { leaderOf } from './lamps'

/** What stands in a cell: a colour that is set, what the board does by itself, nothing since it is not there, another way each time, or nothing that anybody has recorded. */
export type CellIs = 'set' | (typeof EVENT_IS)[number] | 'notRecorded'
export interface Cell {
  is: CellIs
  colour?: string
  moves?: Moves
  /** No control of this preset calls it up. */
  unreached?: true
  /** It is reached, and its font has no sound for it. */
  silent?: true
}
/** One preset through all events; `shines` is its light while nothing happens. */
export interface SheetRow {
  preset: Preset
  shines: Cell
  events: Record<LightEvent, Cell>
  /** The lights of the hilt by their ids; `follows` names whose colour one shows that has none of its own here. */
  lights: Record<string, Cell & { follows?: string }>
}

/** Events that come by themselves with the blade, or with a blow, and not only by a control. */
const ALWAYS: ReadonlySet<string> = new Set(['ignite', 'retract', 'clash'])

/** Lights of the hilt that are no blade's own run. */
export const ownLights = (saber: Saber): Zone[] => saber.zones.filter((z) => !z.blade)

function lightCell(saber: Saber, p: Preset, z: Zone): Cell & { follows?: string } {
  const own = p.lights.find((l) => l.zone === z.id)
  const colour = known(own?.colour)
  const leader = leaderOf(z)
  if (colour !== undefined || own?.moves)
    return {
      is: 'set',
      ...(colour === undefined ? {} : { colour }),
      ...(own?.moves ? { moves: own.moves } : {}),
    }
  return leader ? { is: 'set', follows: nameOf(saber, leader) ?? '' } : { is: 'notRecorded' }
}

/** A whole saber preset by event. No cell is empty: what nobody recorded says so. */
export function lightSheet(saber: Saber): SheetRow[] {
  return saber.presets.map((preset) => {
    const reached = new Set<string>(reachableEvents(saber, preset))
    const missing = new Set<string>(missingSounds(saber, preset))
    const cell = (event: LightEvent): Cell => {
      const look = preset.effects?.[event]
      const colour = known(look?.colour)
      const unreached = !ALWAYS.has(event) && !reached.has(event)
      const is: CellIs =
        look?.is ?? (colour !== undefined || look?.moves ? 'set' : unreached ? 'notThere' : 'notRecorded')
      return {
        is,
        ...(is === 'set' && colour !== undefined ? { colour } : {}),
        ...(is === 'set' && look?.moves ? { moves: look.moves } : {}),
        ...(unreached ? { unreached: true as const } : {}),
        ...(missing.has(event) && is !== 'notThere' ? { silent: true as const } : {}),
      }
    }
    const base = known(preset.colour)
    const shines: Cell = {
      is: preset.look === 'varies' || preset.look === 'party' ? 'varies' : base === undefined ? 'notRecorded' : 'set',
      ...(base === undefined ? {} : { colour: base }),
      ...(preset.moves ? { moves: preset.moves } : {}),
    }
    return {
      ...{ preset, shines },
      events: Object.fromEntries(LIGHT_EVENTS.map((e) => [e, cell(e)])) as Record<LightEvent, Cell>,
      lights: Object.fromEntries(ownLights(saber).map((z) => [z.id, lightCell(saber, preset, z)])),
    }
  })
}
