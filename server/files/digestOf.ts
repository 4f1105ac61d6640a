import { EVERY_KIND, namedPictures, type AnyRow, type Observation } from '../../core/lesson'
import type { StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { findPicture } from '../database/pictures'
import { listRowsAfter } from '../record/rows'
import { LessonDigest } from './digest'
import { withoutMetadata } from './withoutMetadata'

/** The digest of a lesson as it stands here, taken up a page at a time, so that nobody waits for a long one. */
export async function digestOf(database: Database, { id, plan }: Pick<StoredLesson, 'id' | 'plan'>): Promise<string> {
  const digest = new LessonDigest().plan(plan)
  const observations: AnyRow[] = []
  for (const kind of EVERY_KIND) {
    for (let after = 0; ;) {
      const { rows, last } = await listRowsAfter(database, kind, id, after)
      if (rows.length === 0) break
      digest.rows(kind, rows)
      if (kind.kind === 'observation') observations.push(...rows)
      after = last
    }
  }
  for (const picture of namedPictures(plan, observations as unknown as Observation[])) {
    const stored = await findPicture(database, id, picture)
    // As it is read from a file, where one was stored before metadata were left out.
    if (stored) digest.picture({ ...stored, bytes: withoutMetadata(stored.type, stored.bytes) })
  }
  return digest.value()
}
