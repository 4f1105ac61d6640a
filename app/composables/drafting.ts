import { useDebounceFn } from '@vueuse/core'
import type { Draft } from '~~/core/draft'
import type { DraftAsk, DraftNews } from '~/workers/drafting'

const HAND_RESTS = 250

/** The draft of what is typed, worked out beside the page whenever the hand rests; the newest only. */
export function useDrafting(ask: () => DraftAsk) {
  const draft = shallowRef<Draft>()
  /** The line was read and says nothing that a test could be made of. */
  const nothing = ref(false)
  const question = computed(() => JSON.stringify(ask()))
  const answered = ref('')
  /** What stands there is not yet of what was said last: nobody begins with it. */
  const reading = computed(() => answered.value !== question.value)
  let worker: Worker | undefined
  onBeforeUnmount(() => worker?.terminate())
  onMounted(look)
  const lookLater = useDebounceFn(look, HAND_RESTS)
  // Typing is waited for; an answer that was pressed is not.
  watch(question, (now, before) => void (lineIn(now) === lineIn(before) ? look() : lookLater()))

  function look(): void {
    const asked = question.value
    if (asked === answered.value) return
    worker?.terminate()
    worker = undefined
    if (ask().line.trim() === '') {
      answered.value = asked
      return void ([draft.value, nothing.value] = [undefined, false])
    }
    worker = new Worker(new URL('../workers/drafting.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<DraftNews>) => {
      if (asked !== question.value) return
      draft.value = data.draft
      nothing.value = data.draft === undefined
      if (data.whole) answered.value = asked
    }
    // A worker takes plain things only.
    worker.postMessage(JSON.parse(asked))
  }
  return { draft, nothing, reading }
}

const lineIn = (question: string): string => (JSON.parse(question) as DraftAsk).line
