import { sql } from 'drizzle-orm'
import { version } from '../../package.json'
import { openRoute } from '../access/route'
import { openOnce } from '../database/connection'
import { openStreams } from '../live/stream'

/** Does it live: asked by whatever looks after the server. Where the database cannot be asked it is refused as everything else is, with 503. */
export default openRoute<'GET /api/health'>({}, async ({ database }) => {
  await database.execute(sql`select 1`)
  const { snapshots } = await openOnce()
  const [newest] = snapshots?.() ?? []
  const newestSnapshot = newest ? new Date(newest.at).toISOString() : null
  return { answers: true, version, database: snapshots ? 'folder' : 'server', newestSnapshot, streams: openStreams() }
})
