export { type Analysis, analyse, type Delay, type Lost, type Matter } from './analyse'
export { type Collision, collisions } from './collisions'
export { type ControlProgram, compile, heldFrom, type Motion, type Pose, timingOf, USUAL, USUAL_HOLD } from './compile'
export { cuesOf, doingOf, gestureText, secondsInWords } from './gesture'
export { EVERYDAY, type Lesson, lessonsOf, type SlipFound, slipsOf } from './learning'
export { MAP_FORMAT, MAP_VERSION, MapFile, writeMap } from './map-sheet'
export { type Mend, mended, mendsFor } from './mend'
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
export { eventsFor, heldFor, patternOf, rowsDone } from './perform'
export { deadLine, type Played, playedLines } from './played'
export { askText, hintText, type Miss, missText, type Tried, triedAt } from './practice'
export {
  type BoardEvent,
  type BoardState,
  COLOUR_STEPS,
  type HandEvent,
  isMuted,
  type Made,
  startOf,
  stateIn,
  step,
  stepAll,
  USUAL_STEPS,
} from './simulate'
export { isException, readsAs, type Taken, takeMap } from './take-map'
export {
  type MapSheet,
  MODE_NAMES,
  sortsLedTo,
  TEMPLATE_NAMES,
  TEMPLATES,
  type Template,
  templateMap,
  usualModes,
} from './templates'
