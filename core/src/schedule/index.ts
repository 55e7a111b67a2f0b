export { ANOTHER, another, asked, inOrder, type Question } from './ask'
export { BEGINS, calendarOf, DAY, doneAt, firstWork, HORIZON, NEVER } from './calendar'
export { below, lasting, quantile, shareOf } from './chance'
export {
  type Busy,
  type Forecast,
  forecast,
  type HeldUp,
  type More,
  type Outlook,
  type Stretch,
  typicalCourse,
} from './forecast'
export { ENOUGH, type Guess, type Guesses, guessesFrom, type History, type Log, learnt, logOf } from './guess'
export { WORK, WORK_OF_JOB } from './kinds'
export { correctHours } from './log'
export { workName } from './names'
export {
  type Coming,
  calendarFor,
  type Open,
  type Plan,
  planOf,
  type ShopState,
  type Unplanned,
  type Worker,
} from './plan'
export { type Bench, dayOf, ranOf, runner } from './run'
export { chanceText, outlookSaid, type Said, unplannedText, wholeText } from './say'
export { loopIn, nextWork, type Waits, type Work, workKey, workOf } from './work'
