import { fitTogether, stepsByGroup, timedTrials, type Interleaving, type Member, type Together } from '~~/core/together'

/** The timetable of all trials of all groups, worked out beside the page whenever plans or ways change; what fits of it, and group by group. */
export function useInterleaving(members: Ref<Member[]>, together: Ref<Together | undefined>) {
  const timetable = shallowRef<Interleaving>()
  const timed = computed(() => together.value && timedTrials(members.value, together.value))
  /** Only what a timetable hangs on: a sentence that is written changes none. */
  const question = computed(() => JSON.stringify(timed.value?.ask))
  let worker: Worker | undefined
  onBeforeUnmount(stop)
  onMounted(look)
  watch(question, look)

  function look(): void {
    if (!timed.value || timed.value.ask.trials.length === 0) return void (timetable.value = undefined)
    stop()
    worker = new Worker(new URL('../workers/interleaving.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<Interleaving>) => {
      timetable.value = data
      stop()
    }
    // A worker takes plain things only.
    worker.postMessage(JSON.parse(question.value))
  }
  function stop(): void {
    worker?.terminate()
    worker = undefined
  }
  const fit = computed(() =>
    timetable.value && timed.value && together.value
      ? fitTogether(timetable.value, timed.value.of, together.value.minutes)
      : undefined,
  )
  const rows = computed(() =>
    timetable.value && timed.value ? stepsByGroup(timetable.value, timed.value.of, timed.value.groups) : [],
  )
  const looking = computed(() => timetable.value === undefined && (timed.value?.ask.trials.length ?? 0) > 0)
  return { timetable, fit, rows, looking }
}
