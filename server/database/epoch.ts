import { randomUUID } from 'node:crypto'
import type { Database } from './open'
import { settings } from './schema'
import { loadSetting, saveSetting } from './settings'

const NAME = 'epoch'

/**
 * Names what these data are. They get another name when they come back from a snapshot: what stations sent since is not in them, and
 * so they offer it again.
 * @returns whether they had none yet
 */
export async function nameEpoch(database: Database, anew: boolean): Promise<boolean> {
  if (anew) await saveSetting(database, NAME, randomUUID())
  const made = await database.insert(settings).values({ name: NAME, value: randomUUID() }).onConflictDoNothing().returning()
  return made.length > 0
}

export async function epochOf(database: Database): Promise<string> {
  return (await loadSetting<string>(database, NAME)) ?? ''
}
