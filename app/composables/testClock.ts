import { useIntervalFn } from '@vueuse/core'
import { comingUp, pausesTurned, runningClock, type Coming, type RunningClock } from '~~/core/clock'
import type { BoardState, Plan } from '~~/core/lesson'
import { serverNow } from '~/following/serverClock'

const LOOK_EVERY = 500
const STILL: RunningClock = {
  ...{ phase: 'test', secondsLeft: 0, share: 0, running: false, elapsed: undefined, began: undefined, until: undefined },
  paused: { seconds: 0, now: false },
}

/** The clock of a lesson, looked at twice a second, and what comes next by it. */
export function useTestClock(plan: Ref<Plan | undefined>, board: Ref<BoardState>) {
  const now = ref(serverNow())
  useIntervalFn(() => (now.value = serverNow()), LOOK_EVERY)
  const state = computed(() => (plan.value ? runningClock(plan.value, board.value, now.value) : STILL))
  const elapsed = computed(() => state.value.elapsed)
  const coming = computed<Coming[]>(() => (plan.value && elapsed.value !== undefined ? comingUp(plan.value, elapsed.value) : []))
  return { now, state, elapsed, coming, byHand: computed(() => board.value.clockStarted !== null) }
}

/** What the button of the clock writes into the board's state: it starts the test's minutes, or stops and goes on with what runs. */
export function clockTurned(board: BoardState, { running }: RunningClock): Partial<BoardState> {
  return running ? clockPaused(board) : clockStarted()
}

export function clockPaused({ pauses }: BoardState): Pick<BoardState, 'pauses'> {
  return { pauses: pausesTurned(pauses, serverNow()) }
}

/** The test's minutes begin now, whatever the timetable says. */
export function clockStarted(): Pick<BoardState, 'clockStarted'> {
  return { clockStarted: new Date(serverNow()).toISOString() }
}
