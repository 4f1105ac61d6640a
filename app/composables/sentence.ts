import { useDebounceFn } from '@vueuse/core'
import type { Conclusion } from '~~/core/lesson'

const SHOW_AFTER = 500

/**
 * The class's sentence while it is being written: the board shows it word by word, another desk writes along, and what it grew from is
 * remembered.
 */
export function useSentence(last: Ref<Conclusion | undefined>) {
  const lesson = useLesson()
  const text = ref(lesson.board.draft || (last.value?.text ?? ''))
  const from = ref<string | null>(last.value?.id ?? null)
  let shown = text.value
  const show = useDebounceFn(() => {
    if (text.value === shown) return
    shown = text.value
    void lesson.show({ draft: text.value })
  }, SHOW_AFTER)

  watch(text, show)
  watch(
    () => lesson.board.draft,
    (draft) => {
      // What another desk wrote meanwhile; one's own words come back as they were sent.
      if (draft !== shown && text.value === shown) text.value = draft
      shown = draft
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
