import type { ChanceOfRepeats, Outlook } from '~~/core/measuring'

/** The chances for 1 to 12 repeats, worked out beside the page. What is asked anew cancels what was asked before. */
export function useChances(outlook: () => Outlook | undefined): Ref<ChanceOfRepeats[]> {
  const chances = shallowRef<ChanceOfRepeats[]>([])
  let worker: Worker | undefined
  const key = computed(() => JSON.stringify([outlook()?.means, outlook()?.total, outlook()?.byPlaces]))
  watch(key, ask, { immediate: true })
  onBeforeUnmount(() => worker?.terminate())

  function ask(): void {
    worker?.terminate()
    const wanted = outlook()
    if (!wanted) return void (chances.value = [])
    worker = new Worker(new URL('../workers/chances.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<ChanceOfRepeats[]>) => (chances.value = data)
    worker.postMessage({ means: wanted.means, total: wanted.total, byPlaces: wanted.byPlaces })
  }
  return chances
}
