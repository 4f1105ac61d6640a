import { watchDebounced } from '@vueuse/core'
import type { Draft } from '~~/core/draft'
import type { DraftAsk, DraftNews } from '~/workers/drafting'

const HAND_RESTS = 250

/** The draft of what is typed, worked out beside the page whenever the hand rests; the newest only. */
export function useDrafting(ask: () => DraftAsk) {
  const draft = shallowRef<Draft>()
  /** The line was read and says nothing that a test could be made of. */
  const nothing = ref(false)
  const reading = ref(false)
  const question = computed(() => JSON.stringify(ask()))
  let worker: Worker | undefined
  onBeforeUnmount(() => worker?.terminate())
  onMounted(look)
  watchDebounced(question, look, { debounce: HAND_RESTS })

  function look(): void {
    const asked = question.value
    worker?.terminate()
    worker = undefined
    if (ask().line.trim() === '') {
      reading.value = false
      return void ([draft.value, nothing.value] = [undefined, false])
    }
    reading.value = true
    worker = new Worker(new URL('../workers/drafting.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<DraftNews>) => {
      if (asked !== question.value) return
      draft.value = data.draft
      nothing.value = data.draft === undefined
      reading.value = !data.whole
    }
    // A worker takes plain things only.
    worker.postMessage(JSON.parse(asked))
  }
  return { draft, nothing, reading }
}
