export type { Block, Chapter as HandoffChapter, FactRow } from './block'
export { CARD_PAPERS, type Card, type CardPaper, type CardPrim, cardSvg, controlsCard } from './card'
export { buildHandoff, type HandoffDocument, handoffFileName, liftHandoff, type ShopCard } from './document'
export { drawnSaber } from './drawn'
