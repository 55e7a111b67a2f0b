export { type Alternative, alternatives, exchange, exchanged } from './alternatives'
export { type Balance, balance, DENSITY } from './balance'
export { type Cavity, type CavityPiece, cavityOf, type KeepOut, passable, startsOf } from './cavity'
export { axialSlack, chassisWall, fitParts, overlaps, type PartFit, type Slack, ventShare } from './chain'
export { standardKey } from './fasteners'
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
} from './layouts'
export {
  gaveUpWords,
  gripMiddle,
  type LayoutWish,
  layoutFacts,
  layoutWords,
  type PreparedLayouts,
  prepareLayouts,
  type Review,
  reviewLayout,
  summaryWords,
  verdictWords,
  withLayout,
} from './plan'
export { BESIDE_GAP, type Body, bundleDiameter, needRadius } from './radial'
export { judgeSocket, SOCKET_LIMITS, SOCKET_WORDS, type SocketClass, type SocketFit } from './socket'
