import type { ChanceOfRepeats, Design, Outlook } from '~~/core/measuring'

/** The chances for 1 to 12 repeats, worked out beside the page. What is asked anew cancels what was asked before. */
export function useChances(outlook: () => Outlook | undefined): Ref<ChanceOfRepeats[]> {
  const chances = shallowRef<ChanceOfRepeats[]>([])
  let worker: Worker | undefined
  const design = computed((): Design | undefined => {
    const whole = outlook()
    if (!whole) return undefined
    const { means, total, own, byPlaces, shares, readers, turns, sameThing, oneSpecimen, paired } = whole
    return { means, total, own, byPlaces, shares, readers, turns, sameThing, oneSpecimen, paired }
  })
  const key = computed(() => JSON.stringify(design.value))
  watch(key, ask, { immediate: true })
  onBeforeUnmount(() => worker?.terminate())

  function ask(): void {
    worker?.terminate()
    const wanted = design.value
    if (!wanted) return void (chances.value = [])
    worker = new Worker(new URL('../workers/chances.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<ChanceOfRepeats[]>) => (chances.value = data)
    worker.postMessage(wanted)
  }
  return chances
}
