export { isNamed, isWordOf, mainWords, withoutEnding } from './mainWords'
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
  WAYS,
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
export { BOUNDS, boundsOfHands, LONGEST, MOST, MOST_TRIALS, PICTURES, SHORTEST_PASSPHRASE } from './limits'
export { DOERS, PER, PREPARATIONS, USES, usualUse } from './material'
export { ARRANGEMENTS, CHANGES, LATER_PHASES, PHASES, TRIAL_ORDERS, TRIAL_PARTS } from './timing'
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
  MainQuestion,
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
  Way,
  NumberMethod,
  WordsMethod,
} from './plan'
export type { Doer, Material, OwnCaution, Preparation, PreparationKind, Substitute } from './material'
export type {
  Arrangement,
  ArrangementWay,
  ClassPace,
  Clock,
  ExtraStation,
  LaterPhase,
  Phase,
  TrialOrder,
  TrialPart,
} from './timing'
export { BOARD_VIEWS, MOST_PAUSES, RESULTS_SHOWN, USUAL_BOARD, isOlderBoard, withBoardChange } from './board'
export type { BoardChange, BoardState, BoardViewName, Pause, Tap } from './board'
export {
  asksItsOwn,
  codeOf,
  hasOldCodes,
  isEachChild,
  ownerOf,
  ownersIn,
  sharesThings,
  recordByCode,
  seatOf,
  withEachChild,
  withFreshKeys,
  withoutEachChild,
  withRecords,
  withShared,
  withSharedThings,
} from './eachChild'
export { caretAfter, mergeText } from './mergeText'
export type { LessonEvent, StationEvent } from './event'
export { EMPTY_RECORD, EVERY_KIND, recordOf, ROW_KINDS, rowsOf } from './rows'
export type {
  LessonRecord,
  ListName,
  ListOf,
  NewConclusion,
  NewFailure,
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
export type { Failure } from './rows/failure'
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
  conditionName,
  conditionValue,
  groupOf,
  comingFactors,
  keptFactors,
  newFactor,
  letterOf,
  levelName,
  measuredCard,
  mostRepeats,
  numberName,
  seriesFactor,
} from './cards'
export {
  emptyPlan,
  FIRST_WATCH,
  GROUP_NAMES,
  MOST_GROUPS,
  newMaterial,
  newRemark,
  NOTHING_SAID,
  groupsBySize,
  largestGroup,
  splitIntoGroups,
  usualGroups,
  withGroups,
} from './empty'
export { withCondition, withLabel } from './conditions'
export { mergePlans, samePlan, withClashAs } from './merge'
export type { Clash, Merged } from './merge'
export { namedPictures } from './pictures'
export { fittingCards, practisedBySome, TOPICS } from './topics'
export type { LookedFor, OnTheCard, Topic } from './topics'
