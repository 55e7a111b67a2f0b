export {
  type AnyFact,
  type ChoiceFact,
  type Claim,
  choiceFactOf,
  colourFactOf,
  type Fact,
  fact,
  factOf,
  isFact,
  isUnit,
  known,
  type NumberFact,
  printable,
  SOURCE_WORDS,
  SOURCES,
  type Source,
  sized,
  stated,
  type TextFact,
  textFactOf,
  UNSURE,
  unitOf,
} from './fact'
export { type Calculated, type Figure, type FigureInput, Gather, type Missing, missingText } from './figure'
export { formatFact } from './print'
export { correct, retract, sameReading, setAnew, settle, state } from './write'
