export {
  circuitTogether,
  fitTogether,
  lanesOf,
  minutesForTesting,
  nextInCircuit,
  placesInRound,
  placesNow,
  roundAt,
  stepsByGroup,
} from './clock'
export type { CircuitTogether, FitTogether, TimedStep } from './clock'
export { interleave, soonestEnd } from './interleave'
export type { InterleaveAsk, Interleaving, PlacedTrial, TimedTrial } from './interleave'
export { kitTogether, takenTogether } from './kit'
export type { NeedTogether } from './kit'
export { overviewOf, readTogether, viewTogether } from './overview'
export type { Found } from './overview'
export {
  cardsOfWondering,
  cardsTogether,
  checkOwnQuestion,
  groupInAny,
  MOST_OWN,
  OWN_PART,
  ownPlace,
  ownQuestionPlan,
  ownRows,
  sameQuestion,
  withEveryGroup,
} from './ownQuestion'
export type { HeapOfCards, OwnCheck, OwnProblem, OwnQuestion, OwnRow } from './ownQuestion'
export { joinPlans, splitPlan } from './split'
export { timedTrials, waitingOf } from './timedTrials'
export type { TrialTogether } from './timedTrials'
export {
  groupNamed,
  groupsTogether,
  inGroups,
  mayGoTo,
  MOST_SETS,
  MOST_TOGETHER,
  nameTogether,
  NEW_TOGETHER,
  TOGETHER_VIEWS,
  TOGETHER_WAYS,
  WAITINGS,
  wayChosen,
  withGroupOfClass,
  withTogetherChange,
  withoutGroupOfClass,
} from './setOfLessons'
export type { Member, Together, TogetherChange, TogetherGroup, TogetherView, TogetherWay, Waiting } from './setOfLessons'
