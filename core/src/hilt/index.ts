export {
  boreAt,
  type Certainty,
  certainty,
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
} from './geometry'
export { type ProfileFault, type ProfilePoint, profileFaults, sectionFaults } from './profile'
export { hatch, Pen, type Prim, type Pt, type Role, type Scene, type Spot, type TextRole } from './scene'
export { drawSection, placeOf, type SectionView } from './section-drawing'
export { INK, inkOf, pathData, svgOf, TEXT_INK } from './svg'
export { drawUnrolled } from './unrolled-drawing'
