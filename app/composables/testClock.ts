import { useIntervalFn } from '@vueuse/core'
import { comingUp, runningClock, type Coming, type RunningClock } from '~~/core/clock'
import type { BoardState, Plan } from '~~/core/lesson'
import { serverNow } from '~/following/serverClock'

const LOOK_EVERY = 500
const STILL: RunningClock = { phase: 'test', secondsLeft: 0, share: 0, running: false, elapsed: undefined }

/** The clock of a lesson, looked at twice a second, and what comes next by it. */
export function useTestClock(plan: Ref<Plan | undefined>, board: Ref<BoardState>) {
  const now = ref(serverNow())
  useIntervalFn(() => (now.value = serverNow()), LOOK_EVERY)
  const state = computed(() => (plan.value ? runningClock(plan.value, board.value, now.value) : STILL))
  const elapsed = computed(() => state.value.elapsed)
  const coming = computed<Coming[]>(() => (plan.value && elapsed.value !== undefined ? comingUp(plan.value, elapsed.value) : []))
  return { state, elapsed, coming, byHand: computed(() => board.value.clockStarted !== null) }
}

/** What the button of the clock writes into the board's state. */
export function clockTurned(board: BoardState): Pick<BoardState, 'clockStarted'> {
  return { clockStarted: board.clockStarted === null ? new Date(serverNow()).toISOString() : null }
}
