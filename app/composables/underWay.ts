import type { RunningClock } from '~~/core/clock'
import type { BoardState, LessonRecord, Plan } from '~~/core/lesson'
import { underWay } from '~~/core/record'

/** What a forecast looks at, beside the plan. */
interface Watched {
  record: Ref<LessonRecord>
  board: Ref<BoardState>
  state: Ref<RunningClock>
  now: Ref<number>
}

/** The forecast is made anew with every entry, and every few seconds for the trial that runs. */
const AGAIN_AFTER = 5000

/** Without a clock a class is at work while numbers come in: a lesson of yesterday is foretold nothing. */
const STILL_AT_WORK = 15 * 60_000

/** The clock as the forecast sees it; undefined while nobody tests: no clock runs and nothing was written down lately. */
export function useClockUnderWay({ record, board, state, now }: Watched) {
  const later = computed(() => Math.floor(now.value / AGAIN_AFTER) * AGAIN_AFTER)
  const began = computed(() => state.value.began)
  const until = computed(() => state.value.until)
  return computed(() => {
    const { pauses, tapped } = board.value
    const latest = record.value.readings.at(-1)?.at ?? tapped.at(-1)?.at
    const isAtWork = latest !== undefined && later.value - Date.parse(latest) < STILL_AT_WORK
    return began.value !== undefined || isAtWork
      ? { started: began.value, pauses, tapped, now: Math.max(later.value, began.value ?? 0), until: until.value }
      : undefined
  })
}

/** When the groups will be done if they go on as they do. */
export function useUnderWay(plan: Ref<Plan | undefined>, watched: Watched) {
  const clock = useClockUnderWay(watched)
  const forecast = computed(() => (plan.value && clock.value ? underWay(plan.value, watched.record.value, clock.value) : undefined))
  return { clock, forecast }
}
