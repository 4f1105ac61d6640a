import {
  EMPTY_RECORD,
  USUAL_BOARD,
  isOlderBoard,
  withBoardChange,
  type BoardChange,
  type BoardState,
  type LessonEvent,
  type LessonRecord,
  type NewPrediction,
  type Plan,
} from '~~/core/lesson'
import { homed, withEvents } from '~~/core/record'
import type { BoardView } from '~~/schemas/contract'
import { ServerRefusal, addressOf, callServer } from '~/following/callServer'
import { follow } from '~/following/follow'
import { lookAnew } from '~/following/lookAnew'

/**
 * What the projector knows of a lesson, kept up to date by the lesson's events.
 * @param madeUp a made-up class stands before the real one: what is turned here stays here, and nothing is counted
 */
export function useBoard(lesson: string, madeUp = false) {
  const path = { lesson }
  const plan = shallowRef<Plan>()
  const all = shallowRef<LessonRecord>(EMPTY_RECORD)
  const record = computed(() => (plan.value ? homed(plan.value, all.value).record : all.value))
  const board = ref<BoardState>(USUAL_BOARD)
  const code = ref('')
  /** Where the groups' own questions are on one board. */
  const whole = ref<string | null>(null)
  const connected = ref(true)
  const missing = ref(false)
  let end = () => {}

  onMounted(() => {
    end = follow({
      load: () => callServer('GET /api/lessons/[lesson]/board', { path }),
      events: (since) => addressOf('GET /api/lessons/[lesson]/events', { path, query: { since } }),
      opened: (view) => {
        plan.value = view.plan
        all.value = view.record
        board.value = view.board
        code.value = view.code
        whole.value = view.whole
      },
      take: (events) => {
        all.value = withEvents(all.value, events)
        for (const event of events) if (event.kind === 'board' && !isOlderBoard(event.board, board.value)) board.value = event.board
        if (events.some(({ kind }) => kind === 'plan')) void planAnew.ask()
        wholeAnew.heard(events)
        // Rows got a home that this page did not know of, or went with their group.
        if (events.some(({ kind }) => kind === 'placing' || kind === 'together')) void wholeAnew.ask()
      },
      state: (stands) => (connected.value = stands),
      failed: (error) => {
        missing.value = error instanceof ServerRefusal && !error.away
        return !missing.value
      },
    })
  })
  onBeforeUnmount(() => {
    end()
    planAnew.end()
    wholeAnew.end()
  })

  const look = (record: boolean) => callServer('GET /api/lessons/[lesson]/board', { path, query: { record } })
  const planAnew = lookAnew(
    () => look(false),
    (view) => void (plan.value = view.plan),
  )
  const wholeAnew = lookAnew<BoardView, LessonEvent>(
    () => look(true),
    (view, later) => {
      whole.value = view.whole
      plan.value = view.plan
      all.value = withEvents(view.record, later)
    },
  )

  /** Hands up, counted on the board itself: shown when it is stored. */
  async function addPrediction(body: NewPrediction): Promise<void> {
    if (madeUp) return
    await callServer('POST /api/lessons/[lesson]/predictions', { path, body }).catch(() => (connected.value = false))
  }

  /** At once here, and on every other board and station when it is stored. */
  async function show(change: BoardChange): Promise<void> {
    board.value = withBoardChange(board.value, change)
    if (madeUp) return
    await callServer('PUT /api/lessons/[lesson]/board', { path, body: change }).catch(() => {
      connected.value = false
      // Not stored: whatever is heard next is newer.
      board.value = { ...board.value, number: 0 }
    })
  }

  return { whole, plan, record, board, code, connected, missing, addPrediction, show }
}
