import { later } from '../base/later'

export { useHandKeys } from './useHandKeys'
export { usePlay } from './usePlay'
export { wayOf } from './wayOf'

/** The hands that hold it come when somebody takes it up. */
export const Practice = later(() => import('./Practice').then((m) => m.Practice))
export const Hands = later(() => import('./Hands').then((m) => m.Hands))
