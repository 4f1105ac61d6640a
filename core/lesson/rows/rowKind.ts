/**
 * What stands in one column of a row. The schemas, the database's table and the files of a lesson are all made from it. What came `later` is null where a page that is
 * older than the server does not say it.
 */
export type Column = { nullable?: boolean; later?: boolean } & (
  | { is: 'row-id' }
  /** An id inside the plan: a group, a condition. */
  | { is: 'plan-id' }
  | { is: 'plan-ids'; most: number }
  | { is: 'moment' }
  | { is: 'picture' }
  /** `said` letters at most from now on, where rows of before may have more. */
  | { is: 'text'; most: number; said?: number; needed?: boolean }
  | { is: 'unit' }
  | { is: 'number' }
  /** Numbers under ids or moments of the plan. */
  | { is: 'numbers'; most: number }
  | { is: 'whole'; least: number; most: number }
  | { is: 'yes-or-no' }
  | { is: 'one-of'; words: readonly string[] }
  | { is: 'time' }
)

/** What every row has. */
export interface AnyRow {
  id: string
  /** Whose it is; null for the whole class. */
  group: string | null
  /** ISO time. */
  at: string
}

/** A kind of row as those see it who go over all of them. */
export interface AnyKind<Kind extends string = string, List extends string = string> {
  kind: Kind
  /** Its list in the record, in files and in addresses. */
  list: List
  columns: Record<string, Column>
  /** What the server writes beside what was said: source, time, and what follows from the record. */
  stamped: readonly string[]
  /** A file holds no more of them. */
  most: number
  /** Columns that a station says for its own group; the rest of the row is as in `unsaid`. */
  station: readonly string[]
  unsaid: object
  /** The desk writes such rows, too. */
  desk: boolean
  /** For its own group and the teacher: no other group's station and no board sees it. */
  confidential?: boolean
  /** For the teacher alone: no station writes or sees it, and no board. */
  deskOnly?: boolean
  /** The column that names another group of the plan. */
  otherGroup?: string
  /** The column that names conditions of the plan. */
  conditions?: string
  /** This row may stand for the whole class instead of a group. */
  ofWholeClass?(row: AnyRow): boolean
  /** The column that names the earlier row of the same lesson and group whose place it takes. */
  supersedes?: string
  /** The column that names the row it grew from, which need not be there any more. */
  grewFrom?: string
  /** The column that names a row of whatever list. */
  about?: string
  /** The column that is wrong although each is right for itself; undefined for a row that can be kept. */
  faultOf?(row: object): string | undefined
}

/** One kind of row of a lesson's record, and all that anybody has to know to list, write, stream, file and check it. */
export interface RowKind<
  Row extends AnyRow,
  Kind extends string,
  List extends string,
  Stamped extends keyof Row & string,
  Station extends keyof Row & string,
> extends AnyKind<Kind, List> {
  columns: Record<keyof Row & string, Column>
  stamped: readonly Stamped[]
  station: readonly Station[]
  unsaid: Partial<Row>
  otherGroup?: keyof Row & string
  conditions?: keyof Row & string
  ofWholeClass?(row: Row): boolean
  supersedes?: keyof Row & string
  grewFrom?: keyof Row & string
  about?: keyof Row & string
  faultOf?(row: Row): (keyof Row & string) | undefined
}

/** Writes a kind of row down with its names kept as they are. */
export function rowKind<Row extends AnyRow>() {
  return <
    const Kind extends string,
    const List extends string,
    const Stamped extends keyof Row & string,
    const Station extends keyof Row & string,
  >(
    kind: RowKind<Row, Kind, List, Stamped, Station>,
  ) => kind
}

/** What a column of a row says, without looking at which kind it is. */
function columnOf(row: AnyRow, column: string | undefined): unknown {
  return column === undefined ? undefined : (row as unknown as Record<string, unknown>)[column]
}

/** The conditions that a row is about. */
export function conditionsOf({ conditions }: AnyKind, row: AnyRow): string[] {
  return [columnOf(row, conditions) ?? []].flat() as string[]
}

/** The other group that a row is about; null where there is none. */
export function otherGroupOf({ otherGroup }: AnyKind, row: AnyRow): string | null {
  return (columnOf(row, otherGroup) ?? null) as string | null
}

/** The row whose place this one takes; null where it takes none's. */
export function supersededBy({ supersedes }: AnyKind, row: AnyRow): string | null {
  return (columnOf(row, supersedes) ?? null) as string | null
}

/** The row that this one is about, of whatever list; null for most. */
export function aboutRow({ about }: AnyKind, row: AnyRow): string | null {
  return (columnOf(row, about) ?? null) as string | null
}

/** The row with its group, and its conditions, changed where they are said. */
export function placedAt(
  kind: AnyKind,
  row: AnyRow,
  { group, condition }: { group: string | null; condition: string | null },
): AnyRow {
  const conditions = condition === null || kind.conditions === undefined ? {} : { [kind.conditions]: condition }
  return { ...row, ...(group === null ? {} : { group }), ...conditions }
}

/** The row with other ids for itself and for the rows that it names. */
export function withIds(kind: AnyKind, row: AnyRow, idOf: (id: string) => string | undefined): AnyRow {
  const renamed = (column: string | undefined) => {
    const id = columnOf(row, column) as string | null | undefined
    return column === undefined ? {} : { [column]: id ? (idOf(id) ?? null) : null }
  }
  const about = aboutRow(kind, row)
  const named = about === null ? {} : { [kind.about!]: idOf(about) ?? about }
  return { ...row, id: idOf(row.id)!, ...renamed(kind.supersedes), ...renamed(kind.grewFrom), ...named }
}

/** Where something was entered. */
export const SOURCES = ['desk', 'station', 'import'] as const
export type Source = (typeof SOURCES)[number]

/** A prediction of the whole class, counted by hands up, stands under this instead of a group. */
export const WHOLE_CLASS = 'whole-class'
