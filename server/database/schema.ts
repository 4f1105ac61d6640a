import {
  bigint,
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
import { sql, SQL } from 'drizzle-orm'
import type { Calendar } from '../../core/clock'
import type { Thing } from '../../core/kit'
import { ROW_KINDS, type BoardState, type LessonEvent, type ListName, type Plan } from '../../core/lesson'
import type { Together } from '../../core/together'
import type { Judged, LessonFace } from '../../core/lists'
import type { Move } from '../../schemas/contract'
import type { StartingPoint } from '../../core/test'
import { rowTable, type RowTable } from './rowTable'

const when = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' }).notNull()
const lesson = () =>
  uuid('lesson')
    .notNull()
    .references(() => lessons.id)

/** Written as base 64: the embedded database goes through other bytes one by one, two seconds for a picture in which nobody is heard. Read so by `pictures.ts`, too. */
const bytes = customType<{ data: Uint8Array; driverData: SQL }>({
  dataType: () => 'bytea',
  // What is SQL already stays so.
  toDriver: (value) =>
    (value as unknown) instanceof SQL
      ? (value as unknown as SQL)
      : sql`decode(${Buffer.from(value.buffer, value.byteOffset, value.byteLength).toString('base64')}, 'base64')`,
})

/** A class's own desk, with a passphrase of its own; the head desk, which sees all, is none of them. */
export const desks = pgTable('desks', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull().unique(),
  /** Of the passphrase, in base 64; the passphrase itself is kept nowhere. */
  salt: text('salt').notNull(),
  hash: text('hash').notNull(),
})

/** Lessons that run together: one code, and what they have in common. */
export const togethers = pgTable('togethers', {
  id: uuid('id').primaryKey(),
  code: text('code').notNull().unique(),
  body: jsonb('body').$type<Together>().notNull(),
  desk: uuid('desk').references(() => desks.id),
  createdAt: when('created_at'),
})

export const lessons = pgTable('lessons', {
  id: uuid('id').primaryKey(),
  plan: jsonb('plan').$type<Plan>().notNull(),
  /** Goes up with every saved plan, so that a desk notices when another one was faster. */
  revision: integer('revision').notNull(),
  /** What a group types in to open its station. */
  code: text('code').notNull().unique(),
  /** Whose it is; null for the head desk. */
  desk: uuid('desk').references(() => desks.id),
  /** What the board shows; null until somebody changes it. */
  board: jsonb('board').$type<BoardState>(),
  archivedAt: timestamp('archived_at', { withTimezone: true, mode: 'date' }),
  /** Which file it comes out of, until all of that is there; nobody sees it before (server/record/arrival.ts). */
  arriving: uuid('arriving'),
  /** What it runs together with, and since when. */
  together: uuid('together').references(() => togethers.id),
  togetherSince: timestamp('together_since', { withTimezone: true, mode: 'date' }),
  createdAt: when('created_at'),
  savedAt: when('saved_at'),
})

const ofLesson = () => lessons.id
export const readings = rowTable(ROW_KINDS.reading, ofLesson)
export const predictions = rowTable(ROW_KINDS.prediction, ofLesson)
export const conclusions = rowTable(ROW_KINDS.conclusion, ofLesson)
/** What groups said at their stations; the desk takes it up into the plan. */
export const remarks = rowTable(ROW_KINDS.remark, ofLesson)
/** What groups saw while they tested. */
export const observations = rowTable(ROW_KINDS.observation, ofLesson)
/** What groups told each other after a visit. */
export const feedbacks = rowTable(ROW_KINDS.feedback, ofLesson)
/** What groups changed for each try. */
export const improvements = rowTable(ROW_KINDS.improvement, ofLesson)

/** Trials that ended without a number. */
export const failures = rowTable(ROW_KINDS.failure, ofLesson)

/** Where the teacher put rows that the plan had no place for any more. */
export const placings = rowTable(ROW_KINDS.placing, ofLesson)

/** The table of each kind of row, by its list. */
export const ROW_TABLES: Record<ListName, RowTable> = {
  readings,
  predictions,
  conclusions,
  remarks,
  observations,
  feedbacks,
  improvements,
  placings,
  failures,
}

/**
 * What lists say of a lesson, so that none of them works one out. The face follows from the plan and is written with it; what is
 * judged is renewed when plan, record or school changed since.
 */
export const summaries = pgTable(
  'summaries',
  {
    lesson: lesson().primaryKey(),
    /** What made the face and the judgement: a newer Jolly Beaker makes them anew. */
    madeBy: text('made_by').notNull(),
    face: jsonb('face').$type<LessonFace>().notNull(),
    /** For sorting and finding: day, class, and all words in small letters. */
    date: text('date').notNull(),
    className: text('class_name').notNull(),
    words: text('words').notNull(),
    judged: jsonb('judged').$type<Judged>(),
    judgedRevision: integer('judged_revision'),
    judgedEvent: bigint('judged_event', { mode: 'number' }),
    judgedSchool: text('judged_school'),
  },
  (table) => [index('summaries_by_day').on(table.date)],
)

/** Pictures of the hook, of ordered words and of observations. The plan and the rows name them; a copy of a lesson has the same picture under the same id. */
export const pictures = pgTable(
  'pictures',
  {
    lesson: lesson(),
    id: uuid('id').notNull(),
    type: text('type').notNull(),
    bytes: bytes('bytes').notNull(),
    /** Which station sent it; null for the desk. */
    station: uuid('station'),
    at: when('at'),
  },
  (table) => [primaryKey({ columns: [table.lesson, table.id] })],
)

/** A large picture on its way in, piece by piece, so that nobody waits for all of it; put together it is one of `pictures`. */
export const picturePieces = pgTable(
  'picture_pieces',
  {
    picture: uuid('picture').notNull(),
    lesson: lesson(),
    number: integer('number').notNull(),
    bytes: bytes('bytes').notNull(),
  },
  (table) => [primaryKey({ columns: [table.lesson, table.picture, table.number] })],
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
    why: text('why').$type<Move['why']>().notNull(),
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

/** Lessons that somebody kept for others to begin from; the whole school sees them, as it sees the cupboard. */
export const startingPoints = pgTable('starting_points', {
  id: uuid('id').primaryKey(),
  /** The desk that kept it; null for the head desk. */
  desk: uuid('desk'),
  /** The version of the plan's shape that it was kept in. */
  schemaVersion: integer('schema_version').notNull(),
  body: jsonb('body').$type<StartingPoint>().notNull(),
  createdAt: when('created_at'),
})

/** By how many marks somebody was off who read a scale to warm up; nobody's name, group or station is with it. */
export const warmUps = pgTable(
  'warm_ups',
  {
    number: bigserial('number', { mode: 'number' }).primaryKey(),
    lesson: lesson(),
    error: doublePrecision('error').notNull(),
  },
  (table) => [index('warm_ups_of_lesson').on(table.lesson)],
)

/** Settings of the whole school, by name. */
export const settings = pgTable('settings', {
  name: text('name').primaryKey(),
  value: jsonb('value').notNull(),
})

/** How often somebody was wrong or joined lately, and until when it has to wait. */
export const codeTries = pgTable('tries', {
  who: text('who').primaryKey(),
  count: integer('count').notNull(),
  last: when('last'),
})
