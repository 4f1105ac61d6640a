import type { InjectionKey } from 'vue'
import { type Plan } from '~~/core/lesson'
import { backIntoWhole, forMeasure, measuredCards, testOf, withMethodOf, type ResolvedMethod } from '~~/core/test'
import { useLesson } from '~/stores/lesson'

const CHOSEN: InjectionKey<Ref<string | undefined>> = Symbol('measure in hand')

/** Lets somebody choose which of several measures the panels below speak of; the first until then. */
export function provideMeasureInHand() {
  const lesson = useLesson()
  const chosen = ref<string>()
  provide(CHOSEN, chosen)
  const cards = computed(() =>
    (lesson.plan ? measuredCards(lesson.plan) : []).map(({ id, name }) => ({ value: id, title: name.trim() || 'no name yet' })),
  )
  const inHand = computed({
    get: () => cards.value.find(({ value }) => value === chosen.value)?.value ?? cards.value[0]?.value,
    set: (id) => (chosen.value = id),
  })
  return { cards, inHand }
}

/** The lesson as the measure in hand sees it, and how to change it there. */
export function useMeasureInHand() {
  const lesson = useLesson()
  const chosen = inject(CHOSEN, ref<string>())
  const plan = computed(() => {
    const whole = lesson.plan!
    const there = measuredCards(whole).some(({ id }) => id === chosen.value)
    return there ? forMeasure(whole, chosen.value) : forMeasure(whole, whole.measured)
  })
  const method = computed(() => testOf(plan.value).method)
  const way = computed(() => testOf(plan.value).way)
  function editMethod(change: (method: ResolvedMethod) => ResolvedMethod, typing = ''): void {
    const { measured } = plan.value
    lesson.edit((draft) => Object.assign(draft, withMethodOf(draft, measured, change)), typing)
  }
  /** Takes what was made of this view of the lesson into the whole of it. */
  const replace = (changed: Plan) => lesson.replace(backIntoWhole(lesson.plan!, plan.value, changed))
  return { plan, method, way, editMethod, replace }
}
