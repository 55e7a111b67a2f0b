import { type Assembly, wordsOf } from '@nubrin/core/machine'
import type { Act, Saber } from '@nubrin/core/record'
import type { Reader } from '@nubrin/core/units'
import type { ActOnDrawing } from '../store/actOnDrawing'

/** Which way a hand goes in an act, seen on the drawing. */
export function wayOf(reader: Reader, s: Saber, a: Assembly, act: Act): ActOnDrawing['way'] {
  const d = wordsOf(reader, s, a, act)?.direction
  if (d === 'clockwise' || d === 'anticlockwise') return d
  const to = act.towards ?? 'emitter'
  if (act.do === 'takeOff') return to === 'aside' ? 'up' : to
  return act.do === 'putOn' ? ({ aside: 'down', pommel: 'emitter', emitter: 'pommel' } as const)[to] : undefined
}
