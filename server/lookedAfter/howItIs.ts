import { existsSync, readFileSync } from 'node:fs'
import { sql } from 'drizzle-orm'
import { version } from '../../package.json'
import type { HowItIs } from '../../schemas/contract'
import type { OpenDatabase } from '../database/open'
import { lessons } from '../database/schema'
import { listNotices } from '../database/notices'
import { openStreams } from '../live/stream'
import { slowestRoutes } from './requests'

/** When this process began. */
const since = new Date(Date.now() - process.uptime() * 1000).toISOString()
const LAST_LINES = 400

/** How the server is: for whoever looks after it, and for whoever helps. Nothing of the record stands in it. */
export async function howItIs({ database, snapshots }: OpenDatabase): Promise<HowItIs> {
  const taken = snapshots?.()
  return {
    version,
    node: process.version,
    since,
    database: {
      kind: snapshots ? 'folder' : 'server',
      bytes: await sizeOf(database),
      lessons: await database.$count(lessons),
    },
    snapshots: taken ? { count: taken.length, newest: taken[0] ? new Date(taken[0].at).toISOString() : null } : null,
    memory: process.memoryUsage().rss,
    streams: openStreams(),
    routes: slowestRoutes(),
    mended: (await listNotices(database)).map(({ at, damage, takenAt }) => ({ at, damage, takenAt })),
    log: process.env.JOLLY_BEAKER_LOG || null,
  }
}

async function sizeOf(database: OpenDatabase['database']): Promise<number | null> {
  const [row] = await database
    .select({ bytes: sql<string>`pg_database_size(current_database())` })
    .from(sql`(select 1) as one`)
    .catch(() => [])
  return row ? Number(row.bytes) : null
}

/** The last lines of the log; undefined where it goes to no file. */
export function lastOfLog(): string | undefined {
  const file = process.env.JOLLY_BEAKER_LOG
  if (!file || !existsSync(file)) return undefined
  return readFileSync(file, 'utf8').split('\n').slice(-LAST_LINES).join('\n')
}
