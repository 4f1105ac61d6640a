import { join } from 'node:path'
import { log } from '../lookedAfter/log'
import { DatabaseAway } from './away'
import { beginHearing, comeBack } from './hearing'
import { rememberOnlyAlone } from './known'
import { openDatabase, type Database, type OpenDatabase } from './open'

let opening: Promise<OpenDatabase> | undefined

/** Opens the database that the environment names, once. Set by scripts/start.mjs; the defaults serve `npm run dev`. */
export function openOnce(): Promise<OpenDatabase> {
  opening ??= begin()
  return opening
}

async function begin(): Promise<OpenDatabase> {
  const open = await openDatabase({
    folder: process.env.JOLLY_BEAKER_DATA ?? 'data',
    migrations: join(process.env.JOLLY_BEAKER_HOME ?? process.cwd(), 'server/database/migrations'),
    databaseUrl: process.env.DATABASE_URL,
    snapshot: process.env.JOLLY_BEAKER_SNAPSHOT,
    onLost: () => {
      log.fatal('The data folder was taken by another process. Jolly Beaker stops, so that nothing is ruined.')
      process.exit(1)
    },
    onReopened: () => {
      rememberOnlyAlone(true)
      comeBack()
    },
  })
  rememberOnlyAlone(open.alone)
  await beginHearing(open)
  return open
}

export async function useDatabase(): Promise<Database> {
  return (await openOnce()).database
}

/** For good: whoever still asks meanwhile is told to come back, since a database opened a second time would ruin the first. */
export async function closeDatabase(): Promise<void> {
  const open = await opening
  opening = Promise.reject(new DatabaseAway('reopening'))
  opening.catch(() => undefined)
  await open?.close()
}
