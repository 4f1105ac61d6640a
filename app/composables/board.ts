import { EMPTY_RECORD, USUAL_BOARD, type BoardState, type LessonRecord, type Plan } from '~~/core/lesson'
import { withEvents } from '~~/core/record'
import type { NewPrediction } from '~~/schemas/record'
import type { BoardView } from '~~/server/lesson/board'

const LOOK_AGAIN_AFTER = 3000

/** What the projector knows of a lesson, kept up to date by the lesson's events. */
export function useBoard(id: string) {
  const plan = shallowRef<Plan>()
  const record = shallowRef<LessonRecord>(EMPTY_RECORD)
  const board = ref<BoardState>(USUAL_BOARD)
  const code = ref('')
  const connected = ref(true)
  const missing = ref(false)
  const take = useEventBatches((events) => {
    record.value = withEvents(record.value, events)
    for (const event of events) if (event.kind === 'board') board.value = event.board
    if (events.some(({ kind }) => kind === 'plan')) void refresh()
  })
  let stopWatching = () => {}
  let timer: ReturnType<typeof setTimeout> | undefined

  async function open(): Promise<void> {
    try {
      const view = await callServer<BoardView>(`/api/lessons/${id}/board`)
      plan.value = view.plan
      record.value = view.record
      board.value = view.board
      code.value = view.code
      stopWatching = watchEvents(`/api/lessons/${id}/events`, view.event, take, (stands) => (connected.value = stands))
    } catch (error) {
      missing.value = error instanceof ServerRefusal && !error.away
      if (!missing.value) timer = setTimeout(() => void open(), LOOK_AGAIN_AFTER)
    }
  }

  async function refresh(): Promise<void> {
    const view = await callServer<BoardView>(`/api/lessons/${id}/board?record=false`).catch(() => undefined)
    if (view) plan.value = view.plan
  }

  /** Hands up, counted on the board itself: shown when it is stored. */
  async function addPrediction(prediction: NewPrediction): Promise<void> {
    await callServer(`/api/lessons/${id}/predictions`, { method: 'POST', body: prediction }).catch(() => (connected.value = false))
  }

  /** At once here, and on every other board and station when it is stored. */
  async function show(change: Partial<BoardState>): Promise<void> {
    board.value = { ...board.value, ...change }
    await callServer(`/api/lessons/${id}/board`, { method: 'PUT', body: change }).catch(() => (connected.value = false))
  }

  onMounted(open)
  onBeforeUnmount(() => {
    stopWatching()
    clearTimeout(timer)
  })
  return { plan, record, board, code, connected, missing, addPrediction, show }
}
