import { and, desc, eq, isNotNull, sql } from 'drizzle-orm'
import type { LessonPace } from '../../core/record'
import type { Database } from './open'
import { lessons, summaries } from './schema'
import { seenAt } from './seenAt'
import { loadSetting, saveSetting } from './settings'

/** From when on a class's lessons are looked at, by its name: what lies before was to be forgotten. */
const FORGOTTEN = 'pace-forgotten'
/** More than are counted: some may have been made before they were to be forgotten. */
const LOOKED_AT = 20

/** What a class's last lessons tell of its pace, the latest first. */
export async function listPaces(database: Database, className: string, desk: string | null): Promise<LessonPace[]> {
  const forgotten = await loadForgotten(database)
  const rows = await database
    .select({ pace: sql<LessonPace | null>`${summaries.judged}->'pace'`, createdAt: lessons.createdAt })
    .from(summaries)
    .innerJoin(lessons, eq(lessons.id, summaries.lesson))
    .where(and(eq(summaries.className, className), isNotNull(summaries.judged), seenAt(desk)))
    .orderBy(desc(summaries.date), desc(lessons.createdAt))
    .limit(LOOKED_AT)
  const from = Date.parse(forgotten[className] ?? '') || -Infinity
  return rows.flatMap(({ pace, createdAt }) => (pace && createdAt.getTime() > from ? [pace] : []))
}

/** What a class's lessons told so far is not used any more. */
export async function forgetPaces(database: Database, className: string): Promise<void> {
  await saveSetting(database, FORGOTTEN, { ...(await loadForgotten(database)), [className]: new Date().toISOString() })
}

async function loadForgotten(database: Database): Promise<Record<string, string>> {
  return (await loadSetting<Record<string, string>>(database, FORGOTTEN)) ?? {}
}
