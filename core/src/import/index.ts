export { DEEPEST_JSON, nestedDeeper } from '../record/check/depth'
export { readCommission, readDocument, writeCommission } from '../record/check/document'
export { type Checked, explain, makeAjv, validateChange, validateCommission } from '../record/check/validate'
export { lift } from '../record/versions/lift'
export { type EarlierRow, type EarlierRows, MOST_EARLIER, readEarlierCsv } from './earlier'
export { type MapRead, readMap } from './map-file'
export {
  MOST_PARTS,
  type PartRows,
  type RowProblem,
  readPartsCsv,
  readPartsJson,
  validatePart,
  writePartsCsv,
} from './parts'
export { parseReading, type Readings, readReadings, type TakenReading } from './readings'
