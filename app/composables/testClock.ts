import { useIntervalFn } from '@vueuse/core'
import { comingUp, fitOf, phaseAt, testStartOf, type Coming } from '~~/core/clock'
import type { BoardState, Phase, Plan } from '~~/core/lesson'

const A_MINUTE = 60_000
const LOOK_EVERY = 500

export interface ClockState {
  phase: Phase
  secondsLeft: number
  share: number
  running: boolean
}

/**
 * The clock of a lesson, the same on board, desk and stations: the lesson's own timetable while that runs today, or the test's
 * minutes since the teacher started them by hand.
 */
export function useTestClock(plan: Ref<Plan | undefined>, board: Ref<BoardState>) {
  const now = ref(serverNow())
  useIntervalFn(() => (now.value = serverNow()), LOOK_EVERY)
  const fit = computed(() => plan.value && fitOf(plan.value))
  const testMinutes = computed(() => fit.value?.phases.find((one) => one.phase === 'test')?.minutes ?? 0)

  const state = computed<ClockState>(() => {
    if (board.value.clockStarted !== null) {
      const left = testMinutes.value - (now.value - Date.parse(board.value.clockStarted)) / A_MINUTE
      return showing('test', Math.max(0, left), testMinutes.value, true)
    }
    const minute = minuteOfLesson.value
    const at = minute === undefined ? undefined : phaseAt(fit.value!, minute)
    if (!at) return showing('test', testMinutes.value, testMinutes.value, false)
    const whole = fit.value!.phases.find((one) => one.phase === at.phase)?.minutes ?? 1
    return showing(at.phase, at.left, whole, true)
  })

  const minuteOfLesson = computed(() => {
    const { date, clock } = plan.value ?? { date: '' }
    if (!fit.value || date === '' || !clock?.start) return undefined
    return (now.value - new Date(`${date}T${clock.start}:00`).getTime()) / A_MINUTE
  })

  /** Seconds since testing began; undefined while it does not run. */
  const elapsed = computed(() => {
    if (!state.value.running || state.value.phase !== 'test') return undefined
    const started = board.value.clockStarted
    if (started !== null) return (now.value - Date.parse(started)) / 1000
    return (minuteOfLesson.value! - testStartOf(fit.value!)) * 60
  })
  const coming = computed<Coming[]>(() => (plan.value && elapsed.value !== undefined ? comingUp(plan.value, elapsed.value) : []))

  function showing(phase: Phase, minutesLeft: number, whole: number, running: boolean): ClockState {
    return { phase, secondsLeft: Math.ceil(minutesLeft * 60), share: whole === 0 ? 0 : minutesLeft / whole, running }
  }

  return { state, elapsed, coming, byHand: computed(() => board.value.clockStarted !== null) }
}

/** What the button of the clock writes into the board's state. */
export function clockTurned(board: BoardState): Pick<BoardState, 'clockStarted'> {
  return { clockStarted: board.clockStarted === null ? new Date(serverNow()).toISOString() : null }
}
