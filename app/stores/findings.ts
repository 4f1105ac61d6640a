import type { School } from '~~/core/kit'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { secondLook, type Finding } from '~~/core/secondLook'

const AT_MOST_EVERY = 500

/**
 * What the computation says of a lesson: at once when the plan was changed at the desk, and twice a second at most while stations
 * write, so that the page answers in between.
 */
export function useFindings(plan: Ref<Plan | undefined>, record: Ref<LessonRecord>, school: Ref<School>): Ref<Finding[]> {
  const findings = shallowRef<Finding[]>([])
  let last = -Infinity
  let timer: ReturnType<typeof setTimeout> | undefined

  function work(): void {
    clearTimeout(timer)
    timer = undefined
    last = performance.now()
    findings.value = plan.value ? secondLook(plan.value, record.value, school.value) : []
  }
  watch([plan, school], work, { flush: 'sync' })
  watch(
    record,
    () => {
      // In a task of its own, after the page has drawn the numbers.
      timer ??= setTimeout(work, Math.max(0, last + AT_MOST_EVERY - performance.now()))
    },
    { flush: 'sync' },
  )
  onScopeDispose(() => clearTimeout(timer))
  return findings
}
