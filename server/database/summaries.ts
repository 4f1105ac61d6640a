import { and, asc, eq, gt, inArray, isNotNull, isNull, ne, or, sql, type SQL } from 'drizzle-orm'
import { isDeepStrictEqual } from 'node:util'
import type { Week } from '../../core/clock'
import { takesOf, type Taking } from '../../core/kit'
import { migratePlan } from '../../core/formats'
import type { Plan } from '../../core/lesson'
import { faceOf, type Judged, type LessonFace } from '../../core/lists'
import { questionInList, type Term } from '../../core/wording/reports'
import type { ShelfQuestion } from '../../schemas/contract'
import { announce } from './hearing'
import { MADE_BY } from './madeBy'
import type { Database } from './open'
import { events, lessons, moves, summaries, togethers } from './schema'
import { seenAt } from './seenAt'
import { planAsTaken } from './takenTogether'

/** What is stored of a lesson for lists, and from when. */
export interface Summary {
  id: string
  archived: boolean
  /** What sentences about the lesson are made from. */
  plan: Plan
  face: LessonFace
  judged: Judged | null
  /** What it took out of the cupboard was counted back. */
  countedBack: boolean
  /** Plan or record changed since it was judged. */
  outOfDate: boolean
  /** The school as it was judged with. */
  judgedWith: string | null
}

/** Writes what follows from the plan alone, together with the plan. */
export async function saveFace(database: Database, lesson: string, plan: Plan): Promise<void> {
  const face = { ...faceOf(plan), takes: takesOf(await planAsTaken(database, lesson, plan)) }
  const { className, date } = face
  const [before] = await database.select({ face: summaries.face }).from(summaries).where(eq(summaries.lesson, lesson))
  const row = { face, date, className, words: wordsOf(plan, face), madeBy: MADE_BY }
  await database
    .insert(summaries)
    .values({ lesson, ...row })
    .onConflictDoUpdate({ target: summaries.lesson, set: row })
  if (!isDeepStrictEqual(takingOf(before?.face), takingOf(face))) await announce(database, { what: 'school' })
}

/** What a lesson is found by. */
function wordsOf(plan: Plan, { title, className }: LessonFace): string {
  const { conditions, factors, measures, materials } = plan
  const named = [...factors, ...measures, ...materials].map(({ name }) => name)
  // Somebody looks for the words of the question as they are read on the shelf.
  return [title, questionInList(plan), className, ...conditions.map(({ label }) => label), ...named].join(' ').toLowerCase()
}

/** What of a face other lessons notice. */
function takingOf(face: LessonFace | undefined): unknown {
  return face?.takes.of.length ? [face.date, face.start, face.title, face.takes] : undefined
}

/** Keeps a judgement with what it was made of. */
export async function saveJudged(
  database: Database,
  lesson: string,
  judged: Judged,
  { revision, event, school }: { revision: number; event: number; school: string },
): Promise<void> {
  await database
    .update(summaries)
    .set({ judged, judgedRevision: revision, judgedEvent: event, judgedSchool: school })
    .where(eq(summaries.lesson, lesson))
}

const lastEvent = sql`coalesce((select ${events.number} from ${events} where ${events.lesson} = ${lessons.id} order by ${events.number} desc limit 1), 0)`
const outOfDate = sql<boolean>`(${summaries.judgedRevision} is distinct from ${lessons.revision} or ${summaries.judgedEvent} is distinct from ${lastEvent})`

function select(database: Database) {
  return database
    .select({
      id: lessons.id,
      archived: sql<boolean>`${lessons.archivedAt} is not null`,
      plan: lessons.plan,
      face: summaries.face,
      judged: summaries.judged,
      countedBack: sql<boolean>`exists(select 1 from ${moves} where ${moves.lesson} = ${lessons.id} and ${moves.why} = 'counted-back')`,
      outOfDate,
      judgedWith: summaries.judgedSchool,
    })
    .from(lessons)
    .innerJoin(summaries, eq(summaries.lesson, lessons.id))
}

/** By day; those without one come last, the newest of them first. */
const byDay = [
  sql`${summaries.date} = ''`,
  asc(summaries.date),
  sql`case when ${summaries.date} = '' then ${lessons.createdAt} end desc`,
  asc(lessons.createdAt),
  asc(lessons.id),
]

/** This week's lessons, those to come, those without a day, and last the earlier ones, the latest of them first. */
function byPart({ from, to }: Week): SQL[] {
  const isEarlier = sql`${summaries.date} <> '' and ${summaries.date} < ${from}`
  return [
    sql`case when ${summaries.date} = '' then 2 when ${isEarlier} then 3 when ${summaries.date} > ${to} then 1 else 0 end`,
    sql`case when ${isEarlier} then ${summaries.date} end desc`,
    ...byDay,
  ]
}

const said = sql`${summaries.words} || ' ' || lower(coalesce(${summaries.judged}->>'conclusion', ''))`

