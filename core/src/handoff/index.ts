export { barShares } from './bars'
export type { Bar, Block, Chapter as HandoffChapter, FactRow } from './block'
export { CARD_PAPERS, type Card, type CardPaper, type CardPrim, cardSvg, controlsCard } from './card'
export { type Difference, differences } from './differences'
export {
  buildHandoff,
  fileNameOf,
  type HandoffDocument,
  handoffFileName,
  liftHandoff,
  readerOfHandoff,
  type ShopCard,
} from './document'
export { drawnSaber, handedFiles, handedSaber, handedSounds } from './drawn'
export { actScenes, farthestOf, statesIn, takenApart } from './figures'
export { labelOf, type ParcelLabel } from './label'
export {
  LETTER_KINDS,
  type Letter,
  type LetterAbout,
  type LetterKind,
  letterOf,
  type Unwritten,
  unwritten,
} from './letters'
export { type CardManifest, cardManifest } from './manifest'
export { FIRST, type FrozenAct, type FrozenProcedure, frozenOf, WAITS } from './procedures'
export { type Rest, type RestedLine, restsOf } from './provenance'
export { type Issued, noChapter, readReply } from './read-reply'
export { type RecallWords, recallMessage } from './recall'
export { shortened } from './short'
export { MOST_OPEN_QUESTIONS, type Taken, takeReply } from './take-reply'
export { type Arriving, departures, type ToTranslate, toTranslate } from './translating'
export { type FaultHelp, TROUBLES, troublesOf } from './troubles'
