export {
  type AnyFact,
  type ChoiceFact,
  type Claim,
  choiceFactOf,
  type Fact,
  fact,
  factOf,
  isFact,
  known,
  type NumberFact,
  printable,
  SOURCE_WORDS,
  SOURCES,
  type Source,
  sized,
  type TextFact,
  textFactOf,
  unitOf,
} from './fact'
export { type Calculated, type Figure, type FigureInput, Gather, type Missing, missingText } from './figure'
export { formatFact } from './print'
export { correct, retract, sameReading, settle, state } from './write'
