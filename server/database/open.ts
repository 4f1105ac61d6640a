import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core'
import type { Mended } from '../../schemas/contract'
import { openFolder } from './folder/openFolder'
import type { Snapshot } from './folder/snapshots'
import type * as schema from './schema'
import { openServer } from './server'

/** The same queries run on the embedded database and on a PostgreSQL server. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>

export interface OpenDatabase {
  database: Database
  /** No other process works with these data. */
  alone: boolean
  /** What was damaged at the opening, and what took its place. */
  mended: Mended | undefined
  /** Made just now: the first start. */
  fresh: boolean
  /** The folder's snapshots, the newest first; undefined on a server, whose backups are the school's. */
  snapshots: (() => Snapshot[]) | undefined
  /** Hears what this process and every other one says on a channel. */
  listen(channel: string, heard: (payload: string) => void, onBack?: () => void): Promise<void>
  close(): Promise<void>
}

export interface OpenOptions {
  folder: string
  migrations: string
  databaseUrl?: string
  /** The name of the snapshot that takes the place of the folder's data first. */
  snapshot?: string
  /** Another process took the folder. */
  onLost(): void
  /** The database was opened again while it was in use; what came of it, where it was damaged. */
  onReopened(mended: Mended | undefined): void
}

/**
 * Opens the database: a folder taken by this process alone, or a PostgreSQL server where an address is given.
 * @throws StartError with one sentence that says what to do
 */
export async function openDatabase(options: OpenOptions): Promise<OpenDatabase> {
  return options.databaseUrl ? openServer(options.databaseUrl, options.migrations) : openFolder(options)
}
