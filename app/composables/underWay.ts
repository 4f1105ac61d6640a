import type { RunningClock } from '~~/core/clock'
import type { BoardState, LessonRecord, Plan } from '~~/core/lesson'
import { isAtWork, underWay } from '~~/core/record'

/** What a forecast looks at, beside the plan. */
interface Watched {
  record: Ref<LessonRecord>
  board: Ref<BoardState>
  state: Ref<RunningClock>
  now: Ref<number>
}

/** The forecast is made anew with every entry, and every few seconds for the trial that runs. */
const AGAIN_AFTER = 5000

/** When the groups will be done if they go on as they do, and the clock that it was worked out by; undefined while nobody tests. */
export function useUnderWay(plan: Ref<Plan | undefined>, { record, board, state, now }: Watched) {
  const later = computed(() => Math.floor(now.value / AGAIN_AFTER) * AGAIN_AFTER)
  const began = computed(() => state.value.began)
  const until = computed(() => state.value.until)
  const clock = computed(() => {
    const { pauses, tapped } = board.value
    const own = { started: began.value, pauses, tapped, now: Math.max(later.value, began.value ?? 0), until: until.value }
    return plan.value && isAtWork(plan.value, record.value, own) ? own : undefined
  })
  const forecast = computed(() => (plan.value && clock.value ? underWay(plan.value, record.value, clock.value) : undefined))
  return { clock, forecast }
}
