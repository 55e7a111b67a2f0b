export { type Adapter, adapterFor, adapterText } from './adapter'
export { type Alternative, alternatives, exchange, exchanged } from './alternatives'
export { type Balance, balance, balanceWhatIfs, DENSITY, gripMiddle, type WhatIf } from './balance'
export { axialSlack, fitParts, inEndWall, inSeat, overlaps, type PartFit, type Slack, ventShare } from './chain'
export { CLAMP, type Clamp, clampOf, GRILLE_AIR, grilleAir, overClosing } from './clamp'
export { cellTooShort } from './contact'
export { type BladeDifference, bladeDifferenceText, demoAgainstShipped } from './demo-blade'
export { type DuelJudgement, type DuelReason, judgeDuel } from './duel'
export { duelReasonText } from './duel-words'
export { exposed, swingRoom } from './exposed'
export { keyMm, keysAlike, standardKey } from './fasteners'
export { type LayoutWish, type PreparedLayouts, prepareLayouts, withLayout } from './plan'
export { gaveUpWords, layoutWords, verdictWords } from './plan-words'
export {
  type Broken,
  brokenText,
  changeText,
  type LayoutChange,
  layoutFacts,
  type Review,
  reviewLayout,
} from './review'
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
export { type Shopping, type ShoppingNeed, shoppingList, shoppingNeedText } from './shopping'
export { judgeSocket, SOCKET_LIMITS, SOCKET_WORDS, type SocketClass, type SocketFit } from './socket'
export { gapsAlong, spacersFor } from './spacers'
export { stringSums } from './string-sums'
export { type CloseChance, chanceToClose, evenNumbers } from './tolerance'
export { type Barred, barredParts } from './way-in'
export { type Conductors, conductorsOf, tightestWires, type WireRoom, wireRoom, wiresBlocked } from './wires'
