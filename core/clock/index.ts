export { clockAt, fitOf, jarsOf, phaseAt, scarcest, timeAt, timetableOf, testStartOf } from './fit'
export type { Fit, PhaseTime, Jar } from './fit'
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
export { readingTimetable } from './readingTimetable'
export type { JarReading, Timetable } from './readingTimetable'
export { fewestGoingRound, secondsGoingRound, turnsGoingRound } from './goingRound'
export type { Turn } from './goingRound'
export { jobRounds, jobsFor, nextTurn, seatsThere, sharingRota } from './jobs'
export type { JobTurn } from './jobs'
export { bestStarts, dayAfter, dayOff, readingDays, USUAL_CALENDAR, weekdayOf } from './calendar'
export type { Calendar, DayOff, Days, ReadingDay, StartDay } from './calendar'
export { comingUp, concerns } from './coming'
export type { Coming } from './coming'
export { trialStarts } from './pace'
export { secondsOfBatch, secondsOfTrial, secondsOfTrials } from './trials'
