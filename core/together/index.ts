export { circuitTogether, fitTogether, minutesForTesting, roundAt, stepsByGroup } from './clock'
export type { CircuitTogether, FitTogether, TimedStep } from './clock'
export { interleave, soonestEnd } from './interleave'
export type { InterleaveAsk, Interleaving, PlacedTrial, TimedTrial } from './interleave'
export { kitTogether, takenTogether } from './kit'
export type { NeedTogether } from './kit'
export { overviewOf, readTogether } from './overview'
export type { Found } from './overview'
export { cardsTogether, checkOwnQuestion, FEWEST_OWN, groupInAny, MOST_OWN, ownQuestionPlan, sameQuestion } from './ownQuestion'
export type { HeapOfCards, OwnCheck, OwnProblem, OwnQuestion } from './ownQuestion'
export { joinPlans, splitPlan } from './split'
export { timedTrials, waitingOf } from './timedTrials'
export type { TrialTogether } from './timedTrials'
export {
  groupNamed,
  groupsTogether,
  MOST_SETS,
  MOST_TOGETHER,
  NEW_TOGETHER,
  titleTogether,
  TOGETHER_VIEWS,
  TOGETHER_WAYS,
  WAITINGS,
  withGroupOfClass,
  withoutGroupOfClass,
} from './together'
export type { Member, Together, TogetherChange, TogetherGroup, TogetherView, TogetherWay, Waiting } from './together'
