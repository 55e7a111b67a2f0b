export { filmPieces } from './at-hand'
export { type Caution, cautionsOf } from './cautions'
export { beatFor, compose, composedWords, uncovered } from './compose'
export { type CueTime, chaptersAt, chaptersOf, cueTimes, firstWords, markdownOf, stamp, webVttOf } from './export'
export { filmedOtherwise } from './filmed-mark'
export {
  type FilmAct,
  type Filming,
  filmed,
  filmOf,
  firstOpen,
  overBy,
  remaining,
  type SlipKind,
  takeOf,
} from './filming'
export { factToken, liveBeat, liveBeats, liveText, lostFacts, type Sayable, sayableFacts } from './live'
export type { Order } from './order'
export { firstSentenceEnd, merged, type Stray, splitAt, straysOf } from './place'
export { type Ready, readinessOf } from './readiness'
export { type Rehearsal, type RehearsalFault, rehearse, spokenSeconds } from './rehearse'
export { guessSeconds } from './seconds'
export { inOneBreath, spokenPart } from './spoken'
export { type Stale, staleSentences } from './stale'
export { type Clip, chaptersVttOf, clipsOf, descriptionOf, endOf, leftOutOf, takeCsvOf } from './take'
export { toldNow, toldOtherwise } from './told'
export {
  type Chapter,
  firstSaid,
  listed,
  powerAbout,
  seenText,
  type Telling,
  type Topic,
  type TopicMemory,
  tellingOrder,
  tellingsOf,
  topicsOf,
  waysToWear,
} from './topics'
export { giftOf, isName, listenerOf, type Reader, readersOf } from './topics/readers'
export { proposeTrim, SHORT, spokenLength, targetOf } from './trim'
export { troubleText } from './trouble-words'
export { MOST_EXACT, type WalkCost, walkCost, walked } from './walk'
export { turnsSaid } from './wording-check'