/** A group's own question inside a lesson stands in that lesson, and not beside it. */
const isNoPart = sql`not exists(select 1 from ${togethers} where ${togethers.id} = ${lessons.together} and ${togethers.body}->>'oneLesson' = 'true'
  and exists(select 1 from ${lessons} first where first.together = ${togethers.id} and (first.together_since, first.created_at) < (${lessons.togetherSince}, ${lessons.createdAt})))`

/** One page of the shelf, in the order of its parts; every word that is looked for is in a lesson's plan or conclusion, and what was put away comes last. */
export async function listShelf(
  database: Database,
  { find, className, archived, from, most }: ShelfQuestion,
  week: Week,
  desk: string | null,
): Promise<{ page: Summary[]; all: number; putAway: number }> {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean)
  const where = and(
    seenAt(desk),
    isNoPart,
    // What is looked for may have been put away.
    archived === undefined || (!archived && words.length > 0)
      ? undefined
      : archived
        ? isNotNull(lessons.archivedAt)
        : isNull(lessons.archivedAt),
    className === '' ? undefined : eq(summaries.className, className),
    ...words.map((word) => gt(sql`strpos(${said}, ${word})`, 0)),
  )
  const ids = await idsInOrder(database, where, [sql`${lessons.archivedAt} is not null`, ...byPart(week)])
  const page = await listSummaries(database, ids.slice(from, from + most))
  return {
    page,
    all: ids.length,
    putAway: await database.$count(lessons, and(isNotNull(lessons.archivedAt), isNoPart, seenAt(desk))),
  }
}

/** The lessons that a term takes in, by day; one without a day is in every term that has no end. */
export async function listTerm(database: Database, { from, to, className }: Term, desk: string | null): Promise<Summary[]> {
  const ids = await idsInOrder(
    database,
    and(
      seenAt(desk),
      isNoPart,
      className === '' ? undefined : eq(summaries.className, className),
      from === '' ? undefined : sql`${summaries.date} >= ${from}`,
      to === '' ? undefined : and(ne(summaries.date, ''), sql`${summaries.date} <= ${to}`),
    ),
  )
  return listSummaries(database, ids)
}

async function idsInOrder(database: Database, where: SQL | undefined, order: SQL[] = byDay): Promise<string[]> {
  const rows = await database
    .select({ id: lessons.id })
    .from(lessons)
    .innerJoin(summaries, eq(summaries.lesson, lessons.id))
    .where(where)
    .orderBy(...order)
  return rows.map(({ id }) => id)
}

const PIECE = 50

/** A long list a piece at a time: after each answer of the database whoever knocked meanwhile is heard. */
async function inPieces<Row>(ids: string[], piece: (ids: string[]) => PromiseLike<Row[]>): Promise<Row[]> {
  const rows: Row[] = []
  for (let from = 0; from < ids.length; from += PIECE) {
    rows.push(...(await piece(ids.slice(from, from + PIECE))))
  }
  return rows
}

/** The names of the classes in a desk's lessons. */
export async function listClasses(database: Database, desk: string | null): Promise<string[]> {
  const rows = await database
    .selectDistinct({ className: summaries.className })
    .from(summaries)
    .innerJoin(lessons, eq(lessons.id, summaries.lesson))
    .where(seenAt(desk))
  return rows.map(({ className }) => className).sort()
}

/** The summaries of some lessons, in this order. */
export async function listSummaries(database: Database, ids: string[]): Promise<Summary[]> {
  const found = await inPieces(ids, (some) => select(database).where(inArray(lessons.id, some)))
  // A stored plan keeps the shape that it was saved in.
  const byId = new Map(found.map((one) => [one.id, { ...one, plan: migratePlan(one.plan, one.plan.schemaVersion) as Plan }]))
  return ids.flatMap((id) => byId.get(id) ?? [])
}

/** What the lessons that are not put away take out of the cupboard. */
export async function listTakings(database: Database): Promise<Taking[]> {
  const taking = and(
    seenAt(null),
    isNull(lessons.archivedAt),
    ne(summaries.date, ''),
    sql`jsonb_array_length(${summaries.face}->'takes'->'of') > 0`,
  )
  const rows = await inPieces(await idsInOrder(database, taking), (some) =>
    database
      .select({ id: summaries.lesson, face: summaries.face })
      .from(summaries)
      .where(inArray(summaries.lesson, some))
      .orderBy(summaries.date, summaries.lesson),
  )
  return rows.map(({ id, face }) => ({ id, ...face }))
}

/** Lessons whose summary is missing or was made by another Jolly Beaker. */
export async function withoutFace(database: Database): Promise<string[]> {
  const rows = await database
    .select({ id: lessons.id })
    .from(lessons)
    .leftJoin(summaries, eq(summaries.lesson, lessons.id))
    .where(or(isNull(summaries.lesson), ne(summaries.madeBy, MADE_BY)))
  return rows.map(({ id }) => id)
}

/** Everything is judged anew when somebody next asks. */
export async function forgetJudged(database: Database, lesson: string): Promise<void> {
  await database.update(summaries).set({ judged: null, judgedRevision: null }).where(eq(summaries.lesson, lesson))
}
