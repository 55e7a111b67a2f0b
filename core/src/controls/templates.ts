import { fact } from '../facts'
import { type ControlRow, type Input, type Mode, type ModeIs, STATES, type Timing } from '../record'
import { LEADS_TO } from './modes'

/** What the usual modes are called. */
export const MODE_NAMES: Readonly<Record<ModeIs, string>> = {
  ...{ asleep: 'asleep', off: 'blade off', lit: 'blade lit', menu: 'menu', muted: 'muted', combat: 'combat' },
}

/** The usual modes of some sorts, in their usual order, with ids made from a beginning. */
export const usualModes = (prefix: string, sorts: Iterable<ModeIs>): Mode[] => {
  const wanted = new Set(sorts)
  return STATES.filter((is) => wanted.has(is)).map((is) => ({ id: `${prefix}-${is}`, name: MODE_NAMES[is], is }))
}

/** The sorts of modes that rows lead to without saying so. */
export const sortsLedTo = (rows: readonly ControlRow[]): ModeIs[] => rows.flatMap((r) => LEADS_TO[r.does] ?? [])

/** A map that can be taken over by any saber: its inputs are known by their kind and their order. */
export interface MapSheet {
  name: string
  modes: Mode[]
  timing: Timing
  inputs: Input[]
  controls: ControlRow[]
}

export const TEMPLATES = ['oneButton', 'twoButtons', 'gestures', 'beginner'] as const
export type Template = (typeof TEMPLATES)[number]
export const TEMPLATE_NAMES: Readonly<Record<Template, string>> = {
  oneButton: 'one button',
  twoButtons: 'two buttons',
  gestures: 'two buttons and gestures',
  beginner: 'one button, for a beginner',
}

type Draft = [
  mode: string,
  gesture: ControlRow['gesture'],
  input: string,
  does: ControlRow['does'],
  more?: Partial<ControlRow> & { s?: number },
]

const VOLUME: Draft[] = [
  ['volume', 'tap', 'a', 'choose', { says: 'one step louder' }],
  ['volume', 'tap', 'a', 'chooseBack', { times: 2, says: 'one step softer' }],
  ['volume', 'hold', 'a', 'keep', { s: 1, cues: [{ at: 'end', as: 'beep' }] }],
]
const DRAFTS: Readonly<Record<Template, readonly Draft[]>> = {
  beginner: [
    ['off', 'tap', 'a', 'ignite'],
    ['off', 'hold', 'a', 'nextPreset', { s: 2 }],
    ['lit', 'hold', 'a', 'retract', { s: 1 }],
  ],
  oneButton: [
    ['asleep', 'tap', 'a', 'wake'],
    ['off', 'tap', 'a', 'ignite'],
    ['off', 'tap', 'a', 'nextPreset', { times: 2 }],
    ['off', 'hold', 'a', 'menuOpen', { s: 2, to: 'volume', says: 'open the volume menu' }],
    ['lit', 'tap', 'a', 'deflect'],
    ['lit', 'holdStrike', 'a', 'lock'],
    ['lit', 'hold', 'a', 'retract', { s: 2 }],
    ...VOLUME,
  ],
  twoButtons: [
    ['asleep', 'tap', 'a', 'wake'],
    ['off', 'tap', 'a', 'ignite'],
    ['off', 'tap', 'b', 'nextPreset'],
    ['off', 'tap', 'b', 'previousPreset', { times: 2 }],
    ['off', 'hold', 'b', 'menuOpen', { s: 2, to: 'volume', says: 'open the volume menu' }],
    ['lit', 'tap', 'b', 'deflect'],
    ['lit', 'hold', 'b', 'lock', { s: 0.6, release: 'whileHeld' }],
    ['lit', 'tap', 'b', 'drag', { times: 2, pose: 'down' }],
    ['lit', 'hold', 'a', 'retract', { s: 1 }],
    ...VOLUME,
  ],
  gestures: [
    ['asleep', 'tap', 'a', 'wake'],
    ['off', 'holdFlick', 'a', 'ignite'],
    ['off', 'tap', 'a', 'nextPreset', { times: 2 }],
    ['off', 'tap', 'b', 'previousPreset', { times: 2 }],
    ['off', 'hold', 'b', 'menuOpen', { s: 2, to: 'volume', says: 'open the volume menu' }],
    ['lit', 'holdStrike', 'b', 'lock'],
    ['lit', 'thrust', 'm', 'melt'],
    ['lit', 'tap', 'b', 'deflect'],
    ['lit', 'hold', 'a', 'retract', { s: 1 }],
    ...VOLUME,
  ],
}
const INPUTS: readonly Input[] = [
  { id: 'a', name: 'button', kind: 'button' },
  { id: 'b', name: 'second button', kind: 'button' },
  { id: 'm', name: 'hilt', kind: 'motion' },
]

/** A map to start from: ours, plain, and meant to be changed. */
export function templateMap(which: Template): MapSheet {
  const drafts = DRAFTS[which]
  const inputs = INPUTS.filter((i) => drafts.some((d) => d[2] === i.id))
  const sorts = new Set(drafts.map((d) => d[0]))
  return {
    name: TEMPLATE_NAMES[which],
    modes: [
      ...STATES.filter((is) => sorts.has(is)).map((is): Mode => ({ id: is, name: MODE_NAMES[is], is })),
      ...(sorts.has('volume')
        ? [
            {
              ...({ id: 'volume', name: 'volume menu', is: 'menu', on: 'off' } as const),
              ...({ chooses: 'volume', by: 'stepping', after: fact(10, 's', 'assumed') } as const),
            },
          ]
        : []),
    ],
    timing: {},
    inputs: [...inputs],
    controls: drafts.map(([mode, gesture, input, does, { s, ...more } = {}], i) => ({
      ...({ id: `r${i}`, mode, pose: 'any', input, gesture, does, status: 'configured' } as const),
      ...(s === undefined ? {} : { hold: fact(s, 's', 'assumed') }),
      ...more,
    })),
  }
}
