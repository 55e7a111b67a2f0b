export { type Balance, balance, balanceWhatIfs, DENSITY, gripMiddle, type WhatIf } from './balance'
export { changeWords } from './balance-words'
export { type Adapter, adapterFor, adapterText } from './blade/adapter'
export { type BladeDifference, bladeDifferenceText, demoAgainstShipped } from './blade/demo-blade'
export { type DuelJudgement, type DuelReason, judgeDuel } from './blade/duel'
export { duelReasonText } from './blade/duel-words'
export { exposed, swingRoom } from './blade/exposed'
export { heldDeep, type JudgedSeat, judgedSeats, playOf, type Seat, seatsOf } from './blade/seat'
export { judgeSocket, SOCKET_LIMITS, SOCKET_WORDS, type SocketClass, type SocketFit } from './blade/socket'
export { stringSums } from './blade/string-sums'
export { keyMm, keysAlike, standardKey } from './fasteners'
export { axialSlack, fitParts, inEndWall, inSeat, overlaps, type PartFit, type Slack, ventShare } from './length/chain'
export { CLAMP, type Clamp, clampOf, GRILLE_AIR, grilleAir, overClosing } from './length/clamp'
export { cellTooShort } from './length/contact'
export { type BlockedPart, blockedParts } from './length/insertion'
export {
  type Broken,
  brokenText,
  changeText,
  type LayoutChange,
  layoutFacts,
  type Review,
  reviewLayout,
} from './length/review'
export { gapsAlong, spacersFor } from './length/spacers'
export { type CloseChance, chanceToClose, evenNumbers } from './length/tolerance'
export { type Alternative, alternatives, exchange, exchanged } from './planning/alternatives'
export { gaveUpWords, layoutWords, verdictWords } from './planning/layout-words'
export { type LayoutWish, type PreparedLayouts, prepareLayouts, withLayout } from './planning/layouts'
export { HOLE_OF, seatAll, seatOf } from './planning/seats'
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
export { type Shopping, type ShoppingNeed, shoppingList, shoppingNeedText } from './shopping'
export { type Conductors, conductorsOf, tightestWires, type WireRoom, wireRoom, wiresBlocked } from './wires'
