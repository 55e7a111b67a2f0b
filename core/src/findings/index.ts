export { type Calculated, type Figure, type FigureInput, Gather, type Missing, missingText } from './figure'
export { type Check, type Context, type Finding, type Level, type Raised, STATIONS, type Station } from './finding'
export { CHECKS, gateOf, judgeCommission, progress, type StationState, stationStates } from './registry'
