import { and, desc, eq, isNotNull, sql } from 'drizzle-orm'
import { classPaceOf, type LessonPace } from '../../core/record'
import type { ClassPace, Plan } from '../../core/lesson'
import type { Database } from '../database/open'
import { lessons, summaries } from '../database/schema'
import { seenAt } from '../database/seenAt'
import { loadSetting, saveSetting } from '../database/settings'

/** From when on a class's lessons are looked at, by its name: what lies before was to be forgotten. */
const FORGOTTEN = 'pace-forgotten'
/** More than are counted: some may have been made before they were to be forgotten. */
const LOOKED_AT = 20

/** How a class went in its last lessons. */
export async function classPace(database: Database, className: string, desk: string | null): Promise<ClassPace | null> {
  const forgotten = (await loadSetting<Record<string, string>>(database, FORGOTTEN)) ?? {}
  const rows = await database
    .select({ pace: sql<LessonPace | null>`${summaries.judged}->'pace'`, createdAt: lessons.createdAt })
    .from(summaries)
    .innerJoin(lessons, eq(lessons.id, summaries.lesson))
    .where(and(eq(summaries.className, className), isNotNull(summaries.judged), seenAt(desk)))
    .orderBy(desc(summaries.date), desc(lessons.createdAt))
    .limit(LOOKED_AT)
  const from = Date.parse(forgotten[className] ?? '') || -Infinity
  return classPaceOf(rows.flatMap(({ pace, createdAt }) => (pace && createdAt.getTime() > from ? [pace] : [])))
}

/** A plan that is new for its class begins with what is known of it. */
export async function withClassPace(database: Database, plan: Plan, desk: string | null): Promise<Plan> {
  return { ...plan, clock: { ...plan.clock, pace: await classPace(database, plan.className, desk) } }
}

/** What a class's lessons told so far is not used any more. */
export async function forgetPace(database: Database, className: string): Promise<void> {
  const forgotten = (await loadSetting<Record<string, string>>(database, FORGOTTEN)) ?? {}
  await saveSetting(database, FORGOTTEN, { ...forgotten, [className]: new Date().toISOString() })
}
