import { defineStore } from 'pinia'
import { mergeText, type BoardState } from '~~/core/lesson'

const SEND_AFTER = 500
const TRY_AGAIN_AFTER = 3000

/**
 * The class's sentence as it grows, sent while it is written. Other desks write along: what they wrote is merged in. Words that
 * could not be sent yet stay when the teacher turns to another stop, and are sent as soon as the server is there again.
 */
export const useGrowingSentence = defineStore('growing-sentence', () => {
  const notices = useNotices()
  const text = ref('')
  /** The server cannot be reached: the board does not show these words yet. */
  const waiting = ref(false)
  let lesson = ''
  /** The sentence that all desks have, and its number. */
  let shared = { draft: '', draftNumber: 0 }
  let sending = false
  /** What came from the server while a sentence was on its way there. */
  let meanwhile: BoardState | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  /** @param before the sentence that the class kept last, where none is being written */
  function open(id: string, board: BoardState, before: string): void {
    if (id === lesson && text.value !== shared.draft) return takeIn(board)
    lesson = id
    shared = { draft: board.draft || before, draftNumber: board.draftNumber }
    text.value = shared.draft
    waiting.value = false
  }

  function write(words: string): void {
    text.value = words
    sendSoon()
  }

  function sendSoon(after = SEND_AFTER): void {
    clearTimeout(timer)
    timer = setTimeout(() => void send(), after)
  }

  async function send(leaving = false): Promise<void> {
    clearTimeout(timer)
    if (sending || text.value === shared.draft) return
    const [id, sent] = [lesson, text.value]
    sending = true
    try {
      const body = { draft: sent, draftFrom: shared.draft }
      const { board } = await callServer<{ board: BoardState }>(`/api/lessons/${id}/board`, { method: 'PUT', body, leaving })
      sending = false
      if (id !== lesson) return
      waiting.value = false
      const later = meanwhile
      takeIn(board, sent)
      if (later) takeIn(later)
      if (text.value !== shared.draft) sendSoon()
    } catch (error) {
      sending = false
      if (!(error instanceof ServerRefusal && error.away)) return notices.trouble(messageOf(error))
      if (id !== lesson) return
      waiting.value = true
      sendSoon(TRY_AGAIN_AFTER)
    }
  }

  /**
   * Takes in what the server has; an older one that comes late is known by its number.
   * @param base what is written here began from it
   */
  function takeIn(board: BoardState, base = shared.draft): void {
    meanwhile = sending ? board : undefined
    const { draft, draftNumber } = board
    if (sending || draftNumber <= shared.draftNumber) return
    shared = { draft, draftNumber }
    text.value = mergeText(base, text.value, draft)
  }

  return { text, waiting, open, write, send, takeIn }
})
