export { type Analysis, analyse, type Delay, type Lost, type Matter } from './analyse'
export { type Collision, collisions } from './collisions'
export { type Board, compile, heldFrom, type Motion, type Pose, timingOf, USUAL, USUAL_HOLD } from './compile'
export { doingOf, gestureText, secondsInWords } from './gesture'
export {
  after,
  type ControlMap,
  isOf,
  LEADS_TO,
  modeById,
  modeName,
  modeThatIs,
  reach,
  reachable,
  rowOfMap,
  rowsIn,
  shines,
  startsOf,
  type Trap,
  timeOutOf,
  traps,
} from './modes'
export {
  type BoardState,
  COLOUR_STEPS,
  type HandEvent,
  type Happening,
  isMuted,
  type Made,
  startOf,
  step,
  stepAll,
  USUAL_STEPS,
} from './simulate'
export { MODE_NAMES, sortsLedTo, usualModes } from './templates'
