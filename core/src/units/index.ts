export { formatNumber, inchFraction, mmAndInch } from './format'
export { aboutText, learnLittle, notRecordedText } from './little'
export { nearestWord, type SizeKind, type Suggestion, screwName, suggestCode, suggestNominal } from './nominal'
export { type Parsed, type ParseFailure, parseMeasure, type Quantity, quantityOf } from './parse'
export {
  alwaysSpeaking,
  dayText,
  LANGUAGES,
  type Language,
  MEASURES,
  type Measures,
  type Reader,
  speaking,
  spokenTo,
  tongue,
} from './tongue'
export { possible, UNITS, type Unit } from './unit'
