import type { ACTIONS, EVENTS, Preset, Saber } from '../record'

type Event = (typeof EVENTS)[number]

/** The sound that an action calls for; actions without an entry are silent. */
const EVENT_OF: Partial<Record<(typeof ACTIONS)[number], Event>> = {
  ignite: 'ignite',
  retract: 'retract',
  lock: 'lock',
  drag: 'drag',
  melt: 'melt',
  deflect: 'deflect',
  surge: 'surge',
  quote: 'quote',
  track: 'track',
}
/** Sounds every font needs once it can be lit at all. */
const ALWAYS: Event[] = ['hum', 'swing', 'clash']

/** Events the configured controls can reach in a preset, in a fixed order. Unlit sabers reach nothing. */
export function reachableEvents(saber: Saber, preset: Preset): Event[] {
  const rows = saber.controls.filter(
    (r) => r.status !== 'unsure' && (!r.presets?.length || r.presets.includes(preset.id)),
  )
  const events = new Set<Event>()
  for (const r of rows) {
    const e = EVENT_OF[r.does]
    if (e) events.add(e)
    if (r.does === 'ignite') for (const a of ALWAYS) events.add(a)
  }
  return [...events]
}

/** Events that the controls can reach and the font has no sound for. A preset with no sounds listed at all is not judged. */
export function missingSounds(saber: Saber, preset: Preset): Event[] {
  if (!preset.sounds.length) return []
  const have = new Set(preset.sounds.map((s) => s.event))
  return reachableEvents(saber, preset).filter((e) => e !== 'track' && !have.has(e))
}
