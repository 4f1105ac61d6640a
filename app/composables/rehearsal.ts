import type { Plan } from '~~/core/lesson'
import type { Rehearsal, Tried } from '~~/core/rehearsal'
import type { RehearsalNews, RehearsalQuestion } from '~/workers/rehearsal'

const CLASSES = 1000

/** A rehearsal of a plan beside the page: how far it is, what it found, what would help. Stopping ends it at once. */
export function useRehearsal() {
  const done = ref(0)
  const running = ref(false)
  const found = shallowRef<Rehearsal>()
  const tried = shallowRef<Tried[]>()
  let worker: Worker | undefined
  onBeforeUnmount(stop)

  function start(plan: Plan): void {
    stop()
    ;[found.value, tried.value, done.value, running.value] = [undefined, undefined, 0, true]
    worker = new Worker(new URL('../workers/rehearsal.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<RehearsalNews>) => {
      if ('done' in data) done.value = data.done / data.of
      if ('found' in data) found.value = data.found
      if ('tried' in data) tried.value = data.tried
      if ('tried' in data || ('found' in data && !data.found)) stop()
    }
    // A worker takes plain things only.
    worker.postMessage(JSON.parse(JSON.stringify({ plan, classes: CLASSES } satisfies RehearsalQuestion)))
  }
  function stop(): void {
    worker?.terminate()
    worker = undefined
    running.value = false
  }
  return { done, running, found, tried, start, stop }
}
