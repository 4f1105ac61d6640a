import { sql } from 'drizzle-orm'
import { version } from '../../package.json'
import { openRoute } from '../access/route'

/** Does it live: asked by whatever looks after the server. Where the database cannot be asked it is refused as everything else is, with 503. */
export default openRoute<'GET /api/health'>({}, async ({ database }) => {
  await database.execute(sql`select 1`)
  return { answers: true, version }
})
