export {
  type Block,
  buildHandoff,
  type Chapter as HandoffChapter,
  type HandoffDocument,
  handoffFileName,
} from './document'
export { proposePacking } from './packing'
