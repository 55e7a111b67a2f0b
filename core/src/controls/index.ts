export { after, type Collision, collisions, HOLD_APART, type Mode, reachable, traps } from './board'
export { doingOf, gestureText, secondsInWords } from './gesture'
