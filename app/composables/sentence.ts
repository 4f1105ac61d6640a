import { caretAfter, type Conclusion } from '~~/core/lesson'
import { useLesson } from '~/stores/lesson'
import { useMadeUp } from '~/stores/madeUp'
import { useDeskBoard } from '~/stores/deskBoard'
import { useGrowingSentence } from '~/stores/sentence'

/**
 * The class's sentence on the Agree stop, and what it grew from.
 * @param box where it is written; the caret stays at its words when another desk's arrive
 */
export function useSentence(last: Ref<Conclusion | undefined>, box: Ref<HTMLTextAreaElement | undefined>) {
  const lesson = useLesson()
  const madeUp = useMadeUp()
  const board = useDeskBoard()
  const sentence = useGrowingSentence()
  sentence.open(lesson.id, board.state, last.value?.text ?? '')
  const text = computed({ get: () => sentence.text, set: (words: string) => void (madeUp.mayWrite() && sentence.write(words)) })
  const from = ref<string | null>(last.value?.id ?? null)

  watch(
    () => board.state,
    (board) => sentence.takeIn(board),
  )
  watch(text, (now, before) => {
    const field = box.value
    // What was typed here stands in the field already.
    if (!field || field.value === now || document.activeElement !== field) return
    const [start, end] = [field.selectionStart, field.selectionEnd].map((caret) => caretAfter(before, now, caret))
    void nextTick(() => field.setSelectionRange(start!, end!))
  })
  watch(last, (now, before) => {
    from.value = now?.id ?? null
    if (now && text.value === (before?.text ?? '')) text.value = now.text
  })
  const sendRest = () => void sentence.send(true)
  onMounted(() => window.addEventListener('pagehide', sendRest))
  onBeforeUnmount(() => {
    window.removeEventListener('pagehide', sendRest)
    sendRest()
  })

  function take(words: string, source: Conclusion | undefined): void {
    text.value = words
    if (source) from.value = source.id
  }
  return { text, from, take, waiting: computed(() => sentence.waiting) }
}
