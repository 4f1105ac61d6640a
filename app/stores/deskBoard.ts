import { defineStore } from 'pinia'
import { isOlderBoard, USUAL_BOARD, withBoardChange, type BoardChange, type BoardState } from '~~/core/lesson'
import { callServer } from '~/following/callServer'
import { useMadeUp } from '~/stores/madeUp'
import { useNotices } from '~/stores/notices'

/** What the board of this lesson shows, and who else follows the lesson. */
export const useDeskBoard = defineStore('desk-board', () => {
  const notices = useNotices()
  const madeUp = useMadeUp()
  let lesson = ''
  const state = ref<BoardState>(USUAL_BOARD)
  /** Goes up when a station of this lesson came, went, or was changed. */
  const stationsChanged = ref(0)

  function take(id: string, board: BoardState): void {
    lesson = id
    state.value = board
  }

  /** What came in meanwhile: an own change that is on its way stands over what is from before it. */
  function heard(board: BoardState): void {
    if (!isOlderBoard(board, state.value)) state.value = board
  }

  /** Changes what the board shows, here at once. */
  async function show(change: BoardChange): Promise<void> {
    if (!madeUp.mayWrite()) return
    state.value = withBoardChange(state.value, change)
    const path = { lesson }
    const write = async () => void (await callServer('PUT /api/lessons/[lesson]/board', { path, body: change }))
    // Not stored: whatever is heard next is newer.
    if (!(await notices.attempt(write))) state.value = { ...state.value, number: 0 }
  }
  return { state, stationsChanged, take, heard, show }
})
