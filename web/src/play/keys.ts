import type { Motion, Pose } from '@nubrin/core/controls'

/** Keys of the buttons, in their order; no command of the bench stands on them. */
const BUTTONS = ['Z', 'X', 'C', 'V', 'B', 'N'] as const
export const keyOf = (n: number): string => BUTTONS[n] ?? ''

/** Keys of what the whole saber does. */
export const MOTION_KEYS: Readonly<Record<string, Motion>> = {
  ...{ w: 'swing', e: 'strike', r: 'twist', t: 'thrust', y: 'shake', q: 'flick' },
}
export const POSE_KEYS: Readonly<Record<string, Pose>> = { ArrowUp: 'up', ArrowDown: 'down' }
export const MOTIONS: readonly (readonly [Motion, string])[] = [
  ['swing', 'W'],
  ['strike', 'E'],
  ['twist', 'R'],
  ['thrust', 'T'],
  ['shake', 'Y'],
  ['flick', 'Q'],
]
