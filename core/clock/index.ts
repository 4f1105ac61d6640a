export { clockAt, fitOf, jarsOf, phaseAt, scarcest, timeAt, timetableOf, testStartOf, testTimesOf } from './fit'
export type { Fit, PhaseTime, Jar, TestTimes } from './fit'
export { sharedThings } from './sharedThings'
export type { SharedThing } from './sharedThings'
export { readingTimetable } from './readingTimetable'
export type { JarReading, Timetable } from './readingTimetable'
export { dayAfter, dayOf, daysBetween, partOfShelf, weekAround } from './days'
export type { PartOfShelf, Week } from './days'
export { bestStarts, dayOff, nextSchoolDay, readingDays, USUAL_CALENDAR, withEnd } from './calendar'
export type { Calendar, DayOff, Days, ReadingDay, StartDay } from './calendar'
export { comingUp, concerns } from './coming'
export type { Coming } from './coming'
export { trialStarts } from './trialStarts'
export { isDayOf, pausedSince, pausesTurned, runningClock, testingIsOver } from './running'
export type { RunningClock } from './running'
export {
  begins,
  centreOf,
  endsByMinute,
  FITS_IN,
  fitsInTime,
  PACE_MODEL,
  pacesOf,
  secondsLeft,
  shareWithin,
  testEndsOf,
  testPaceOf,
} from './pace'
export type { Forecast, GroupAtWork, Pace, SecondsLeft, TestEnds, TestPace, TrialTime } from './pace'
