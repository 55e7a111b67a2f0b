export { compose, fromTelling, guessSeconds, type Order, uncovered } from './compose'
export { type CueTime, chaptersOf, cueTimes, markdownOf, stamp, webVttOf } from './export'
export { type Rehearsal, rehearse, spokenSeconds, type Trouble, troubleText } from './rehearse'
export { type Caution, type Chapter, cautionsOf, type Telling, tellingsOf } from './tellings'
