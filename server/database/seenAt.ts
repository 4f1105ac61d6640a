import { eq, type SQL } from 'drizzle-orm'
import { lessons } from './schema'

/** A class's desk sees its own lessons, the head desk (null) all. */
export function seenAt(desk: string | null): SQL | undefined {
  return desk === null ? undefined : eq(lessons.desk, desk)
}
