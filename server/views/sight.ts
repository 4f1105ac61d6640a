import { isEachChild, ROW_KINDS, type Reading } from '../../core/lesson'
import { numbersAreShown } from '../../core/secondLook'
import type { StationSight } from '../../core/station'
import type { StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import type { Station } from '../database/stations'
import { listRows } from '../record/rows'

/** What a station may see now. @param readings all of the lesson's, where they are at hand */
export async function sightOf(
  database: Database,
  { id, plan, board }: Pick<StoredLesson, 'id' | 'plan' | 'board'>,
  station: Pick<Station, 'id' | 'group'>,
  readings?: Reading[],
): Promise<StationSight> {
  const live = board.results === 'live'
  const all = live || numbersAreShown(plan, readings ?? (await listRows(database, ROW_KINDS.reading, id)), board)
  return { station: station.id, group: station.group, all, live, alone: isEachChild(plan) }
}
