import { eq } from 'drizzle-orm'
import type { Database } from './open'
import { settings } from './schema'

/** A setting of the whole school; undefined until it was saved once. */
export async function loadSetting<T>(database: Database, name: string): Promise<T | undefined> {
  const [row] = await database.select().from(settings).where(eq(settings.name, name))
  return row?.value as T | undefined
}

export async function saveSetting(database: Database, name: string, value: unknown): Promise<void> {
  await database.insert(settings).values({ name, value }).onConflictDoUpdate({ target: settings.name, set: { value } })
}
