export {
  type Cavity,
  type CavityPiece,
  cavityOf,
  type Interval,
  inWall,
  type KeepOut,
  keepDepth,
  mainSocket,
  onAxis,
  passable,
  startsOf,
} from './cavity'
export { type CrossSection, crossSectionAt, type FreeCircle, freeCircle, type Lying, layWires } from './cross-section'
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
export { type ProfileFault, type ProfilePoint, profileFaults, sectionFaults } from './profile'
export { profileFaultText } from './profile-words'
export { BESIDE_GAP, type Body, bundleDiameter, needRadius } from './radial'
