import type { StationTime } from '~~/core/arrangement'
import type { RotaNews, RotaQuestion } from '~/workers/rota'

const DRAWS = 60

/** Looks for a rota that ends sooner, beside the page; it can be stopped, and shows how far it is. */
export function useBetterRota(found: (best: { draw: number; finish: number }) => void) {
  const share = ref<number>()
  let worker: Worker | undefined
  onBeforeUnmount(stop)

  function look(groups: number, stations: StationTime[]): void {
    stop()
    share.value = 0
    worker = new Worker(new URL('../workers/rota.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<RotaNews>) => {
      if ('done' in data) share.value = data.done / DRAWS
      else {
        stop()
        found(data)
      }
    }
    worker.postMessage({ groups, stations, first: 0, draws: DRAWS } satisfies RotaQuestion)
  }

  function stop(): void {
    worker?.terminate()
    worker = undefined
    share.value = undefined
  }
  return { share, look, stop }
}
