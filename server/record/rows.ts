import { and, asc, eq, gt, inArray, isNull, sql } from 'drizzle-orm'
import { alias } from 'drizzle-orm/pg-core'
import {
  conditionsOf,
  EVERY_KIND,
  otherGroupOf,
  recordOf,
  WHOLE_CLASS,
  type AnyRow,
  type LessonRecord,
  type ListName,
  type RowKindName,
  type RowOf,
  type AnyKind,
} from '../../core/lesson'
import { type UsedPlaces } from '../../core/record'
import type { Database } from '../database/open'
import { ROW_TABLES } from '../database/schema'

type Kind = AnyKind<RowKindName, ListName>
const MOST_AT_ONCE = 500

/** The rows of one kind, in the order they were written: page by page, so that others are heard between. */
export async function listRows<Name extends RowKindName>(
  database: Database,
  { kind }: { kind: Name; list: ListName },
  lesson: string,
): Promise<RowOf<Name>[]> {
  const own = EVERY_KIND.find((one) => one.kind === kind)!
  const rows: AnyRow[] = []
  for (let after = 0; ;) {
    const page = await listRowsAfter(database, own, lesson, after)
    rows.push(...page.rows)
    if (page.rows.length < PAGE) return rows as unknown as RowOf<Name>[]
    after = page.last
    await new Promise((heard) => setImmediate(heard))
  }
}

/**
 * Rows change the lesson that they are in, and nothing else about them.
 * @param groups whose rows; all of the lesson's, the class's own with them, where nothing is said
 */
export async function moveRows(database: Database, from: string, to: string, groups?: string[]): Promise<void> {
  for (const { list } of EVERY_KIND) {
    const table = ROW_TABLES[list]
    const whose = groups && inArray(table.group, groups)
    await database
      .update(table)
      .set({ lesson: to })
      .where(and(eq(table.lesson, from), whose))
  }
}

/** Everything recorded in a lesson. */
export async function loadRecord(database: Database, lesson: string): Promise<LessonRecord> {
  const lists = new Map<string, AnyRow[]>()
  for (const kind of EVERY_KIND) lists.set(kind.list, await listRows(database, kind, lesson))
  return recordOf(({ list }) => lists.get(list)!)
}

/** Some rows of one kind, of whatever lesson. */
export async function findRows(database: Database, { list }: Kind, ids: string[]): Promise<{ lesson: string; row: AnyRow }[]> {
  if (ids.length === 0) return []
  const rows = await database.select().from(ROW_TABLES[list]).where(inArray(ROW_TABLES[list].id, ids))
  return rows.map((row) => ({ lesson: row.lesson, row: toRow(row) }))
}

/**
 * Writes rows that are not there yet; answers the ids of those it wrote. They go in as one text: a value of its own for each column of each row takes the query
 * builder ten times as long, in which nobody is heard.
 */
export async function insertRows(
  database: Database,
  { list, columns }: Kind,
  lesson: string,
  rows: AnyRow[],
): Promise<Set<string>> {
  const table = ROW_TABLES[list]
  const names = Object.keys(columns)
  const named = sql.raw(names.map((name) => `"${name}"`).join(', '))
  const typed = sql.raw(names.map((name) => `"${name}" ${table[name as 'group'].getSQLType()}`).join(', '))
  const written = new Set<string>()
  for (const some of chunks(rows)) {
    const stored = await database.execute(sql`
      insert into ${table} (${named}, "lesson")
      select ${named}, ${lesson}::uuid from rows from (jsonb_to_recordset(${JSON.stringify(some)}::jsonb) as (${typed})) with ordinality order by ordinality
      on conflict ("id") do nothing returning "id"`)
    for (const { id } of foundIn<{ id: string }>(stored)) written.add(id)
  }
  return written
}

/** The rows of an answer, which the two databases put in different places. */
function foundIn<Row>(answer: unknown): Row[] {
  return Array.isArray(answer) ? (answer as Row[]) : (answer as { rows: Row[] }).rows
}

const PAGE = 200

/** The next page of a lesson's rows, in the order in which they were written, and the place of its last one. */
export async function listRowsAfter(
  database: Database,
  { list }: Kind,
  lesson: string,
  after: number,
): Promise<{ rows: AnyRow[]; last: number }> {
  const table = ROW_TABLES[list]
  const rows = await database
    .select()
    .from(table)
    .where(and(eq(table.lesson, lesson), gt(table.sequence, after)))
    .orderBy(asc(table.sequence))
    .limit(PAGE)
  return { rows: rows.map(toRow), last: rows.at(-1)?.sequence ?? after }
}

/** Are there more rows of a kind than so many. */
export async function holdsMoreThan(database: Database, { list }: Kind, lesson: string, most: number): Promise<boolean> {
  const table = ROW_TABLES[list]
  const beyond = await database.select({ id: table.id }).from(table).where(eq(table.lesson, lesson)).offset(most).limit(1)
  return beyond.length > 0
}

/** Places that rows of a lesson name, and that so must stay in its plan. */
export async function usedPlaces(database: Database, lesson: string): Promise<UsedPlaces> {
  const used: UsedPlaces = { groups: new Set(), conditions: new Set(), moments: await usedMoments(database, lesson) }
  for (const kind of EVERY_KIND) {
    const table = ROW_TABLES[kind.list]
    const named = [kind.conditions, kind.otherGroup].filter((name) => name !== undefined)
    const columns = { group: table.group, ...Object.fromEntries(named.map((name) => [name, table[name as 'group']])) }
    for (const row of await database.selectDistinct(columns).from(table).where(eq(table.lesson, lesson))) {
      for (const group of [row.group, otherGroupOf(kind, row as AnyRow)])
        if (group !== null && group !== WHOLE_CLASS) used.groups.add(group)
      for (const condition of conditionsOf(kind, row as AnyRow)) used.conditions.add(condition)
    }
  }
  return used
}

/** The moments of readings that count as they stand now. */
async function usedMoments(database: Database, lesson: string): Promise<Set<string>> {
  const table = ROW_TABLES.readings
  const column = (name: string) => table[name as 'group']
  const later = alias(table, 'later')
  const rows = await database
    .selectDistinct({ moment: column('moment') })
    .from(table)
    .leftJoin(later, and(eq(later.lesson, lesson), eq(later['supersedes' as 'group'], table.id as never)))
    .where(and(eq(table.lesson, lesson), eq(column('practice'), false as never), eq(column('status'), 'kept'), isNull(later.id)))
  return new Set(rows.map(({ moment }) => moment!))
}

/** Groups of a lesson that have a reading which counts. */
export async function groupsThatBegan(database: Database, lesson: string): Promise<Set<string>> {
  const table = ROW_TABLES.readings
  const practice = table['practice' as 'group']
  const rows = await database
    .selectDistinct({ group: table.group })
    .from(table)
    .where(and(eq(table.lesson, lesson), eq(practice, false as never)))
  return new Set(rows.map(({ group }) => group!))
}

function toRow({ lesson: _lesson, sequence: _sequence, at, ...row }: (typeof ROW_TABLES)[ListName]['$inferSelect']): AnyRow {
  return { ...row, at: at.toISOString() }
}

function chunks<T>(rows: T[]): T[][] {
  return Array.from({ length: Math.ceil(rows.length / MOST_AT_ONCE) }, (_, place) =>
    rows.slice(place * MOST_AT_ONCE, (place + 1) * MOST_AT_ONCE),
  )
}
