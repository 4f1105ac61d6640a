const AFTER = 2000
const AT_MOST = 60

/**
 * Looks again at a list in which something is still being worked out, every two seconds and not for ever.
 * @returns to be called with how much there is
 */
export function useLookAgain(load: () => Promise<void>): (left: number) => void {
  let looks = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  onBeforeUnmount(() => clearTimeout(timer))
  return (left) => {
    clearTimeout(timer)
    if (left === 0) looks = 0
    else if ((looks += 1) <= AT_MOST) timer = setTimeout(() => void load(), AFTER)
  }
}
