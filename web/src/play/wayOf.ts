import type { Act, DIRECTIONS } from '@nubrin/core/record'
import type { ActOnDrawing } from '../store/actOnDrawing'

/** Which way a hand goes in an act, seen on the drawing. */
export function wayOf(x: { direction: (typeof DIRECTIONS)[number]; does: readonly Act[] }): ActOnDrawing['way'] {
  if (x.direction === 'clockwise' || x.direction === 'anticlockwise') return x.direction
  const [act] = x.does
  const to = act?.towards ?? 'emitter'
  if (act?.do === 'takeOff') return to === 'aside' ? 'up' : to
  return act?.do === 'putOn' ? ({ aside: 'down', pommel: 'emitter', emitter: 'pommel' } as const)[to] : undefined
}
