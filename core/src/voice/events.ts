import {
  type Action,
  type ControlRow,
  fontOf,
  type LightEvent,
  type Preset,
  type Saber,
  type SoundEvent,
  soundsOf,
  tracksOf,
  worksIn,
} from '../record'

/** The sound that an action calls for; actions without an entry are silent. */
export const SOUND_OF: Partial<Record<Action, SoundEvent>> = {
  ...{ ignite: 'ignite', retract: 'retract', lock: 'lock', drag: 'drag', melt: 'melt', deflect: 'deflect' },
  ...{ surge: 'surge', quote: 'quote', track: 'track', wake: 'boot', powerOn: 'boot' },
}
/** What a blade that can be lit is heard by at once. */
const LIT: readonly SoundEvent[] = ['hum', 'swing', 'clash']
/** Events of the board itself, whatever it plays: they lie in a voice pack, or in each font. */
export const BOARD_EVENTS: ReadonlySet<SoundEvent> = new Set(['boot', 'menuLine', 'chime', 'beep'])
/** What a cue is heard as. */
const CUE: Partial<Record<NonNullable<ControlRow['cues']>[number]['as'], SoundEvent>> = {
  ...{ voice: 'menuLine', sound: 'chime', beep: 'beep' },
}
/** Sounds that go on for as long as their effect does, so that their end meets their beginning. */
export const LOOPS: ReadonlySet<SoundEvent> = new Set(['hum', 'lock', 'drag', 'melt'])

/** What is heard of one row: its action, what that brings, and its cues. */
const heardOf = (r: ControlRow): SoundEvent[] => [
  ...(SOUND_OF[r.does] ? [SOUND_OF[r.does]!] : []),
  ...(r.does === 'ignite' ? LIT : []),
  ...(r.beeps === undefined ? [] : (['beep'] as const)),
  ...(r.cues ?? []).flatMap((c) => CUE[c.as] ?? []),
]

/** Events that the configured controls can reach in a preset, each once, in the order of the rows. An unlit saber reaches no hum. */
export const reachableEvents = (saber: Pick<Saber, 'controls'>, preset: Preset): SoundEvent[] => [
  ...new Set(saber.controls.filter((r) => r.status !== 'unsure' && worksIn(r, preset.id)).flatMap(heardOf)),
]

/** Whether anything says what a preset sounds like: its font lists sounds. */
export const recorded = (saber: Saber, preset: Preset): boolean => !!fontOf(saber, preset)?.sounds.length

/**
 * Events that the controls reach in a preset and nothing is heard for: no sound of its font, none of a voice pack, no track. Those
 * of the board are not asked of a font. A preset whose font lists no sound at all is not judged.
 */
export function missingSounds(saber: Saber, preset: Preset): SoundEvent[] {
  if (!recorded(saber, preset)) return []
  const have = new Set<SoundEvent>(soundsOf(saber, preset).map((x) => x.event))
  if (tracksOf(saber, preset).length) have.add('track')
  // What is not there in a preset is not heard there either.
  const there = (e: SoundEvent) => preset.effects?.[e as LightEvent]?.is !== 'notThere'
  return reachableEvents(saber, preset).filter((e) => !have.has(e) && !BOARD_EVENTS.has(e) && there(e))
}

/** Events of the board that the controls reach in some preset and neither a voice pack nor its font has; nothing where no voice pack lists a sound. */
export function missingOfBoard(saber: Saber): SoundEvent[] {
  if (!saber.fonts.some((f) => f.is === 'voicePack' && f.sounds.length)) return []
  const missing = saber.presets.flatMap((p) => {
    const have = new Set(soundsOf(saber, p).map((x) => x.event))
    return reachableEvents(saber, p).filter((e) => BOARD_EVENTS.has(e) && !have.has(e))
  })
  return [...new Set(missing)]
}
