import type { Style } from './sheet'

export const INK = '#1e2a2b'
export const QUIET = '#5d5749'
export const BRASS = '#8f651f'
export const RULE = '#cfc5b0'
export const STOP = '#a63a2b'
export const FINE = '#3d6b45'
export const text: Style = { size: 9.4, weight: 400, colour: INK, lead: 1.35 }
export const quiet: Style = { ...text, colour: QUIET }
export const small: Style = { ...text, size: 7.8, colour: QUIET, lead: 1.25 }
export const bold: Style = { ...text, weight: 600 }
export const number: Style = { ...text, weight: 700, colour: BRASS }
export const head: Style = { ...text, size: 8.2, weight: 600, colour: QUIET }
export const chapter: Style = { ...text, size: 15, weight: 700 }
export const foot: Style = { ...text, size: 7.8, colour: QUIET }
