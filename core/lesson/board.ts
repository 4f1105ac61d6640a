import { mergeText } from './mergeText'

export const BOARD_VIEWS = ['join', 'wonder', 'question', 'predict', 'test', 'results', 'agree'] as const
export type BoardViewName = (typeof BOARD_VIEWS)[number]

export const RESULTS_SHOWN = ['live', 'quiet'] as const

/** What the teacher has the board show, the same for every projector, desk and station of the lesson. */
export interface BoardState {
  /** Null turns to the view that fits what the class is doing. */
  view: BoardViewName | null
  /** ISO time at which the test's minutes were started by hand; null follows the lesson's own timetable. */
  clockStarted: string | null
  /** When the lesson's clock stood still; the last one goes on while it has no end. */
  pauses: Pause[]
  /** Trials that groups on paper were tapped to have done, in the order of time. */
  tapped: Tap[]
  /** Numbers on the board as they come in, or hidden until everybody is done. */
  results: (typeof RESULTS_SHOWN)[number]
  /** A sound at the end of a phase, at the bell of a circuit and when a reading is due. */
  sound: boolean
  /** The class's sentence as it is being written, word by word. */
  draft: string
  /** Goes up with every change, so that what comes back from before an own one is known. */
  number: number
  /** Goes up with every change of the draft, so that an older one that comes late is known. */
  draftNumber: number
}

/**
 * A change of what is shown. `draftFrom` is the sentence that this one was written on; `tap` is one trial more and `untap` one that
 * was none, whatever was tapped elsewhere meanwhile.
 */
export type BoardChange = Partial<Omit<BoardState, 'number' | 'draftNumber' | 'tapped'>> & {
  draftFrom?: string
  tap?: Tap
  untap?: Tap
}

/** From when to when the clock stood still, as ISO times. */
export interface Pause {
  from: string
  to: string | null
}

/** One trial more done, on paper. */
export interface Tap {
  group: string
  /** ISO time. */
  at: string
}

/** So many taps are kept. */
const MOST_TAPS = 2000

/** So many pauses are kept. */
export const MOST_PAUSES = 50

export const USUAL_BOARD: BoardState = {
  view: null,
  clockStarted: null,
  pauses: [],
  tapped: [],
  results: 'quiet',
  sound: true,
  draft: '',
  number: 0,
  draftNumber: 0,
}

/** The board after a change. A sentence that another desk changed meanwhile keeps that change. */
export function withBoardChange(board: BoardState, { draftFrom, tap, untap, ...change }: BoardChange): BoardState {
  const next = { ...board, ...change, number: board.number + 1, tapped: tappedAfter(board.tapped, tap, untap) }
  if (change.draft === undefined) return next
  const alone = draftFrom === undefined || board.draft === ''
  const draft = alone ? change.draft : mergeText(draftFrom, change.draft, board.draft)
  return { ...next, draft, draftNumber: board.draftNumber + 1 }
}

/** Is what was heard from before what is shown, which an own change stands in already. */
export function isOlderBoard(heard: BoardState, shown: BoardState): boolean {
  return heard.number < shown.number
}

function tappedAfter(tapped: Tap[], more: Tap | undefined, less: Tap | undefined): Tap[] {
  const kept = less ? tapped.filter(({ group, at }) => group !== less.group || at !== less.at) : tapped
  if (!more || kept.length >= MOST_TAPS) return kept
  return [...kept, more].sort((one, other) => one.at.localeCompare(other.at))
}
