export {
  ALL_FACTS,
  type Catalogue,
  type Check,
  type Context,
  check,
  type Raised,
  type Reads,
  type Worded,
} from './check'
export { CHECKS } from './checks'
export { type Finding, type Level, STATIONS, type Station } from './finding'
export { gateOf, progress, type StationState, stationStates } from './progress'
export { type Judge, judgeCommission, makeJudge } from './registry'
export { WORDS } from './words'
