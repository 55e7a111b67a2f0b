export { type Compared, type Happened, type Learned, learnedFrom, type Own } from './learned'
export {
  type Bias,
  biasesOf,
  type From,
  type Often,
  oftenOf,
  PROPOSED_FROM,
  type ShelfProposal,
  shelfProposals,
} from './stats'
