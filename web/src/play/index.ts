import { later } from '../later'

export { useHandKeys } from './useHandKeys'
export { usePlay } from './usePlay'

/** The hands that hold it come when somebody takes it up. */
export const Hands = later(() => import('./Hands').then((m) => m.Hands))
