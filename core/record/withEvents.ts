import type { LessonEvent, LessonRecord } from '../lesson'

/** The record with what events bring; what is there already is not doubled. */
export function withEvents(record: LessonRecord, events: LessonEvent[]): LessonRecord {
  const rows = <Row>(pick: (event: LessonEvent) => Row | undefined) =>
    events.map(pick).filter((row): row is NonNullable<typeof row> => row !== undefined)
  return {
    readings: withRows(
      record.readings,
      rows((event) => (event.kind === 'reading' ? event.reading : undefined)),
    ),
    predictions: withRows(
      record.predictions,
      rows((event) => (event.kind === 'prediction' ? event.prediction : undefined)),
    ),
    conclusions: withRows(
      record.conclusions,
      rows((event) => (event.kind === 'conclusion' ? event.conclusion : undefined)),
    ),
    remarks: withRows(
      record.remarks,
      rows((event) => (event.kind === 'remark' ? event.remark : undefined)),
    ),
    observations: withRows(
      record.observations,
      rows((event) => (event.kind === 'observation' ? event.observation : undefined)),
    ),
  }
}

/** A list that nothing is added to stays the same one, so that what is worked out from it stays, too. */
function withRows<T extends { id: string }>(rows: T[], more: T[]): T[] {
  if (more.length === 0) return rows
  const fresh = new Map(more.map((row) => [row.id, row]))
  const known = rows.map((row) => {
    const newer = fresh.get(row.id)
    fresh.delete(row.id)
    return newer ?? row
  })
  return [...known, ...fresh.values()]
}
