export { dayAfter, daysBetween, weekdayOf } from './days'
export { formatNumber, inchFraction, mmAndInch, sizeText } from './format'
export {
  dayText,
  LANGUAGE_NAME,
  LANGUAGES,
  type Language,
  MAKER,
  MEASURES,
  type Measures,
  type Reader,
} from './language'
export { aboutText, learnLittle, notRecordedText } from './little'
export { nearestWord, type SizeKind, type Suggestion, screwName, suggestCode, suggestNominal } from './nominal'
export { type Parsed, type ParseFailure, parseMeasure, parseNumber, type Quantity, quantityOf } from './parse'
export { eitherOr, parseFaultText } from './parse-words'
export { possible, UNITS, type Unit } from './unit'
