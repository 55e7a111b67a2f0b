export {
  after,
  type Collision,
  collisions,
  gestureText,
  HOLD_APART,
  type Mode,
  reachable,
  secondsInWords,
  traps,
} from './board'
