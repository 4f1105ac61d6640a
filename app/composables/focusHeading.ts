/**
 * Puts the focus where a page goes on: at its number or its heading. Otherwise it would fall back to the top with whatever was
 * pressed and is gone.
 */
export function focusHeading(part: HTMLElement | null | undefined): void {
  const first =
    part?.querySelector<HTMLElement>('.display input, .code input') ?? part?.querySelector<HTMLElement>('h1, [data-asks]')
  if (!first) return
  if (!first.matches('input')) first.tabIndex = -1
  first.focus({ preventScroll: true })
}
