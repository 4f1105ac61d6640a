/**
 * Single keys for a page, out of the way while somebody types. The answer of a handler is not looked at.
 * @param keys by `event.key`; `mod+z` stands for Ctrl or Command
 */
export function useKeys(keys: Record<string, (event: KeyboardEvent) => void>): void {
  function onKey(event: KeyboardEvent): void {
    const mod = event.ctrlKey || event.metaKey
    if (event.altKey || event.defaultPrevented) return
    const name = mod ? `mod+${event.shiftKey ? 'shift+' : ''}${event.key.toLowerCase()}` : event.key
    const handler = keys[name]
    if (!handler) return
    if (isTyping(event.target) || (!mod && document.querySelector('.v-overlay--active'))) return
    event.preventDefault()
    handler(event)
  }
  onMounted(() => window.addEventListener('keydown', onKey))
  onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
}

/** A box to tick or a circle takes no letters. */
function isTyping(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement && /^(checkbox|radio)$/.test(target.type)) return false
  return target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
}

const LOOK_EVERY = 50
/** An old laptop takes seconds for the first look at a stop. */
const LOOKS = 400

/** What carries this target, once its page stands; undefined where it does not come, or where somebody types elsewhere meanwhile. */
export async function whenThere(target: string): Promise<HTMLElement | undefined> {
  const look = () => document.querySelector<HTMLElement>(`[data-target="${CSS.escape(target)}"]`) ?? undefined
  await nextTick()
  const typedIn = document.activeElement
  const isElsewhere = () => document.activeElement !== typedIn && isTyping(document.activeElement)
  for (let looks = 0; looks < LOOKS && !look() && !isElsewhere(); looks += 1)
    await new Promise((next) => setTimeout(next, LOOK_EVERY))
  return look()
}

/** Puts the focus on what carries this target, once its page stands, opening whatever folds it away. */
export async function focusTarget(target: string): Promise<void> {
  const found = await whenThere(target)
  if (!found) return
  for (let fold = found.closest('details'); fold; fold = fold.parentElement?.closest('details') ?? null) fold.open = true
  const shut = found.closest<HTMLElement>('[data-opened-by]')
  if (shut && !shut.checkVisibility()) (await whenThere(shut.dataset.openedBy!))?.click()
  const title = found.closest('.v-expansion-panel')?.querySelector<HTMLElement>('[aria-expanded="false"]')
  title?.click()
  if (title) await nextTick()
  found.scrollIntoView({ block: 'center' })
  const field = found.querySelector<HTMLElement>('input, textarea')
  ;(found.tabIndex < 0 && !found.hasAttribute('tabindex') && field ? field : found).focus()
}
