import { parseISO } from 'date-fns'
import { oncePer } from '../chance'
import type { BoardState, Phase, Plan } from '../lesson'
import { fitOf, phaseAt, testStartOf, type Fit } from './fit'

const A_MINUTE = 60_000
/** The clock is looked at twice a second, and the plan seldom changes. */
const fitFor = oncePer(fitOf)

/** The clock of a lesson as it stands at a moment. */
export interface RunningClock {
  phase: Phase
  secondsLeft: number
  /** How much of the phase is left, 1 to 0. */
  share: number
  running: boolean
  /** Seconds since testing began; undefined while it does not run. */
  elapsed: number | undefined
}

/**
 * The clock of a lesson, the same on board, desk and stations: the lesson's own timetable while that runs today, or the test's
 * minutes since the teacher started them by hand.
 * @param now by the server's clock, in milliseconds
 * @example runningClock({ ...plan, date: '' }, USUAL_BOARD, 0) // => { phase: 'test', running: false, share: 1, elapsed: undefined, … }
 */
export function runningClock(plan: Plan, { clockStarted }: Pick<BoardState, 'clockStarted'>, now: number): RunningClock {
  const fit = fitFor(plan)
  const whole = (phase: Phase) => fit.phases.find((one) => one.phase === phase)?.minutes ?? 0
  if (clockStarted !== null) {
    const passed = (now - Date.parse(clockStarted)) / A_MINUTE
    return showing('test', Math.max(0, whole('test') - passed), whole('test'), passed * 60)
  }
  const minute = minuteOfLesson(plan, now)
  const at = minute === undefined ? undefined : phaseAt(fit, minute)
  if (!at) return { ...showing('test', whole('test'), whole('test'), undefined), running: false }
  return showing(at.phase, at.left, whole(at.phase), at.phase === 'test' ? secondsOfTest(fit, minute!) : undefined)
}

function showing(phase: Phase, minutesLeft: number, whole: number, elapsed: number | undefined): RunningClock {
  const share = whole === 0 ? 0 : minutesLeft / whole
  return { phase, secondsLeft: Math.ceil(minutesLeft * 60), share, running: true, elapsed }
}

function minuteOfLesson({ date, clock }: Plan, now: number): number | undefined {
  if (date === '' || clock.start === '') return undefined
  return (now - parseISO(`${date}T${clock.start}:00`).getTime()) / A_MINUTE
}

function secondsOfTest(fit: Fit, minute: number): number {
  return (minute - testStartOf(fit)) * 60
}
