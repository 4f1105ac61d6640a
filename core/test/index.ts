export { testOf } from './test'
export type { Test } from './test'
export { KINDS_OF_TEST, kindOf } from './kinds'
export type { GraphOfKind, KindOfTest, OrderOfKind } from './kinds'
export {
  FIRST_WORDS,
  newMeasure,
  readBy,
  resolved,
  stored,
  WAYS_OF_READING,
  withMethod,
  withMethodOf,
  withMethodOn,
  wayOf,
} from './ways'
export type { Device, EntryErrorCode, EntryOptions, EntryResult, GraphOfWay, ResolvedMethod, WayOfReading } from './ways'
export { predictionOf, predictionsFor, shapeOf, withKind } from './asked'
export { readEntry, workedOutEntry, writesStartAndFinish, signsOnPad } from './entry'
export { inAmericanUnits } from './american'
export { NO_TEACHING, planForAll, planFrom, wholePlan } from './startingPoint'
export type { PlanForAll, PlanInShort, StartingPoint, Teaching } from './startingPoint'
export {
  atMoment,
  backIntoWhole,
  eachMeasure,
  forMeasure,
  markOf,
  mayMeasureMore,
  measuredCards,
  MOST_MEASURED,
  withFirstMeasured,
  withMeasuredToo,
  withoutMark,
  withoutMeasured,
  isAboutMeasured,
  measureSaid,
} from './measures'
export {
  daysOfReading,
  everyMomentOf,
  FIRST_TIMES,
  hasNamedMoments,
  isReadByClock,
  isWatched,
  MOST_NAMED,
  MOST_PLACES,
  MOST_TIMES,
  MOST_WORDS,
  momentOf,
  momentsOf,
  readNames,
  readTimes,
  watchesOverDays,
  withNamedMoment,
  withNamedMoments,
} from './moments'
export type { Moment } from './moments'
export {
  canBeNothing,
  canWeighEmpty,
  containerKey,
  countedFor,
  countedPlace,
  countedUntil,
  countsOf,
  emptyOf,
  unweighed,
  isBySize,
  readingsInResult,
  resultMark,
  resultUnit,
  watchedPlaces,
} from './counts'
export type { Counted } from './counts'
export { bestNumberOf, bestOf, isBestKnown } from './best'
export type { Best } from './best'
export {
  atLevel,
  baseConditions,
  eachSeries,
  firstSeries,
  viewsBeside,
  forSeries,
  levelsAcross,
  mayHaveSeries,
  MOST_SERIES,
  seriesIn,
  seriesOfCondition,
  withConditionInEach,
  withLevel,
  withLevelLabel,
  withOneSeriesMore,
  withoutLevel,
  withoutSeries,
  withSeries,
  withSeriesName,
} from './series'
export { askedAtOnce, isAlsoSeen, mainPlace, mainView } from './mainQuestion'
export type { AskedAtOnce } from './mainQuestion'
export { comesAgain, comparesMoments, comparesWithItself } from './things'
