import type { Static } from '@sinclair/typebox'
import * as T from '@sinclair/typebox'
import { factOf } from '../../facts/fact'
import { STATUSES } from './preset'
import { idOf, ownId } from './ref'
import { Line, list, obj, oneOf, opt, Words } from './schema-kit'

/** What a mode is to whoever looks and listens: whether it shines, whether it is heard, whether it only asks to choose. */
export const STATES = ['asleep', 'off', 'lit', 'menu', 'muted', 'combat'] as const
/** What a menu lets one choose. */
export const CHOICES = ['preset', 'colour', 'volume', 'brightness', 'track', 'profile', 'effect', 'other'] as const
/** How one goes through a menu: by rows that step, or by turning the hilt about its length. */
export const CHOSEN_BY = ['stepping', 'turning'] as const
/** When a hold is carried out: as soon as its time has come, when it is let go, or for as long as it lasts. */
export const RELEASES = ['reached', 'letGo', 'whileHeld'] as const
/** When a cue comes, and how it is noticed. */
export const CUE_AT = ['start', 'step', 'end'] as const
export const CUE_AS = ['beep', 'voice', 'sound', 'flash', 'blade', 'buzz'] as const
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
  'choose',
  'chooseBack',
  'keep',
  'discard',
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

/** One mode of a board: what is seen and heard in it, what it sits on, and what it does by itself. */
export const Mode = obj({
  id: ownId('mode'),
  name: Words,
  is: oneOf(STATES),
  /** The mode that it is opened over, and goes back to. */
  on: opt(idOf('mode')),
  chooses: opt(oneOf(CHOICES)),
  by: opt(oneOf(CHOSEN_BY)),
  /** Without an input for so long it goes by itself, where to is named or is what it sits on. */
  after: opt(factOf('s')),
  leads: opt(idOf('mode')),
})

/** How the board reads a hand: what is not recorded is taken as boards usually have it, and is named as taken. */
export const Timing = obj({
  /** The longest press that still counts as a tap. */
  tapMost: opt(factOf('s')),
  /** The longest pause between two taps that count together. */
  tapGap: opt(factOf('s')),
  /** Two presses within this are a chord. */
  chordGap: opt(factOf('s')),
  /** Beeps while a button is held come this far apart. */
  beepEvery: opt(factOf('s')),
  /** The blade is up from here on, and down from here on, above and below level. */
  upFrom: opt(factOf('deg')),
  downFrom: opt(factOf('deg')),
  /** The narrowest window that a hand keeps. */
  handKeeps: opt(factOf('s')),
})

export const ControlRow = obj({
  id: ownId('row'),
  mode: idOf('mode'),
  pose: oneOf(POSES),
  input: idOf('input'),
  gesture: oneOf(GESTURES),
  times: opt(T.Integer({ minimum: 1, maximum: 9 })),
  hold: opt(factOf('s')),
  /** Let go by then. */
  most: opt(factOf('s')),
  /** Let go after so many beeps, instead of a time. */
  beeps: opt(T.Integer({ minimum: 1, maximum: 20 })),
  release: opt(oneOf(RELEASES)),
  other: opt(idOf('input')),
  /** Of a chord: the one named first is pressed first. */
  ordered: opt(T.Boolean()),
  does: oneOf(ACTIONS),
  to: opt(idOf('mode')),
  /** In the maker's words, when the action's own name does not say it. */
  says: opt(Words),
  presets: opt(list(idOf('preset'), 60)),
  cues: opt(list(obj({ at: oneOf(CUE_AT), as: oneOf(CUE_AS), says: opt(Words) }), 6)),
  status: oneOf(STATUSES),
  /** How it reads in the standard that it was taken from; what reads otherwise now is an exception. */
  standard: opt(Line),
})

export type Input = Static<typeof Input>
export type ControlRow = Static<typeof ControlRow>
export type Mode = Static<typeof Mode>
export type Timing = Static<typeof Timing>
/** What a mode is. */
export type ModeIs = (typeof STATES)[number]
