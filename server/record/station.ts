import type { AnyKind, AnyRow, ListName, RowKindName } from '../../core/lesson'
import { refusal } from '../access/refusal'
import type { Database } from '../database/open'
import type { Station } from '../database/stations'
import { findRows } from './rows'

type Said = Partial<AnyRow> & Record<string, unknown>

/** Whole rows of what a station said: for its own group only, and grown from nothing but its own group's rows. */
export async function saidByStation(
  database: Database,
  kind: AnyKind<RowKindName, ListName>,
  said: object[],
  { group, lesson }: Pick<Station, 'group' | 'lesson'>,
): Promise<object[]> {
  const column = kind.grewFrom
  return Promise.all(
    (said as Said[]).map(async (row) => {
      if (row.group !== undefined && row.group !== group) throw refusal(403, 'other-group', 'group')
      const whole = { ...kind.unsaid, ...row, group }
      const from = column === undefined ? undefined : row[column]
      if (column === undefined || typeof from !== 'string') return whole
      const [earlier] = (await findRows(database, kind, [from])).filter((one) => one.lesson === lesson)
      if (earlier && earlier.row.group !== group) throw refusal(403, 'other-group', column)
      return { ...whole, [column]: earlier?.row.id ?? null }
    }),
  )
}
