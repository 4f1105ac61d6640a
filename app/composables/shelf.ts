import { watchDebounced } from '@vueuse/core'
import type { ShelfEntry } from '~~/schemas/contract'

const FIND_AFTER = 200
const PAGE = 60
const MOST = 1000

/** The shelf a page at a time, as it is looked through: the server finds and sorts. */
export function useShelf(trouble: (error: unknown) => void) {
  const find = ref('')
  const archived = ref(false)
  const lessons = shallowRef<ShelfEntry[]>()
  /** How many lessons fit, on all pages. */
  const all = ref(0)
  const putAway = ref(0)
  const asked = computed(() => ({ find: find.value, archived: archived.value }))
  /** As many as somebody has asked to see. */
  let wanted = PAGE
  const again = useLookAgain(load)

  /** As much of the shelf as is wanted, as it is now. */
  async function load(): Promise<void> {
    const question = asked.value
    try {
      const page = await callServer('GET /api/lessons', { query: { ...question, most: Math.min(MOST, wanted) } })
      // A slow answer to what is not asked any more comes too late.
      if (question !== asked.value) return
      lessons.value = page.lessons
      all.value = page.all
      putAway.value = page.putAway
      again(page.renewing)
    } catch (error) {
      trouble(error)
    }
  }

  async function more(): Promise<void> {
    wanted += PAGE
    await load()
  }

  async function fromTheTop(): Promise<void> {
    wanted = PAGE
    await load()
  }

  onMounted(load)
  watch(archived, fromTheTop)
  watchDebounced(find, fromTheTop, { debounce: FIND_AFTER })
  return { find, archived, lessons, all, putAway, load, more }
}
