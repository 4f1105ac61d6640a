import { and, eq, isNull, type SQL } from 'drizzle-orm'
import { lessons } from './schema'

/** A class's desk sees its own lessons, the head desk (null) all; nobody sees one that is still on its way out of a file. */
export function seenAt(desk: string | null): SQL | undefined {
  return and(isNull(lessons.arriving), desk === null ? undefined : eq(lessons.desk, desk))
}
