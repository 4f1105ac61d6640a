/** Does something once the page has nothing else to do; browsers that do not say so get a moment's rest. */
export function whenIdle(work: () => void): void {
  if ('requestIdleCallback' in window) requestIdleCallback(work)
  else setTimeout(work, 1000)
}
