export { after, type Collision, collisions, HOLD_APART, type Mode, reach, reachable, type Trap, traps } from './board'
export { doingOf, gestureText, secondsInWords } from './gesture'
