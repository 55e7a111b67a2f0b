export { type CardFile, cardFiles } from './card-files'
export { BOARD_EVENTS, LOOPS, missingOfBoard, missingSounds, reachableEvents, recorded, SOUND_OF } from './events'
export { guessEvent, type Shape } from './guess'
export { type Evened, evened, gainOf, HIGHEST_PEAK, loudestPeak, timesBySound } from './levels'
export { type Loudness, loudnessMeter } from './loudness'
export { type Measured, type Seam, soundMeter } from './measure'
export { measuresOf } from './measures'
export { type NameRule, type Placed, placeByName, USUAL_RULES } from './naming'
export { type Outline, outlineOf } from './outline'
export { clashingNames, isLitter, type PathFault, pathFault } from './paths'
export { peakMeter } from './true-peak'
export {
  louder,
  MOST_SOUND_BYTES,
  monoOf,
  plainWav,
  playable,
  readWav,
  type WavFacts,
  type WavFault,
  wavFault,
} from './wav'
