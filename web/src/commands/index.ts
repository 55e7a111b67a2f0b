export { type Command, perform, pressed, type Scope, type Sheet } from './command'
export { KeySheet } from './KeySheet'
export { COMMANDS } from './list'
export { useCommands, useKeys } from './useCommands'
