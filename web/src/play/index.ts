export { BladeLight } from './BladeLight'
export { Hands, useHandKeys } from './Hands'
export { PlayLayer } from './PlayLayer'
export { usePlay } from './usePlay'
