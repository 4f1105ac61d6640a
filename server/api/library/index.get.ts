import { setResponseHeader } from 'h3'
import { deskRoute } from '../../access/route'
import { writeLibrary } from '../../files/library'

/** The whole library as one file. */
export default deskRoute<'GET /api/library'>({}, async ({ event, database, desk }) => {
  const now = new Date().toISOString()
  setResponseHeader(event, 'content-type', 'application/zip')
  setResponseHeader(event, 'content-disposition', `attachment; filename="Jolly-Beaker-${now.slice(0, 10)}.beaker.zip"`)
  return Buffer.from(await writeLibrary(database, now, desk))
})
