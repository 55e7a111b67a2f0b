export { refusalWords } from './carrier-words'
export { CARRIERS, type Carrier, type CarrierSays, type CellsIn, carrierOf, carrierSays } from './carriers'
export { type PackingLine, proposePacking } from './packing'
export {
  cellsOf,
  cellsUnsent,
  confirmable,
  confirmation,
  contentsOf,
  expectedMass,
  isPacked,
  lithiumOf,
  parcelOf,
} from './parcel'
