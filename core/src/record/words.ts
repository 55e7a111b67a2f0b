import type { ACTIONS, TASKS } from './schema'

/** What an action is called in a sentence to the client. */
export const ACTION_WORDS: Record<(typeof ACTIONS)[number], string> = {
  powerOn: 'power on',
  powerOff: 'cut the power',
  wake: 'wake it',
  sleep: 'send it to sleep',
  ignite: 'ignite',
  retract: 'retract',
  nextPreset: 'next preset',
  previousPreset: 'previous preset',
  lock: 'lock',
  drag: 'drag the tip',
  melt: 'melt',
  deflect: 'deflect',
  surge: 'surge',
  quote: 'play a quote',
  track: 'play a track',
  trackStop: 'stop the track',
  colour: 'change the colour',
  volumeUp: 'louder',
  volumeDown: 'quieter',
  mute: 'mute',
  unmute: 'unmute',
  menuOpen: 'open the menu',
  menuClose: 'leave the menu',
  combatOn: 'combat mode on',
  combatOff: 'combat mode off',
  battery: 'show the battery level',
  other: 'something else',
}

/** What an access task is called as a heading. */
export const TASK_WORDS: Record<(typeof TASKS)[number], string> = {
  powerOn: 'Switch it on',
  powerOff: 'Cut the power',
  bladeIn: 'Put the blade in',
  bladeOut: 'Take the blade out',
  open: 'Open the hilt',
  cellIn: 'Put the cell in',
  cellOut: 'Take the cell out',
  close: 'Close the hilt',
  charge: 'Charge it',
  card: 'Reach the memory card',
}

/** Turns a camelCase key into words: `bladeRetention` → `blade retention`. */
export const words = (key: string) => key.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()
