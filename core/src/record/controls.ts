import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf } from '../facts/fact'
import { STATUSES } from './preset'
import { idOf, ownId } from './ref'
import { Line, list, obj, oneOf, opt } from './schema-kit'

export const STATES = ['asleep', 'off', 'lit', 'menu', 'muted', 'combat'] as const
export const POSES = ['any', 'up', 'level', 'down'] as const
export const GESTURES = [
  'tap',
  'hold',
  'holdThenTap',
  'chord',
  'holdStrike',
  'holdFlick',
  'twist',
  'thrust',
  'swing',
  'shake',
  'slide',
  'insert',
] as const
export const ACTIONS = [
  'powerOn',
  'powerOff',
  'wake',
  'sleep',
  'ignite',
  'retract',
  'nextPreset',
  'previousPreset',
  'lock',
  'drag',
  'melt',
  'deflect',
  'surge',
  'quote',
  'track',
  'trackStop',
  'colour',
  'volumeUp',
  'volumeDown',
  'mute',
  'unmute',
  'menuOpen',
  'menuClose',
  'combatOn',
  'combatOff',
  'battery',
  'other',
] as const
export type Action = (typeof ACTIONS)[number]
export const INPUT_KINDS = ['button', 'motion', 'slide', 'key', 'magnet', 'port'] as const

export const Input = obj({
  id: ownId('input'),
  name: Line,
  kind: oneOf(INPUT_KINDS),
  opening: opt(idOf('opening')),
  part: opt(idOf('part')),
})

export const ControlRow = obj({
  id: ownId('row'),
  state: oneOf(STATES),
  pose: oneOf(POSES),
  input: idOf('input'),
  gesture: oneOf(GESTURES),
  times: opt(T.Integer({ minimum: 1, maximum: 9 })),
  hold: opt(factOf('s')),
  other: opt(idOf('input')),
  does: oneOf(ACTIONS),
  to: opt(oneOf(STATES)),
  /** In the maker's words, when the action's own name does not say it. */
  says: opt(Line),
  presets: opt(list(idOf('preset'), 60)),
  status: oneOf(STATUSES),
})

export type Input = Static<typeof Input>
export type ControlRow = Static<typeof ControlRow>
