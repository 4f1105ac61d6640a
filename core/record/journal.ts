import { EVERY_KIND, rowsOf, USUAL_BOARD, type BoardState, type LessonEvent, type LessonRecord } from '../lesson'

export type JournalKind = LessonEvent['kind']
export const JOURNAL_KINDS: readonly JournalKind[] = [...EVERY_KIND.map(({ kind }) => kind), 'station', 'board', 'plan', 'together']

/** One thing that happened. */
export interface JournalLine {
  at: string
  event: LessonEvent
  group: string | undefined
  /** Changes of the plan that came one right after the other stand in one line. */
  times: number
}

const ONE_SITTING = 5 * 60_000

/**
 * Everything that happened in a lesson, in the order of time: the rows of its record and what else the server noted.
 * @param others changes of plan, board and stations, in order
 */
export function journalOf(record: LessonRecord, others: { at: string; body: LessonEvent }[]): JournalLine[] {
  const lines = [
    ...EVERY_KIND.flatMap((kind) =>
      rowsOf(record, kind).map((row) =>
        lineOf({ kind: kind.kind, [kind.kind]: row } as unknown as LessonEvent, { at: row.at, group: row.group ?? undefined }),
      ),
    ),
    ...others.map(({ at, body }) => lineOf(body, { at, group: body.kind === 'station' ? body.group : undefined })),
  ]
  return gathered(lines.sort((a, b) => Date.parse(a.at) - Date.parse(b.at)))
}

/** The lines that somebody looks for. */
export function filteredJournal(
  lines: JournalLine[],
  { kind, group }: { kind: JournalKind | undefined; group: string | undefined },
): JournalLine[] {
  return lines.filter(
    ({ event, group: by }) => (kind === undefined || event.kind === kind) && (group === undefined || by === group),
  )
}

function lineOf(event: LessonEvent, { at, group }: { at: string; group?: string | undefined }): JournalLine {
  return { at, event, group, times: 1 }
}

/** The class's sentence grows word by word, and trials on paper are tapped: neither changes what is shown. */
function showsTheSame(board: BoardState, before: BoardState | undefined): boolean {
  const plain = ({ view, clockStarted, pauses, results, sound }: BoardState) =>
    JSON.stringify([view, clockStarted, pauses ?? [], results, sound])
  return plain(board) === plain(before ?? USUAL_BOARD)
}

function gathered(lines: JournalLine[]): JournalLine[] {
  const all: JournalLine[] = []
  let boardBefore: BoardState | undefined
  for (const line of lines) {
    const last = all.at(-1)
    const goesOn =
      last?.event.kind === 'plan' && line.event.kind === 'plan' && Date.parse(line.at) - Date.parse(last.at) < ONE_SITTING
    // The class's sentence grows word by word on the board; what comes of it is a conclusion of its own.
    if (line.event.kind === 'board' && showsTheSame(line.event.board, boardBefore)) continue
    if (line.event.kind === 'board') boardBefore = line.event.board
    if (goesOn) all[all.length - 1] = { ...line, times: last.times + 1 }
    else all.push(line)
  }
  return all
}
