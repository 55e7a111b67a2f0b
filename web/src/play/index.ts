import { lazyView } from '../base/lazy'

export { Slowed } from './Slowed'
export { useHandKeys } from './useHandKeys'
export { usePlay } from './usePlay'
export { wayOf } from './wayOf'

/** The hands that hold it come when somebody takes it up. */
export const Practice = lazyView(() => import('./Practice').then((m) => m.Practice))
export const Hands = lazyView(() => import('./Hands').then((m) => m.Hands))
