export type { Block, Chapter as HandoffChapter, FactRow } from './block'
export { buildHandoff, type HandoffDocument, handoffFileName, liftHandoff, type ShopCard } from './document'
export { drawnSaber } from './drawn'
