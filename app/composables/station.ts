import { EMPTY_RECORD, type LessonRecord, type Plan, type Reading } from '~~/core/lesson'
import type { NewPrediction, NewReading, NewRemark } from '~~/schemas/record'
import type { BoardView } from '~~/server/lesson/board'
import type { LessonEvent } from '~~/server/live/events'

const TOKEN = 'jolly-beaker-station'
const LOOK_AGAIN_AFTER = 3000

/** One group's station: what it knows of the lesson, and what it writes down. */
export function useStation() {
  const waiting = useWaitingLine()
  const state = ref<'opening' | 'joining' | 'open'>('opening')
  const plan = shallowRef<Plan>()
  const record = shallowRef<LessonRecord>(EMPTY_RECORD)
  const group = ref('')
  const connected = ref(true)
  let token = ''
  let stopWatching = () => {}
  let timer: ReturnType<typeof setTimeout> | undefined

  async function open(): Promise<void> {
    token = localStorage.getItem(TOKEN) ?? ''
    if (token === '') return void (state.value = 'joining')
    try {
      const view = await callServer<BoardView & { group: string }>('/api/station', { token })
      group.value = view.group
      plan.value = view.plan
      record.value = view.record
      state.value = 'open'
      for (const one of await waiting.restore()) if (one.token === token) foresee(one.path, one.body)
      stopWatching()
      stopWatching = watchEvents(`/api/station/events?token=${token}`, view.event, onEvent, onLine)
    } catch (error) {
      if (error instanceof ServerRefusal && error.code === 'not-joined') return leave()
      connected.value = false
      timer = setTimeout(() => void open(), LOOK_AGAIN_AFTER)
    }
  }

  function onLine(stands: boolean): void {
    if (stands && !connected.value) void waiting.send()
    connected.value = stands
  }

  function onEvent(event: LessonEvent): void {
    if (event.kind === 'plan') void refresh()
    else record.value = withEvent(record.value, event)
  }

  async function refresh(): Promise<void> {
    const view = await callServer<BoardView>('/api/station', { token }).catch(() => undefined)
    if (view) plan.value = view.plan
  }

  async function join(code: string, chosen: string): Promise<void> {
    const answer = await callServer<{ token: string }>('/api/stations', { method: 'POST', body: { code, group: chosen } })
    localStorage.setItem(TOKEN, answer.token)
    await open()
  }

  function leave(): void {
    localStorage.removeItem(TOKEN)
    stopWatching()
    state.value = 'joining'
  }

  /** Shows what was entered at once; the server's own copy takes its place when it comes. */
  function foresee(path: string, body: unknown): void {
    const stamp = { by: 'station', at: new Date().toISOString() } as const
    if (path.endsWith('readings')) {
      for (const reading of (body as { readings: NewReading[] }).readings)
        onEvent({ kind: 'reading', reading: { ...reading, ...stamp } })
    } else if (path.endsWith('remarks')) {
      onEvent({ kind: 'remark', remark: { ...(body as NewRemark), group: group.value, at: stamp.at } })
    } else onEvent({ kind: 'prediction', prediction: { ...(body as NewPrediction), ...stamp, late: false } })
  }

  async function write(path: string, id: string, body: unknown): Promise<void> {
    foresee(path, body)
    await waiting.add({ id, token, path, body })
  }

  const writeReading = (reading: NewReading) => write('/api/station/readings', reading.id, { readings: [reading] })
  const say = (remark: NewRemark) => write('/api/station/remarks', remark.id, remark)
  const pictureOf = (id: string) => `/api/station/pictures/${id}?token=${token}`
  const writePrediction = (prediction: NewPrediction) => write('/api/station/predictions', prediction.id, prediction)
  const ownReadings = computed<Reading[]>(() => record.value.readings.filter((reading) => reading.group === group.value))

  onMounted(open)
  onBeforeUnmount(() => {
    stopWatching()
    clearTimeout(timer)
  })
  return { state, plan, record, group, connected, waiting, ownReadings, join, leave, writeReading, writePrediction, say, pictureOf }
}
