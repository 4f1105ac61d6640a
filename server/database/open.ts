import { accessSync, constants, existsSync, mkdirSync, readFileSync, renameSync, statSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { sql } from 'drizzle-orm'
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core'
import { drizzle } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { lockFolder } from './lock'
import * as schema from './schema'
import { isDue, listSnapshots, readSnapshot, takeSnapshot } from './snapshots'
import { StartError } from './startError'

/** The same queries run on the embedded database and on a PostgreSQL server. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>

export interface OpenDatabase {
  database: Database
  /** What the teacher must be told about the opening: a damaged folder that was replaced. */
  warning: string | undefined
  /** Made just now: the first start. */
  fresh: boolean
  close(): Promise<void>
}

export interface OpenOptions {
  folder: string
  migrations: string
  databaseUrl?: string
  onLost(): void
}

/**
 * Opens the database: a PGlite folder taken by this process alone, or a PostgreSQL server where an address is given. Migrations
 * run, a snapshot is taken before one and once a day. A folder that will not open is put aside and the newest snapshot takes its place.
 * @throws StartError with one sentence that says what to do
 */
export async function openDatabase(options: OpenOptions): Promise<OpenDatabase> {
  return options.databaseUrl ? openServer(options.databaseUrl, options.migrations) : openFolder(options)
}

/** Is the folder there (or can it be made in one that is) and may we write to it. */
export function prepareFolder(path: string): string {
  const folder = resolve(path)
  const parent = dirname(folder)
  if (!existsSync(folder) && !existsSync(parent)) {
    throw new StartError(`The folder ${parent} does not exist. Make it first, or start with --data and another folder.`)
  }
  if (existsSync(folder) && !statSync(folder).isDirectory()) {
    throw new StartError(`${folder} is a file, not a folder. Start with --data and a folder.`)
  }
  try {
    if (!existsSync(folder)) mkdirSync(folder)
    accessSync(folder, constants.W_OK | constants.R_OK | constants.X_OK)
  } catch {
    throw new StartError(
      `The folder ${folder} cannot be written to. Change its permissions, or start with --data and another folder.`,
    )
  }
  return folder
}

async function openFolder({ folder: path, migrations, onLost }: OpenOptions): Promise<OpenDatabase> {
  const folder = prepareFolder(path)
  const unlock = await lockFolder(folder, onLost)
  try {
    const cluster = join(folder, 'database')
    const existed = existsSync(join(cluster, 'PG_VERSION'))
    const { client, warning } = existed ? await openOrRestore(folder, cluster) : await openFresh(cluster)
    const database = drizzle(hearingOthers(client), { schema })
    const now = new Date()
    if (existed && (isDue(folder, now) || (await hasPending(database, migrations)))) await takeSnapshot(client, folder, now)
    await migrate(database, { migrationsFolder: migrations })
    const close = async () => {
      await client.close()
      await unlock()
    }
    return { database, warning, fresh: !existed, close }
  } catch (error) {
    await unlock()
    throw error
  }
}

/**
 * The embedded database answers in the same breath: a page that asks it five things would hold the thread for all five. After each
 * answer, whoever knocked meanwhile is heard.
 */
function hearingOthers(client: PGlite): PGlite {
  const query = client.query.bind(client)
  client.query = async <T>(...asked: Parameters<PGlite['query']>) => {
    const answer = await query<T>(...asked)
    await new Promise((heard) => setImmediate(heard))
    return answer
  }
  return client
}

async function openFresh(cluster: string) {
  // A folder without PG_VERSION is the rest of a first start that was cut off.
  if (existsSync(cluster)) renameSync(cluster, `${cluster}-cut-off-${Date.now()}`)
  return { client: await PGlite.create(cluster), warning: undefined }
}

async function openOrRestore(folder: string, cluster: string) {
  try {
    return { client: await PGlite.create(cluster), warning: undefined }
  } catch {
    const damaged = `${cluster}-damaged-${new Date().toISOString().replace(/[:.]/g, '-')}`
    renameSync(cluster, damaged)
    for (const name of listSnapshots(folder)) {
      try {
        const client = await PGlite.create(cluster, { loadDataDir: await readSnapshot(folder, name) })
        return {
          client,
          warning: `The database would not open. It was put aside as ${damaged}, and the snapshot ${name} was taken instead.`,
        }
      } catch {
        if (existsSync(cluster)) renameSync(cluster, `${cluster}-unusable-${name}`)
      }
    }
    throw new StartError(
      `The database would not open and there is no snapshot. It was kept as ${damaged}; start again for an empty one.`,
    )
  }
}

async function openServer(address: string, migrations: string): Promise<OpenDatabase> {
  const [{ default: postgres }, { drizzle: connect }, { migrate: migrateServer }] = await Promise.all([
    import('postgres'),
    import('drizzle-orm/postgres-js'),
    import('drizzle-orm/postgres-js/migrator'),
  ])
  const client = postgres(address, { onnotice: () => undefined })
  const database = connect(client, { schema })
  try {
    await migrateServer(database, { migrationsFolder: migrations })
  } catch (error) {
    await client.end()
    throw new StartError(`The database server in DATABASE_URL cannot be used: ${(error as Error).message}`)
  }
  const fresh = (await database.$count(schema.lessons)) === 0
  return { database, warning: undefined, fresh, close: () => client.end() }
}

async function hasPending(database: Database, migrations: string): Promise<boolean> {
  const journal = JSON.parse(readFileSync(join(migrations, 'meta', '_journal.json'), 'utf8')) as { entries: unknown[] }
  const done = await database
    .execute(sql`select count(*)::int as count from drizzle.__drizzle_migrations`)
    .then((result) => Number((result as unknown as { rows: { count: number }[] }).rows[0]?.count ?? 0))
    .catch(() => 0)
  return done < journal.entries.length
}
