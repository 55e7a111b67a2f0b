export { Hands, useHandKeys } from './Hands'
export { usePlay } from './usePlay'
