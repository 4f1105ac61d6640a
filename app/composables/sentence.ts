import { useDebounceFn } from '@vueuse/core'
import { caretAfter, mergeText, type BoardState, type Conclusion } from '~~/core/lesson'

const SHOW_AFTER = 500

/**
 * The class's sentence while it is being written: the board shows it word by word, other desks write along in the same sentence, and
 * what it grew from is remembered.
 * @param box where it is written; the caret stays at its words when another desk's arrive
 */
export function useSentence(last: Ref<Conclusion | undefined>, box: Ref<HTMLTextAreaElement | undefined>) {
  const lesson = useLesson()
  const text = ref(lesson.board.draft || (last.value?.text ?? ''))
  const from = ref<string | null>(last.value?.id ?? null)
  /** The sentence that all desks have, and its number. */
  let shared = { draft: text.value, draftNumber: lesson.board.draftNumber }
  let sending = false

  const send = useDebounceFn(async () => {
    if (sending || text.value === shared.draft) return
    sending = true
    const sent = text.value
    const board = await lesson.writeDraft(sent, shared.draft)
    sending = false
    if (!board) return
    takeIn(sent, board)
    takeIn(shared.draft, lesson.board)
    if (text.value !== shared.draft) void send()
  }, SHOW_AFTER)

  /** @param base what is written here began from it */
  function takeIn(base: string, { draft, draftNumber }: BoardState): void {
    if (draftNumber <= shared.draftNumber) return
    shared = { draft, draftNumber }
    write(mergeText(base, text.value, draft))
  }

  function write(words: string): void {
    const [before, field] = [text.value, box.value]
    if (words === before) return
    const carets = field && [field.selectionStart, field.selectionEnd].map((caret) => caretAfter(before, words, caret))
    text.value = words
    if (field && document.activeElement === field) void nextTick(() => field.setSelectionRange(carets![0]!, carets![1]!))
  }

  watch(text, () => void send())
  watch(
    () => lesson.board,
    (board) => {
      if (!sending) takeIn(shared.draft, board)
    },
  )
  watch(last, (now, before) => {
    from.value = now?.id ?? null
    if (now && text.value === (before?.text ?? '')) text.value = now.text
  })

  function take(words: string, source: Conclusion | undefined): void {
    text.value = words
    if (source) from.value = source.id
  }
  return { text, from, take }
}
