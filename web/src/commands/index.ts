export type { Sheet } from './command'
export { KeySheet } from './KeySheet'

export { useCommands, useKeys } from './useCommands'
