/** What is drawn with scales, loaded as one. */
export { History } from './History'
export { LimitBar } from './LimitBar'
