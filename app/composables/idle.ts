/** Does something once the page has nothing else to do; browsers that do not say so get a moment's rest. */
export function whenIdle(work: () => void): void {
  if ('requestIdleCallback' in window) requestIdleCallback(work)
  else setTimeout(work, 1000)
}

/** True once what is mounted has been painted: what lies below the window can come then. */
export function usePainted(): Ref<boolean> {
  const painted = ref(false)
  onMounted(() => requestAnimationFrame(() => setTimeout(() => (painted.value = true))))
  return painted
}
