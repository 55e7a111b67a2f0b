export {
  bodyOf,
  type Cavity,
  type CavityPiece,
  cavityOf,
  earliest,
  type Interval,
  inWall,
  type KeepOut,
  keepDepth,
  keepsOf,
  mainSocket,
  meet,
  onAxis,
  passable,
  startsOf,
  tightest,
} from './cavity'
export {
  type CrossSection,
  crossSectionAt,
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
  crossAt,
  type HiltShape,
  inArm,
  layOut,
  narrowest,
  outerAt,
  type Piece,
  type PlacedSection,
  sectionAt,
  socketSpan,
  spanOf,
} from './hilt'
export { freeAt, type Lie, lieOf, sideOf } from './placing'
export { type ProfileFault, type ProfilePoint, profileFaults, sectionFaults } from './profile'
export { profileFaultText } from './profile-words'
export { BESIDE_GAP, type Body, bundleDiameter, needRadius } from './radial'
