/** What had the focus when something opened over the page gets it back when that goes, unless the focus went elsewhere by then. */
export function useReturningFocus(open: Ref<boolean>): void {
  let before: Element | null = null
  async function giveBack(): Promise<void> {
    await nextTick()
    const at = document.activeElement
    if ((at === document.body || at?.closest('.v-overlay')) && before instanceof HTMLElement) before.focus()
    before = null
  }
  watch(
    open,
    (now) => {
      if (now) before = document.activeElement
      else void giveBack()
    },
    { flush: 'sync', immediate: true },
  )
  onUnmounted(giveBack)
}
