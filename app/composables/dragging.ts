const HOLD = 150

/**
 * How things are dragged everywhere: with a mouse at once, with a finger after a short hold from anywhere on them, so that a swipe
 * scrolls. A mouse selects text where there is text; a finger that taps still gets to it.
 */
export function useDragging() {
  const byFinger = matchMedia('(pointer: coarse)').matches
  return {
    animation: 120,
    forceFallback: true,
    fallbackTolerance: 4,
    delay: HOLD,
    delayOnTouchOnly: true,
    touchStartThreshold: 6,
    filter: byFinger ? 'button, select' : 'textarea, input, button, select',
    preventOnFilter: false,
  }
}
