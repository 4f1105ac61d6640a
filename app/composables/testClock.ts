import { useLocalStorage, useNow } from '@vueuse/core'
import { fitOf, phaseAt } from '~~/core/clock'
import type { Phase, Plan } from '~~/core/lesson'

const A_MINUTE = 60_000

/**
 * The clock on the board. It follows the lesson's own timetable while that runs today; otherwise the teacher starts the test's
 * minutes by hand. A page that is loaded again finds the clock as it was.
 */
export function useTestClock(id: string, plan: Ref<Plan | undefined>) {
  const now = useNow({ interval: 500 })
  const started = useLocalStorage<number | null>(`test-clock-${id}`, null)
  const fit = computed(() => plan.value && fitOf(plan.value))
  const testMinutes = computed(() => fit.value?.phases.find((one) => one.phase === 'test')?.minutes ?? 0)

  const state = computed<{ phase: Phase; secondsLeft: number; share: number; running: boolean }>(() => {
    if (started.value !== null) {
      const left = testMinutes.value - (now.value.getTime() - started.value) / A_MINUTE
      return showing('test', Math.max(0, left), testMinutes.value, true)
    }
    const today = plan.value && timetable(plan.value)
    return today ?? showing('test', testMinutes.value, testMinutes.value, false)
  })

  function timetable({ date, clock }: Plan) {
    if (!fit.value || date === '' || clock.start === '') return undefined
    const begin = new Date(`${date}T${clock.start}:00`).getTime()
    const at = phaseAt(fit.value, (now.value.getTime() - begin) / A_MINUTE)
    const whole = fit.value.phases.find((one) => one.phase === at?.phase)?.minutes ?? 1
    return at && showing(at.phase, at.left, whole, true)
  }

  function showing(phase: Phase, minutesLeft: number, whole: number, running: boolean) {
    return { phase, secondsLeft: Math.ceil(minutesLeft * 60), share: whole === 0 ? 0 : minutesLeft / whole, running }
  }

  return {
    state,
    byHand: computed(() => started.value !== null),
    start: () => (started.value = Date.now()),
    stop: () => (started.value = null),
  }
}
