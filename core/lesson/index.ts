export { bestNumberOf, bestOf } from './best'
export { isNamed, mainWords, withoutEnding } from './mainWords'
export type { Best } from './best'
export {
  canBeNothing,
  canWeighEmpty,
  containerKey,
  countedFor,
  countedPlace,
  countedUntil,
  countsOf,
  emptyOf,
  readingsInResult,
  resultMark,
  resultUnit,
  watchedPlaces,
} from './counts'
export type { Counted } from './counts'
export {
  AGES,
  AMONG,
  AVERAGE_TO,
  CONDITIONS_AS,
  COUNTED,
  EACH,
  EACH_IS,
  BEST,
  EXPECTED_FROM,
  INSTRUMENTS,
  WATCH_UNITS,
  AVERAGE_WAYS,
  FRAMES,
  GRAPH_KINDS,
  KINDS,
  PLAN_VERSION,
  PREDICT_AS,
  REMARK_LISTS,
  SHAPES,
  STOPS,
  TESTABLE_CHECKS,
  THINGS,
  WHOSE_QUESTION,
  WORD_SETS,
} from './plan'
export { BOUNDS, LONGEST, MOST, MOST_TRIALS, PICTURES, SHORTEST_PASSPHRASE } from './limits'
export { DOERS, PER, PREPARATIONS, USES } from './material'
export { ARRANGEMENTS, CHANGES, PHASES, TRIAL_ORDERS } from './timing'
export type {
  Age,
  Asked,
  AverageWay,
  Condition,
  Factor,
  Frame,
  Each,
  GraphKind,
  Group,
  Kind,
  Measure,
  Method,
  NamedMoment,
  Picture,
  Plan,
  PredictAs,
  Remark,
  RemarkList,
  Retest,
  Series,
  Shape,
  Stop,
  TestableCheck,
  Things,
  Watch,
  WhoseQuestion,
  Wonder,
  WordSet,
} from './plan'
export type { Doer, Material, OwnCaution, Preparation, PreparationKind, Substitute } from './material'
export type { Arrangement, ArrangementWay, Clock, ExtraStation, Phase, TrialOrder } from './timing'
export { BOARD_VIEWS, RESULTS_SHOWN, USUAL_BOARD, withBoardChange } from './board'
export type { BoardChange, BoardState, BoardViewName } from './board'
export { homeOf, lostWith } from './homes'
export type { Lacks, UsedPlaces } from './homes'
export {
  codeOf,
  hasOldCodes,
  isEachChild,
  recordByCode,
  seatOf,
  withEachChild,
  withFreshKeys,
  withoutEachChild,
  withRecords,
} from './eachChild'
export { caretAfter, mergeText } from './mergeText'
export type { LessonEvent, StationEvent } from './event'
export { EMPTY_RECORD, EVERY_KIND, recordOf, ROW_KINDS, rowsOf } from './rows'
export type {
  LessonRecord,
  ListName,
  ListOf,
  NewConclusion,
  NewFeedback,
  NewImprovement,
  NewObservation,
  NewPlacing,
  NewPrediction,
  NewProposal,
  NewReading,
  NewRemark,
  NewRow,
  RowEvent,
  RowKindName,
  RowOf,
  StationRow,
} from './rows'
export { aboutRow, conditionsOf, otherGroupOf, placedAt, supersededBy, WHOLE_CLASS, withIds } from './rows/rowKind'
export type { AnyKind, AnyRow, Column, Source } from './rows/rowKind'
export type { Conclusion } from './rows/conclusion'
export type { Feedback } from './rows/feedback'
export type { Improvement } from './rows/improvement'
export type { Observation } from './rows/observation'
export type { Prediction } from './rows/prediction'
export { PLACED_KINDS } from './rows/placing'
export type { Placing } from './rows/placing'
export type { Reading } from './rows/reading'
export type { SaidRemark } from './rows/remark'
export {
  activeConditions,
  begunAnew,
  changedFactor,
  comesAgain,
  conditionName,
  conditionValue,
  groupOf,
  keptFactors,
  letterOf,
  levelName,
  measuredCard,
  mostRepeats,
  numberName,
  seriesFactor,
  withMethod,
  withMethodOf,
} from './cards'
export {
  emptyPlan,
  FIRST_WATCH,
  GROUP_NAMES,
  MOST_GROUPS,
  newMaterial,
  newMeasure,
  newRemark,
  NOTHING_SAID,
  groupsBySize,
  largestGroup,
  splitIntoGroups,
  withGroups,
} from './empty'
export { withCondition, withLabel } from './conditions'
export { mergePlans, withClashAs } from './merge'
export type { Clash, Merged } from './merge'
export { namedPictures } from './pictures'
export { FIRST_WORDS, KIND_SHAPES, predictionOf, predictionsFor, readBy, shapeOf, withKind } from './kinds'
export type { KindShape } from './kinds'
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
} from './measures'
export {
  daysOfReading,
  everyMomentOf,
  FIRST_TIMES,
  hasNamedMoments,
  isReadByClock,
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
export {
  atLevel,
  baseConditions,
  eachSeries,
  firstSeries,
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
export type { Moment } from './moments'
export { NO_TEACHING, planForAll, planFrom, wholePlan } from './startingPoint'
export type { PlanForAll, PlanInShort, StartingPoint, Teaching } from './startingPoint'
export { fittingCards, TOPICS } from './topics'
export type { LookedFor, OnTheCard, Topic } from './topics'
