import { isFact } from '../facts'
import { blankSaber, type Commission, type Font, type Saber, type Sound } from '../record'

/** What no drawing shows of a thing. */
const UNDRAWN: ReadonlySet<string> = new Set([
  ...['note', 'shopNote', 'lot', 'supplied', 'catalogue', 'otherEnd', 'type', 'configured', 'landmark'],
  ...[
    'story',
    'askedBy',
    'why',
    'shopWhy',
    'asked',
    'favourite',
    'exceptions',
    'picture',
    'timesWhy',
    'confirmed',
    'charged',
    'damaged',
  ],
])

/** Where a value comes from is the shop's; that two values stand against each other shows on the drawing, which values does not. */
function bare<T>(v: T): T {
  if (Array.isArray(v)) return v.map(bare) as T
  if (typeof v !== 'object' || v === null) return v
  if (isFact(v)) {
    const { trail: _t, with: _w, on: _o, by: _b, rivals, ...fact } = v as unknown as Record<string, unknown>
    return {
      ...fact,
      ...(Array.isArray(rivals) && rivals.length ? { rivals: [{ value: null, source: 'unknown' }] } : {}),
    } as T
  }
  return Object.fromEntries(
    Object.entries(v)
      // Where a screw comes from is a statement; where a hilt does is a choice that its schema wants.
      .filter(([k, x]) => !UNDRAWN.has(k) && !(k === 'origin' && isFact(x)))
      .map(([k, x]) => [k, bare(x)]),
  ) as T
}

/** A sound as it is played: what it is of, and its file where its licence lets it be copied. What it is called is the shop's; a track is named by it. */
const heard = ({ id, event, name, media }: Sound, mayCopy: boolean): Sound => ({
  ...{ id, event, name: event === 'track' ? name : '' },
  ...(mayCopy && media ? { media } : {}),
})
const handedFont = ({ id, name, is, gain, mayCopy = false, sounds }: Font): Font => ({
  ...{ id, name, is, sounds: sounds.filter((q) => mayCopy || q.event === 'track').map((q) => heard(q, mayCopy)) },
  ...(gain ? { gain: bare(gain) } : {}),
})

/**
 * A saber as a client takes it in hand on his page: drawn, with its buttons, modes, controls, lights and joints, so that it is
 * pressed, lit and opened as the real one is; nothing of the shop's notes, sources, tests and repairs.
 */
export const handedSaber = (s: Saber): Saber => ({
  ...drawnSaber(s),
  inputs: s.inputs,
  modes: bare(s.modes),
  timing: bare(s.timing),
  controls: bare(s.controls).map(({ standard: _s, ...r }) => r),
  presets: bare(s.presets),
  fonts: s.fonts.map(handedFont),
  zones: bare(s.zones),
  joints: bare(s.joints),
  spoken: s.spoken,
  settings: { sensitivities: [], ...(s.settings.volumeSteps ? { volumeSteps: bare(s.settings.volumeSteps) } : {}) },
})

/** The stored sounds that a client's page carries: those whose licence lets them be copied. */
export const handedSounds = (c: Commission): string[] =>
  c.sabers.flatMap((s) => s.fonts.filter((f) => f.mayCopy).flatMap((f) => f.sounds.flatMap((q) => q.media ?? [])))
/** The stored files that a client's page shows: photos and those sounds. No others are given out. */
export const handedFiles = (c: Commission): string[] => [...c.media.map((m) => m.hash), ...handedSounds(c)]

/** A saber as far as its drawing shows it, for a client's page: nothing of the shop's notes, sources, tests and repairs. */
export const drawnSaber = (s: Saber): Saber => ({
  ...blankSaber(() => s.id, s.name, s.job),
  ...{ cutPower: s.cutPower, order: s.order, ...(s.keyDoes ? { keyDoes: s.keyDoes } : {}) },
  hilt: bare(s.hilt),
  parts: bare(s.parts),
  blades: bare(s.blades),
  presets: s.presets.slice(0, 1).map(({ font: _f, ...p }) => ({ ...bare(p), tracks: [] })),
  use: bare(s.use),
})
