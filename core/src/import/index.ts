export { DEEPEST_JSON, nestedDeeper } from '../record/depth'
export { readCommission, readDocument, writeCommission } from '../record/document'
export { type Checked, explain, makeAjv, validateCommission } from '../record/validate'
export { lift } from '../record/versions/lift'
export {
  csvCells,
  MOST_PARTS,
  type PartRows,
  PartsReader,
  type RowProblem,
  readPartsCsv,
  readPartsJson,
  validatePart,
  writePartsCsv,
} from './parts'
