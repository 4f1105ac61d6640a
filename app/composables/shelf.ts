import { watchDebounced } from '@vueuse/core'
import type { ShelfEntry } from '~~/schemas/contract'

const FIND_AFTER = 200
const MOST_AT_ONCE = 1000

/** The shelf a page at a time, as it is looked through: the server finds and sorts. */
export function useShelf(trouble: (error: unknown) => void) {
  const find = ref('')
  const archived = ref(false)
  const lessons = shallowRef<ShelfEntry[]>()
  /** How many lessons fit, on all pages. */
  const all = ref(0)
  const putAway = ref(0)
  const asked = computed(() => ({ find: find.value, archived: archived.value }))

  /** The first page, or as much of the shelf as was shown before. */
  async function load(): Promise<void> {
    await look(0, Math.min(MOST_AT_ONCE, lessons.value?.length ?? 0))
  }
  async function more(): Promise<void> {
    await look(lessons.value?.length ?? 0)
  }

  async function look(from: number, most?: number): Promise<void> {
    const question = asked.value
    try {
      const page = await callServer('GET /api/lessons', { query: { ...question, from, most: most || undefined } })
      // A slow answer to what is not asked any more comes too late.
      if (question !== asked.value) return
      lessons.value = [...(from === 0 ? [] : (lessons.value ?? [])), ...page.lessons]
      all.value = page.all
      putAway.value = page.putAway
      again(page.renewing)
    } catch (error) {
      trouble(error)
    }
  }

  const again = useLookAgain(load)
  onMounted(load)
  watch(archived, () => look(0))
  watchDebounced(find, () => look(0), { debounce: FIND_AFTER })
  return { find, archived, lessons, all, putAway, load, more }
}
