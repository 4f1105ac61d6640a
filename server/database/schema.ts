import {
  bigserial,
  boolean,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core'
import type { Calendar } from '../../core/clock'
import type { Thing } from '../../core/kit'
import type { BoardState, Conclusion, Observation, Plan, Prediction, Reading, SaidRemark } from '../../core/lesson'
import type { LessonEvent } from '../../core/lesson'

const when = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' }).notNull()
const lesson = () =>
  uuid('lesson')
    .notNull()
    .references(() => lessons.id)

const bytes = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' })

export const lessons = pgTable('lessons', {
  id: uuid('id').primaryKey(),
  plan: jsonb('plan').$type<Plan>().notNull(),
  /** Goes up with every saved plan, so that a desk notices when another one was faster. */
  revision: integer('revision').notNull(),
  /** What a group types in to open its station. */
  code: text('code').notNull().unique(),
  /** What the board shows; null until somebody changes it. */
  board: jsonb('board').$type<BoardState>(),
  archivedAt: timestamp('archived_at', { withTimezone: true, mode: 'date' }),
  createdAt: when('created_at'),
  savedAt: when('saved_at'),
})

/** Never changed and never deleted: a correction is a further row that supersedes. */
export const readings = pgTable(
  'readings',
  {
    id: uuid('id').primaryKey(),
    sequence: bigserial('sequence', { mode: 'number' }).notNull(),
    lesson: lesson(),
    group: text('group').notNull(),
    condition: text('condition').notNull(),
    repeat: integer('repeat').notNull(),
    moment: text('moment').notNull().default(''),
    practice: boolean('practice').notNull(),
    value: doublePrecision('value').notNull(),
    unit: text('unit').$type<Reading['unit']>().notNull(),
    entered: text('entered').notNull(),
    status: text('status').$type<Reading['status']>().notNull(),
    reason: text('reason').notNull(),
    confirmed: boolean('confirmed').notNull(),
    supersedes: uuid('supersedes'),
    by: text('by').$type<Reading['by']>().notNull(),
    at: when('at'),
  },
  (table) => [index('readings_of_lesson').on(table.lesson, table.sequence)],
)

export const predictions = pgTable(
  'predictions',
  {
    id: uuid('id').primaryKey(),
    sequence: bigserial('sequence', { mode: 'number' }).notNull(),
    lesson: lesson(),
    group: text('group').notNull(),
    as: text('as').$type<Prediction['as']>().notNull().default('order'),
    order: jsonb('order').$type<string[]>().notNull(),
    values: jsonb('values').$type<Prediction['values']>().notNull().default({}),
    reason: text('reason').notNull(),
    late: boolean('late').notNull(),
    by: text('by').$type<Prediction['by']>().notNull(),
    at: when('at'),
  },
  (table) => [index('predictions_of_lesson').on(table.lesson, table.sequence)],
)

/** What groups said at their stations; the desk takes it up into the plan. */
export const remarks = pgTable(
  'remarks',
  {
    id: uuid('id').primaryKey(),
    sequence: bigserial('sequence', { mode: 'number' }).notNull(),
    lesson: lesson(),
    group: text('group').notNull(),
    list: text('list').$type<SaidRemark['list']>().notNull(),
    text: text('text').notNull(),
    at: when('at'),
  },
  (table) => [index('remarks_of_lesson').on(table.lesson, table.sequence)],
)

/** What groups saw while they tested. */
export const observations = pgTable(
  'observations',
  {
    id: uuid('id').primaryKey(),
    sequence: bigserial('sequence', { mode: 'number' }).notNull(),
    lesson: lesson(),
    group: text('group').notNull(),
    condition: text('condition'),
    repeat: integer('repeat'),
    kind: text('kind').$type<Observation['kind']>().notNull(),
    text: text('text').notNull(),
    picture: uuid('picture'),
    by: text('by').$type<Observation['by']>().notNull(),
    at: when('at'),
  },
  (table) => [index('observations_of_lesson').on(table.lesson, table.sequence)],
)

/** Pictures of the hook, of ordered words and of observations. The plan and the rows name them; a copy of a lesson has the same picture under the same id. */
export const pictures = pgTable(
  'pictures',
  {
    lesson: lesson(),
    id: uuid('id').notNull(),
    type: text('type').notNull(),
    bytes: bytes('bytes').notNull(),
    at: when('at'),
  },
  (table) => [primaryKey({ columns: [table.lesson, table.id] })],
)

export const conclusions = pgTable(
  'conclusions',
  {
    id: uuid('id').primaryKey(),
    sequence: bigserial('sequence', { mode: 'number' }).notNull(),
    lesson: lesson(),
    group: text('group'),
    from: uuid('from'),
    text: text('text').notNull(),
    hands: integer('hands'),
    agreed: boolean('agreed').notNull(),
    by: text('by').$type<Conclusion['by']>().notNull().default('desk'),
    at: when('at'),
  },
  (table) => [index('conclusions_of_lesson').on(table.lesson, table.sequence)],
)

/** What happened, in order; a client that was away asks for everything since its number. */
export const events = pgTable(
  'events',
  {
    number: bigserial('number', { mode: 'number' }).primaryKey(),
    lesson: lesson(),
    body: jsonb('body').$type<LessonEvent>().notNull(),
    at: when('at'),
  },
  (table) => [index('events_of_lesson').on(table.lesson, table.number)],
)

/** One row per joined station; the token itself is not kept, only its hash. */
export const stations = pgTable('stations', {
  tokenHash: text('token_hash').primaryKey(),
  /** What the desk calls it by. */
  id: uuid('id').notNull().unique().defaultRandom(),
  lesson: lesson(),
  group: text('group').notNull(),
  /** Sends nothing until the desk lets it go on. */
  locked: boolean('locked').notNull().default(false),
  at: when('at'),
})

/** What stands in the school's cupboard now. */
export const things = pgTable('things', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  unit: text('unit').$type<Thing['unit']>().notNull(),
  stock: doublePrecision('stock').notNull(),
  place: text('place').notNull(),
  minimum: doublePrecision('minimum'),
  pack: doublePrecision('pack'),
  price: doublePrecision('price'),
  /** Taken out of the cupboard; its history stays. */
  goneAt: timestamp('gone_at', { withTimezone: true, mode: 'date' }),
})

/** Why a stock changed, in order; never changed and never deleted. */
export const moves = pgTable(
  'moves',
  {
    number: bigserial('number', { mode: 'number' }).primaryKey(),
    thing: uuid('thing')
      .notNull()
      .references(() => things.id),
    lesson: uuid('lesson').references(() => lessons.id),
    why: text('why').$type<'new' | 'corrected' | 'imported' | 'counted-back' | 'taken-out'>().notNull(),
    change: doublePrecision('change').notNull(),
    broken: doublePrecision('broken').notNull().default(0),
    stock: doublePrecision('stock').notNull(),
    at: when('at'),
  },
  (table) => [index('moves_of_thing').on(table.thing, table.number), index('moves_of_lesson').on(table.lesson)],
)

/** When each class has school. */
export const calendars = pgTable('calendars', {
  className: text('class_name').primaryKey(),
  calendar: jsonb('calendar').$type<Calendar>().notNull(),
})

/** Settings of the whole school, by name. */
export const settings = pgTable('settings', {
  name: text('name').primaryKey(),
  value: jsonb('value').notNull(),
})
