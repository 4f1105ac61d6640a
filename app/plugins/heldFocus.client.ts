const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]):not([type=hidden]), textarea:not([disabled]), select:not([disabled]), [tabindex="0"]'
const TYPED_IN = 'input, textarea, select'

/**
 * A control that goes away while it has the focus leaves it to its neighbour, so that whoever goes by keys does not begin at the top of the page again:
 * what came in its place, else the next one, else the one before it, within whatever is still there of what it stood in.
 */
export default defineNuxtPlugin(() => {
  let control: HTMLElement | undefined
  let within: HTMLElement[] = []
  let neighbours: HTMLElement[] = []
  let byKeys = true
  let disabled = false

  function remember({ target }: FocusEvent): void {
    if (!(target instanceof HTMLElement)) return
    control = target
    disabled = false
    within = []
    for (let at = target.parentElement; at && at !== document.body; at = at.parentElement) within.push(at)
    neighbours = [...document.querySelectorAll<HTMLElement>(FOCUSABLE)]
  }

  function handOver(): void {
    if (!control || isThere(control)) return
    const gone = neighbours.indexOf(control)
    const typedIn = byKeys && control.matches(TYPED_IN)
    control = undefined
    if (document.activeElement !== document.body) return
    // What lay over the page gives the focus back by itself.
    const home = within.findIndex((one) => one.isConnected)
    const inside = within.slice(Math.max(0, home)).filter((one) => one.closest('main, [role="dialog"]'))
    for (const place of home < 0 ? [] : inside) {
      // A field would take the next key for a letter, and open a keyboard over the page.
      const present = focusableIn(place).filter((one) => typedIn || !one.matches(TYPED_IN))
      const came = present.find((one) => !neighbours.includes(one))
      const next = present.find((one) => neighbours.indexOf(one) > gone)
      const found = came ?? next ?? present.at(-1)
      if (found) return found.focus({ preventScroll: !byKeys })
    }
  }

  /** One that was only at work has the focus again. */
  function follow(): void {
    if (!control) return
    if (!isThere(control)) return void setTimeout(handOver)
    const works = !control.matches(':disabled')
    if (works && disabled && document.activeElement === document.body) control.focus({ preventScroll: true })
    disabled = !works
  }

  /** Whoever presses beside all controls wants none of them. */
  const letGo = () => document.activeElement === document.body && control && isThere(control) && !disabled && (control = undefined)

  document.addEventListener('focusin', remember)
  document.addEventListener('focusout', ({ relatedTarget }) => relatedTarget === null && setTimeout(letGo))
  document.addEventListener('keydown', () => (byKeys = true), { capture: true, passive: true })
  document.addEventListener('pointerdown', () => (byKeys = false), { capture: true, passive: true })
  const changes = { subtree: true, childList: true, attributes: true, attributeFilter: ['disabled', 'hidden'] }
  new MutationObserver(follow).observe(document.documentElement, changes)
})

// Asked at every change of the page, so nothing is measured here.
const isThere = (control: HTMLElement) => control.isConnected && control.closest('[hidden]') === null

function focusableIn(place: HTMLElement): HTMLElement[] {
  return [...place.querySelectorAll<HTMLElement>(FOCUSABLE)].filter((one) => one.tabIndex >= 0 && one.getClientRects().length > 0)
}
