export { type Alternative, alternatives, exchange, exchanged } from './alternatives'
export { type Balance, balance, balanceWhatIfs, DENSITY, gripMiddle, type WhatIf } from './balance'
export {
  type Adapter,
  adapterFor,
  DUEL_WORDS,
  type DuelJudgement,
  demoAgainstShipped,
  exposed,
  judgeDuel,
  type Shopping,
  shoppingList,
  stringSums,
  swingRoom,
} from './blades'
export {
  type Cavity,
  type CavityPiece,
  cavityOf,
  type Interval,
  inWall,
  type KeepOut,
  passable,
  startsOf,
} from './cavity'
export { axialSlack, chassisWall, fitParts, overlaps, type PartFit, type Slack, ventShare } from './chain'
export { standardKey } from './fasteners'
export { CLAMP, type Clamp, clampOf, GRILLE_AIR, grilleAir, overClosing } from './hold'
export {
  gaveUpWords,
  type LayoutWish,
  layoutFacts,
  layoutWords,
  type PreparedLayouts,
  prepareLayouts,
  type Review,
  reviewLayout,
  verdictWords,
  withLayout,
} from './plan'
export { BESIDE_GAP, type Body, bundleDiameter, needRadius } from './radial'
export {
  type Arrangement,
  arrangementsOf,
  type Candidate,
  findLayouts,
  type Layout,
  type LayoutProblem,
  type LayoutResult,
  layoutsOf,
  type Verdict,
  worth,
} from './search'
export { HOLE_OF, seatAll, seatOf } from './seats'
export { type FreeCircle, freeCircle, type Lying, layWires, type Slice, sliceAt } from './slice'
export { judgeSocket, SOCKET_LIMITS, SOCKET_WORDS, type SocketClass, type SocketFit } from './socket'
export { gapsAlong, spacersFor } from './spacers'
export { type CloseChance, chanceToClose, evenNumbers } from './tolerance'
export { type Conductors, conductorsOf, tightestWires, type WireRoom, wireRoom, wiresBlocked } from './wires'
