import { defineStore } from 'pinia'
import { USUAL_BOARD, type BoardState } from '~~/core/lesson'
import { Ahead } from '~/following/ahead'
import { callServer } from '~/following/callServer'
import { useMadeUp } from '~/stores/madeUp'
import { useNotices } from '~/stores/notices'

/** What grows by what is pressed. */
const GROWING: (keyof BoardState)[] = ['tapped', 'pauses']

/** What the board of this lesson shows, and who else follows the lesson. */
export const useDeskBoard = defineStore('desk-board', () => {
  const notices = useNotices()
  const madeUp = useMadeUp()
  let lesson = ''
  const state = ref<BoardState>(USUAL_BOARD)
  let ahead = new Ahead<BoardState>(GROWING)
  /** One change goes after the other: the last one pressed is the last one there. */
  let sent: Promise<unknown> = Promise.resolve()
  /** Goes up when a station of this lesson came, went, or was changed. */
  const stationsChanged = ref(0)

  function take(id: string, board: BoardState): void {
    if (id !== lesson) ahead = new Ahead(GROWING)
    lesson = id
    state.value = ahead.over(board, Date.now())
  }

  /** Changes what the board shows, here at once. */
  async function show(change: Partial<BoardState>): Promise<void> {
    if (!madeUp.mayWrite()) return
    state.value = { ...state.value, ...change }
    const [path, own] = [{ lesson }, ahead]
    own.begin(change)
    sent = sent.then(async () => {
      const write = async () => void (await callServer('PUT /api/lessons/[lesson]/board', { path, body: change }))
      own.end(await notices.attempt(write), Date.now())
    })
    await sent
  }
  return { state, stationsChanged, take, show }
})
