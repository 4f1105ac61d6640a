import { provideLessonPlan } from '~/composables/lessonPlan'
import { callServer, messageOf } from '~/following/callServer'
import { drawnFrom } from '~/following/madeUp'
import { NO_SCHOOL, type School } from '~~/core/kit'
import type { OwnQuestions } from '~~/core/wording/reports'
import type { WholeLesson } from '~~/schemas/contract'

/**
 * The lesson that a page of paper is about, for everything on it. A made-up class takes the place of the real one, drawn from the same seed as on the screen.
 * @param withCupboard  it is counted with the school's cupboard in mind
 */
export function usePrintedLesson(withCupboard: () => boolean) {
  const route = useRoute()
  const whole = shallowRef<WholeLesson>()
  const school = shallowRef<School>(NO_SCHOOL)
  const asked = shallowRef<OwnQuestions>()
  const trouble = ref('')
  const madeUp = computed(() => whole.value && drawnFrom(route.query, whole.value.lesson.plan))
  const plan = computed(() => madeUp.value?.plan ?? whole.value?.lesson.plan)
  const record = computed(() => madeUp.value?.record ?? whole.value?.record)
  /** A made-up class asks nothing of its own. */
  const own = computed(() => (madeUp.value ? undefined : asked.value))
  const code = computed(() => whole.value?.lesson.code ?? '')
  onMounted(async () => {
    try {
      const path = { lesson: String(route.params.id) }
      if (withCupboard()) school.value = (await callServer('GET /api/lessons/[lesson]/school', { path })).school
      const { partOf, ...opened } = await callServer('GET /api/lessons/[lesson]', { path })
      if (partOf?.id === opened.lesson.id && opened.lesson.together !== null)
        asked.value = await ownQuestionsOf(opened.lesson.together)
      whole.value = opened
    } catch (error) {
      trouble.value = messageOf(error)
    }
  })
  provideLessonPlan(() => plan.value)
  return { plan, record, own, school, code, madeUp, trouble }
}

/** What the groups asked of their own in a lesson that stands for all. */
async function ownQuestionsOf(id: string): Promise<OwnQuestions> {
  const { together, lessons } = await callServer('GET /api/together/[together]', { path: { together: id } })
  return { together, parts: lessons.map(({ id: lesson, plan, record }) => ({ lesson, plan, record })) }
}
