import { EMPTY_RECORD, type LessonRecord, type Plan } from '~~/core/lesson'
import type { NewPrediction } from '~~/schemas/record'
import type { BoardView } from '~~/server/lesson/board'

const LOOK_AGAIN_AFTER = 3000

/** What the projector knows of a lesson, kept up to date by the lesson's events. */
export function useBoard(id: string) {
  const plan = shallowRef<Plan>()
  const record = shallowRef<LessonRecord>(EMPTY_RECORD)
  const code = ref('')
  const connected = ref(true)
  const missing = ref(false)
  let stopWatching = () => {}
  let timer: ReturnType<typeof setTimeout> | undefined

  async function open(): Promise<void> {
    try {
      const view = await callServer<BoardView>(`/api/lessons/${id}/board`)
      plan.value = view.plan
      record.value = view.record
      code.value = view.code
      stopWatching = watchEvents(
        `/api/lessons/${id}/events`,
        view.event,
        (event) => {
          if (event.kind === 'plan') void refresh()
          else record.value = withEvent(record.value, event)
        },
        (stands) => (connected.value = stands),
      )
    } catch (error) {
      missing.value = error instanceof ServerRefusal && !error.away
      if (!missing.value) timer = setTimeout(() => void open(), LOOK_AGAIN_AFTER)
    }
  }

  async function refresh(): Promise<void> {
    const view = await callServer<BoardView>(`/api/lessons/${id}/board`).catch(() => undefined)
    if (view) plan.value = view.plan
  }

  /** Hands up, counted on the board itself: shown when it is stored. */
  async function addPrediction(prediction: NewPrediction): Promise<void> {
    await callServer(`/api/lessons/${id}/predictions`, { method: 'POST', body: prediction }).catch(() => (connected.value = false))
  }

  onMounted(open)
  onBeforeUnmount(() => {
    stopWatching()
    clearTimeout(timer)
  })
  return { plan, record, code, connected, missing, addPrediction }
}
