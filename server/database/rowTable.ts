import { bigserial, boolean, doublePrecision, index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core'
import type { AnyPgColumn, PgTextBuilderInitial } from 'drizzle-orm/pg-core'
import type { AnyKind, Column } from '../../core/lesson'

/** What a column of a row is in the database. */
const COLUMN_OF = {
  'row-id': uuid,
  picture: uuid,
  'plan-id': text,
  moment: text,
  text,
  unit: text,
  'one-of': text,
  number: doublePrecision,
  whole: integer,
  'yes-or-no': boolean,
  'plan-ids': jsonb,
  numbers: jsonb,
  time: (name: string) => timestamp(name, { withTimezone: true, mode: 'date' }),
} as const satisfies Record<Column['is'], (name: string) => unknown>

/** Every column counts as text for the compiler: rows of any kind go in and out by their own types. */
type Typed = PgTextBuilderInitial<string, [string, ...string[]]>

function columnOf(name: string, column: Column) {
  const made = (COLUMN_OF[column.is] as unknown as (name: string) => Typed)(name)
  return column.nullable ? made : made.notNull()
}

/**
 * The table of one kind of row, made from its columns. Never changed and never deleted: a correction is a further row that
 * supersedes. Beside its own columns every row has its lesson and its place in the order of writing.
 */
export function rowTable({ list, columns }: AnyKind, lessonId: () => AnyPgColumn) {
  const own = Object.entries(columns).filter(([name]) => !['id', 'group', 'at'].includes(name))
  return pgTable(
    list,
    {
      ...(Object.fromEntries(own.map(([name, column]) => [name, columnOf(name, column)])) as Record<never, Typed>),
      id: uuid('id').primaryKey(),
      sequence: bigserial('sequence', { mode: 'number' }).notNull(),
      lesson: uuid('lesson').notNull().references(lessonId),
      group: columnOf('group', columns.group!) as Typed,
      at: timestamp('at', { withTimezone: true, mode: 'date' }).notNull(),
    },
    (table) => [index(`${list}_of_lesson`).on(table.lesson, table.sequence)],
  )
}

export type RowTable = ReturnType<typeof rowTable>
