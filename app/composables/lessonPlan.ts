import type { InjectionKey } from 'vue'
import type { Plan } from '~~/core/lesson'

const PLAN: InjectionKey<ComputedRef<Plan>> = Symbol('the plan of this lesson')

/**
 * Says which plan everything below is about: desk, board, station and paper each say it once, and `WithPlan` where a part is about one of several measures
 * or series. The plan may be on its way still, as long as nothing below is shown before it is there.
 */
export function provideLessonPlan(plan: () => Plan | undefined): void {
  let last: Plan | undefined
  provide(
    PLAN,
    computed(() => {
      // What is about to be taken down asks once more when its lesson has been closed already.
      last = plan() ?? last
      if (!last) throw new Error('Shown before its lesson is there.')
      return last
    }),
  )
}

/** The plan that this is about. */
export function useLessonPlan(): ComputedRef<Plan> {
  const plan = inject(PLAN)
  if (!plan) throw new Error('Nobody above says which lesson this is about: provideLessonPlan() is missing.')
  return plan
}
