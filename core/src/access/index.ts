export type { Unused } from './lay'
export {
  lookedAt,
  lookThrough,
  marksOf,
  type Piece,
  type Possible,
  piecesOf,
  proceduresOf,
  saidOf,
  statesOf,
  type Told,
  type ToldAct,
  withoutGoal,
} from './procedures'
export { moved, ownAfter, procedureIn, saysNothing, stepFor } from './say'
