import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { isDeepStrictEqual } from 'node:util'
import { sql } from 'drizzle-orm'
import { PLAN_VERSION } from '../../core/lesson'
import { version } from '../../package.json'
import type { Database } from './open'
import { loadSetting, saveSetting } from './settings'
import { StartError } from './startError'

/** Which Jolly Beaker opened the data last, kept with them. */
export interface OpenedWith {
  version: string
  planVersion: number
  /** The state of before it came, for whoever has to go back. */
  before: { version: string; snapshot: string } | null
}

const NAME = 'opened-with'

/** What opened these data last; undefined where they are fresh, or older than that was written down. */
export function lastOpenedWith(database: Database): Promise<OpenedWith | undefined> {
  // Before the first migration there are no settings.
  return loadSetting<OpenedWith>(database, NAME).catch(() => undefined)
}

/**
 * Data that a newer Jolly Beaker has used are opened by that one only: an older one would show plans that it does not understand.
 * @param goBack what to do instead of starting the newer one
 * @throws StartError that says which one, and how to go back
 */
export async function refuseNewer(
  database: Database,
  migrations: string,
  goBack: (known: OpenedWith | undefined) => string,
): Promise<void> {
  const known = await lastOpenedWith(database)
  const newer = (await doneMigrations(database)) > ownMigrations(migrations) || (known && known.planVersion > PLAN_VERSION)
  if (!newer) return
  throw new StartError(
    `These data were last used by a newer Jolly Beaker${known ? ` (${known.version})` : ''}; this is ${version}. Start the newer one. ${goBack(known)}`,
  )
}

/** Will this version change what stands there: tables, or the way plans are written. */
export async function willUpgrade(database: Database, migrations: string): Promise<boolean> {
  const known = await lastOpenedWith(database)
  const otherPlans = known !== undefined && known.planVersion < PLAN_VERSION
  return otherPlans || (await doneMigrations(database)) < ownMigrations(migrations)
}

/** @param snapshot the state of before, where one was taken just now */
export async function rememberOpening(
  database: Database,
  known: OpenedWith | undefined,
  snapshot: string | undefined,
): Promise<OpenedWith> {
  const before = snapshot === undefined ? (known?.before ?? null) : { version: known?.version ?? '', snapshot }
  const now: OpenedWith = { version, planVersion: PLAN_VERSION, before }
  if (!isDeepStrictEqual(known, now)) await saveSetting(database, NAME, now)
  return now
}

function ownMigrations(folder: string): number {
  return (JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as { entries: unknown[] }).entries.length
}

/** Drizzle writes down which it did. */
async function doneMigrations(database: Database): Promise<number> {
  return database
    .execute(sql`select count(*)::int as count from drizzle.__drizzle_migrations`)
    .then((result) => {
      const rows =
        'rows' in (result as object)
          ? (result as unknown as { rows: { count: number }[] }).rows
          : (result as unknown as { count: number }[])
      return Number(rows[0]?.count ?? 0)
    })
    .catch(() => 0)
}
