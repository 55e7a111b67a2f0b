export {
  bodyOf,
  type Cavity,
  type CavityPiece,
  cavityOf,
  earliest,
  type Interval,
  inWall,
  type KeepOut,
  keepsOf,
  mainSocket,
  meet,
  onAxis,
  passable,
  reachesOf,
  roundRoom,
  startsOf,
  tightest,
} from './cavity'
export {
  type CrossSection,
  crossSectionAt,
  cutting,
  type FreeCircle,
  freeCircle,
  type Lying,
  layWires,
  roughlyFree,
} from './cross-section'
export {
  boreAt,
  type Certainty,
  certainty,
  clipped,
  crossAt,
  deepestJoint,
  type HiltShape,
  inArm,
  LEAST_WALL,
  layOut,
  narrowest,
  openingSpan,
  outerAt,
  type Piece,
  type PlacedSection,
  sectionAt,
  sideOpenings,
  socketSpan,
  spanOf,
} from './hilt'
export { freeAt, type Lie, lieOf, sideOf } from './placing'
export { type ProfileFault, type ProfilePoint, profileFaults, sectionFaults } from './profile'
export { profileFaultText } from './profile-words'
export { BESIDE_GAP, type Body, bundleDiameter, type Laid, lay, needRadius, type Reach, spareOf } from './radial'
