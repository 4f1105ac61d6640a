import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/postgres-js'
import { migrate } from 'drizzle-orm/postgres-js/migrator'
import postgres from 'postgres'
import { nameEpoch } from './epoch'
import type { OpenDatabase } from './open'
import { lastOpenedWith, refuseNewer, rememberOpening } from './openedWith'
import * as schema from './schema'
import { StartError } from './startError'

const MOST_CONNECTIONS = 10
/** Any number of processes may start at once: one of them brings the tables up to date, the others wait. */
const MIGRATING = 7_205_118
const WAIT_FOR_AN_ANSWER = 10
const TRY_AGAIN_AFTER = 0.3

/** An address that is none is found before anybody connects. */
function clientOf(address: string, options: postgres.Options<Record<string, never>>): postgres.Sql {
  try {
    const { protocol } = new URL(address)
    if (!/^postgres(?:ql)?:$/.test(protocol)) throw new Error('it has to begin with postgres://')
    return postgres(address, options)
  } catch (error) {
    throw unusable(error)
  }
}

function unusable(cause: unknown): StartError {
  const said = cause instanceof Error ? cause.message : String(cause)
  return new StartError(`The database server in DATABASE_URL cannot be used: ${said}`)
}

/** A PostgreSQL server, which any number of application processes share. */
export async function openServer(address: string, migrations: string): Promise<OpenDatabase> {
  // A server that restarts is found again as soon as it is there: whoever listens for what others write would else be deaf for up to twenty seconds.
  const backoff = () => TRY_AGAIN_AFTER
  const options = { onnotice: () => undefined, connect_timeout: WAIT_FOR_AN_ANSWER, backoff: backoff as unknown as boolean }
  const client = clientOf(address, { ...options, max: MOST_CONNECTIONS })
  const database = drizzle(client, { schema })
  let fresh: boolean
  try {
    // A connection of its own, which keeps the lock until it ends.
    const first = postgres(address, { ...options, max: 1 })
    try {
      const alone = drizzle(first, { schema })
      await alone.execute(sql`select pg_advisory_lock(${MIGRATING})`)
      await refuseNewer(alone, migrations, () => 'To go back, put back the backup of the database that was made before it.')
      const known = await lastOpenedWith(alone)
      await migrate(alone, { migrationsFolder: migrations })
      await rememberOpening(alone, known, undefined)
      fresh = (await nameEpoch(alone, false)) && (await alone.$count(schema.lessons)) === 0
    } finally {
      await first.end()
    }
  } catch (error) {
    await client.end()
    if (error instanceof StartError) throw error
    const cause = error instanceof Error && error.cause instanceof Error ? error.cause : error
    throw unusable(cause)
  }
  return {
    database,
    alone: false,
    mended: undefined,
    fresh,
    snapshots: undefined,
    listen: async (channel, heard, onBack) => void (await client.listen(channel, heard, onBack)),
    close: () => client.end({ timeout: 5 }),
  }
}
