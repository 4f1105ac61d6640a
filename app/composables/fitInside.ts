import type { Ref } from 'vue'

const SMALLEST = 0.5
const STEP = 0.05

/**
 * Makes the writing inside boxes of a fixed size small enough to stay whole: their style multiplies sizes by `--fit`. Paper is a
 * little narrower than the screen's, so some room is left.
 */
export function useFitInside(root: Ref<HTMLElement | undefined>, boxes: string): void {
  onMounted(async () => {
    await document.fonts.ready
    for (const box of root.value?.querySelectorAll<HTMLElement>(boxes) ?? []) {
      let fit = 1
      const room = () => box.scrollHeight <= box.clientHeight && box.scrollWidth <= box.clientWidth
      while (!room() && fit > SMALLEST) {
        fit -= STEP
        box.style.setProperty('--fit', fit.toFixed(2))
      }
    }
  })
}
