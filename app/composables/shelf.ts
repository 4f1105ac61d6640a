import { watchDebounced } from '@vueuse/core'
import type { ShelfEntry } from '~~/schemas/contract'
import { useLookAgain } from '~/composables/lookAgain'
import { callServer } from '~/following/callServer'

const FIND_AFTER = 200
const PAGE = 60
const MOST_AT_ONCE = 1000

/** The shelf a page at a time, as it is looked through: the server finds and sorts. */
export function useShelf(trouble: (error: unknown) => void) {
  const find = ref('')
  const className = ref('')
  const archived = ref(false)
  const lessons = shallowRef<ShelfEntry[]>()
  /** How many lessons fit, on all pages. */
  const all = ref(0)
  const putAway = ref(0)
  const classes = ref<string[]>([])
  const asked = computed(() => ({ find: find.value, className: className.value, archived: archived.value }))
  const left = computed(() => all.value - (lessons.value?.length ?? 0))
  const again = useLookAgain(load)

  /** What is shown, as it is now. */
  function load(): Promise<void> {
    return look(0, Math.min(MOST_AT_ONCE, Math.max(PAGE, lessons.value?.length ?? 0)))
  }
  function more(): Promise<void> {
    return look(lessons.value?.length ?? 0, PAGE)
  }
  function fromTheTop(): Promise<void> {
    lessons.value = lessons.value?.slice(0, PAGE)
    return look(0, PAGE)
  }

  async function look(from: number, most: number): Promise<void> {
    const question = asked.value
    try {
      const page = await callServer('GET /api/lessons', { query: { ...question, from, most } })
      // A slow answer to what is not asked any more comes too late.
      if (question !== asked.value) return
      const fresh = new Set(page.lessons.map(({ id }) => id))
      const rest = (lessons.value ?? []).map((lesson, place) =>
        (place >= from && place < from + most) || fresh.has(lesson.id) ? [] : [lesson],
      )
      lessons.value = [...rest.slice(0, from).flat(), ...page.lessons, ...rest.slice(from).flat()]
      all.value = page.all
      putAway.value = page.putAway
      classes.value = page.classes
      again(page.renewing)
    } catch (error) {
      trouble(error)
    }
  }

  onMounted(load)
  watch([archived, className], fromTheTop)
  watchDebounced(find, fromTheTop, { debounce: FIND_AFTER })
  return { find, className, classes, archived, lessons, left, putAway, load, more }
}
