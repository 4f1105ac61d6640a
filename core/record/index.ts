export { balanceOrder, onSides, placesOf, sidesAt } from './balance'
export type { Weighing } from './balance'
export { BROKE, brokenNow } from './broken'
export { checkReading, doubtfulReadings } from './check'
export type { AskedEntry } from './check'
export { checkEntry, isSlip } from './slips'
export type { Doubt, Slip, Surroundings } from './slips'
export {
  cellsInOrder,
  dayOfWatching,
  doneByAll,
  gapsOf,
  gridRows,
  hasEmptyPlaces,
  missedReadings,
  nextPractice,
  nextTrial,
  openBeside,
  practiceOf,
  progressOf,
  readTogether,
  runsDone,
  shareDone,
  trialsOf,
} from './grid'
export type { Cell, Place, Progress } from './grid'
export {
  cellKey,
  countedReadings,
  currentReadings,
  hasPlace,
  historyOf,
  hasBegun,
  isCounted,
  readingsByTrial,
  isRead,
  usedIn,
} from './readings'
export { nextSeat, placeOfSeat } from './bySeat'
export { filteredJournal, JOURNAL_KINDS, journalOf } from './journal'
export type { JournalKind, JournalLine } from './journal'
export { groupAverages } from './groupAverages'
export { practiceFigures } from './practice'
export type { PracticeFigures } from './practice'
export { asksSecondReader, readersAgree } from './secondReader'
export {
  averageResults,
  averagesByMoment,
  middleOf,
  middleValue,
  resultsAs,
  seriesOf,
  signedAverages,
  signedResults,
  trialResults,
  wholeTrials,
  wordCounts,
} from './results'
export type { MomentAverage, TrialResult } from './results'
export { homeOf, lostWith } from './homes'
export type { Lacks, UsedPlaces } from './homes'
export { homed, missingPlaces } from './strays'
export type { Homed, Stray } from './strays'
export { withEvents } from './withEvents'
export { comparedWith, resultsTable, workedOutFor } from './workedOut'
export type { TableRow, WorkedOut } from './workedOut'
export { oddResults, withoutOpenRetests, withRetests } from './oddResults'
export type { Explanation, OddResult } from './oddResults'
export { changesMade, readChange, triesOf, tryToExplain, wordsThatHelped } from './tries'
export type { ChangeMade, Try } from './tries'
export { atTheirEnd } from './ends'
export type { AtItsEnd } from './ends'
export { isAtWork, isLate, underWay } from './underWay'
export type { GroupUnderWay, UnderWay } from './underWay'
export type { TestClock } from './trialTimes'
export { classPaceOf, lessonPace } from './lessonPace'
export type { LessonPace } from './lessonPace'
