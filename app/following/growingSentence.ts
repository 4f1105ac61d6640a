import { mergeText, type BoardState } from '~~/core/lesson'
import { deviceClock, type Clock } from './clock'

const SEND_AFTER = 500
const TRY_AGAIN_AFTER = 3000

export interface SentenceState {
  text: string
  /** The server cannot be reached: the board does not show these words yet. */
  waiting: boolean
}

type Shared = Pick<BoardState, 'draft' | 'draftNumber'>

interface Parts {
  /** Sends the sentence, and what it was written on; answers what all desks have then. */
  send(lesson: string, words: { draft: string; draftFrom: string }, leaving: boolean): Promise<Shared>
  isAway(error: unknown): boolean
  trouble(error: unknown): void
  changed(state: SentenceState): void
}

/**
 * The class's sentence as it grows, sent while it is written. Other desks write along: what they wrote is merged in. Words that
 * could not be sent yet stay when the teacher turns to another stop, and are sent as soon as the server is there again.
 */
export function growingSentence(parts: Parts, clock: Clock = deviceClock) {
  let state: SentenceState = { text: '', waiting: false }
  let lesson = ''
  /** The sentence that all desks have, and its number. */
  let shared: Shared = { draft: '', draftNumber: 0 }
  let sending = false
  /** What came from the server while a sentence was on its way there. */
  let meanwhile: Shared | undefined
  let cancel = () => {}

  function become(change: Partial<SentenceState>): void {
    state = { ...state, ...change }
    parts.changed(state)
  }

  /** @param before the sentence that the class kept last, where none is being written */
  function open(id: string, board: Shared, before: string): void {
    if (id === lesson && state.text !== shared.draft) return takeIn(board)
    lesson = id
    shared = { draft: board.draft || before, draftNumber: board.draftNumber }
    become({ text: shared.draft, waiting: false })
  }

  function write(words: string): void {
    become({ text: words })
    sendSoon()
  }

  function sendSoon(after = SEND_AFTER): void {
    cancel()
    cancel = clock.after(after, () => void send())
  }

  async function send(leaving = false): Promise<void> {
    cancel()
    if (sending || state.text === shared.draft) return
    const [id, sent] = [lesson, state.text]
    sending = true
    try {
      const board = await parts.send(id, { draft: sent, draftFrom: shared.draft }, leaving)
      sending = false
      if (id !== lesson) return
      become({ waiting: false })
      const later = meanwhile
      takeIn(board, sent)
      if (later) takeIn(later)
      if (state.text !== shared.draft) sendSoon()
    } catch (error) {
      sending = false
      if (!parts.isAway(error)) return parts.trouble(error)
      if (id !== lesson) return
      become({ waiting: true })
      sendSoon(TRY_AGAIN_AFTER)
    }
  }

  /**
   * Takes in what the server has; an older one that comes late is known by its number.
   * @param base what is written here began from it
   */
  function takeIn({ draft, draftNumber }: Shared, base = shared.draft): void {
    meanwhile = sending ? { draft, draftNumber } : undefined
    if (sending || draftNumber <= shared.draftNumber) return
    shared = { draft, draftNumber }
    become({ text: mergeText(base, state.text, draft) })
  }

  return { open, write, send, takeIn }
}
