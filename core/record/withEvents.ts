import { recordOf, rowsOf, type AnyRow, type LessonEvent, type LessonRecord } from '../lesson'

/** The record with what events bring; what is there already is not doubled. */
export function withEvents(record: LessonRecord, events: LessonEvent[]): LessonRecord {
  return recordOf((kind) =>
    withRows(
      rowsOf(record, kind),
      events.flatMap((event) => (event.kind === kind.kind ? [(event as unknown as Record<string, AnyRow>)[event.kind]!] : [])),
    ),
  )
}

/** A list that nothing is added to stays the same one, so that what is worked out from it stays, too. */
function withRows(rows: AnyRow[], more: AnyRow[]): AnyRow[] {
  if (more.length === 0) return rows
  const fresh = new Map(more.map((row) => [row.id, row]))
  const known = rows.map((row) => {
    const newer = fresh.get(row.id)
    fresh.delete(row.id)
    return newer ?? row
  })
  return [...known, ...fresh.values()]
}
