export { demoDiffers } from './demo-differs'
export { neverTold } from './never-told'
export { rehearsal } from './rehearsal'
export { stale } from './stale'
