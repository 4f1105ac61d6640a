export {
  arrangementOf,
  arrangementsFor,
  conditionsByGroup,
  conditionsEach,
  fewestShared,
  practiceByGroup,
  runsInAll,
  runsOf,
  trialsByGroup,
  turnsTogether,
} from './arrangement'
export type { OwnTrial } from './arrangement'
export { balancedOrder, orderOfRepeat } from './balancedOrder'
export { orderKindOf, trialOrderOf } from './trialOrder'
export type { OrderKind } from './trialOrder'
export { shareOut } from './shareOut'
export { changeTogether, fewestRounds } from './circuit'
export { bestDraw, soonestFinish, whenReady } from './whenReady'
export type { Rota, StationTime, Visit } from './circuit'
export { circuitOf, circuitStations, visitedConditions, walkedTimes } from './circuitOf'
export type { Circuit, CircuitStation } from './circuitOf'
export { fewestGoingRound, secondsGoingRound, turnsGoingRound } from './goingRound'
export type { Turn } from './goingRound'
export { jobRounds, jobsFor, nextTurn, seatsThere, sharingRota } from './jobs'
export type { JobTurn } from './jobs'
export { secondsOfBatch, secondsOfTrial, secondsOfTrials, startOfTrial } from './trials'
export { specimensOf } from './specimens'
export { visitRota } from './visits'
export type { GroupVisit } from './visits'
