export { validateCommission } from '../record/validate'
export { migrate, readCommission, writeCommission } from './document'
export {
  CataloguePartSchema,
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
