import { useResizeObserver, useThrottleFn } from '@vueuse/core'
import type { Ref } from 'vue'

const SMALLEST = 0.5
const STEP = 0.05

/** What one page of paper has room for inside its margins, in millimetres: the width of A4 and the height of US Letter less a line, so that it is one page of either. */
const PAGE = { wide: 182, high: 245 }
const IN_A_MILLIMETRE = 96 / 25.4

/**
 * Makes the writing inside boxes of a fixed size small enough to stay whole: their style multiplies sizes by `--fit`. Paper is a
 * little narrower than the screen's, so some room is left.
 * @param done is told the smallest factor that was needed, 1 where all of it has room
 */
export function useFitInside(
  root: Ref<HTMLElement | undefined>,
  boxes: string,
  done?: (smallest: number) => void,
): () => Promise<void> {
  async function fit(): Promise<void> {
    await nextTick()
    await document.fonts.ready
    const room = (box: HTMLElement) => box.scrollHeight <= box.clientHeight && box.scrollWidth <= box.clientWidth
    done?.(Math.min(1, ...[...(root.value?.querySelectorAll<HTMLElement>(boxes) ?? [])].map((box) => shrunk(box, () => room(box)))))
  }
  onMounted(fit)
  return fit
}

/**
 * Makes whatever is promised on one page small enough for it: sizes in its style are multiplied by `--fit`, letters never below nine points. It is done anew
 * when something on it is drawn later.
 * @param spared  by how much its pictures are lower already, in pixels
 * @returns by how many pixels it is too much at its usual size, so that pictures can be drawn lower before letters grow smaller
 */
export function useFitPage(root: Ref<HTMLElement | undefined>, spared: () => number): Ref<number> {
  const over = ref(0)
  const limit = PAGE.high * IN_A_MILLIMETRE
  function fit(): void {
    const sheet = root.value
    if (!sheet) return
    sheet.style.maxWidth = `${PAGE.wide}mm`
    sheet.style.setProperty('--fit', '1')
    over.value = Math.max(0, sheet.scrollHeight + spared() - limit)
    shrunk(sheet, () => sheet.scrollHeight <= limit)
  }
  useResizeObserver(root, useThrottleFn(fit, 100, true))
  onMounted(() => void document.fonts.ready.then(fit))
  return over
}

/** About how many pages a printout takes: as many as it begins itself, or as its height fills. */
export function pagesOf(printout: HTMLElement): number {
  const begun = 1 + printout.querySelectorAll('.new-page').length
  return Math.max(begun, Math.ceil(printout.scrollHeight / (PAGE.high * IN_A_MILLIMETRE)))
}

/** Takes `--fit` of a box down until it has room. */
function shrunk(box: HTMLElement, hasRoom: () => boolean): number {
  let fit = 1
  box.style.setProperty('--fit', '1')
  while (!hasRoom() && fit > SMALLEST) {
    fit -= STEP
    box.style.setProperty('--fit', fit.toFixed(2))
  }
  return fit
}
