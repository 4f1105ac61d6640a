import type { LessonRecord } from '~~/core/lesson'
import type { LessonEvent } from '~~/server/live/events'

/** The record with what an event brings; what is there already is not doubled. */
export function withEvent(record: LessonRecord, event: LessonEvent): LessonRecord {
  switch (event.kind) {
    case 'reading':
      return { ...record, readings: withRow(record.readings, event.reading) }
    case 'prediction':
      return { ...record, predictions: withRow(record.predictions, event.prediction) }
    case 'conclusion':
      return { ...record, conclusions: withRow(record.conclusions, event.conclusion) }
    case 'remark':
      return { ...record, remarks: withRow(record.remarks, event.remark) }
    case 'plan':
      return record
  }
}

function withRow<T extends { id: string }>(rows: T[], row: T): T[] {
  const place = rows.findLastIndex((other) => other.id === row.id)
  return place < 0 ? [...rows, row] : rows.with(place, row)
}
