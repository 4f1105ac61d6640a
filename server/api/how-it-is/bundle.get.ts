import { strToU8, zipSync } from 'fflate'
import { setResponseHeader } from 'h3'
import { headRoute } from '../../access/route'
import { openOnce } from '../../database/connection'
import { howItIs, lastOfLog } from '../../lookedAfter/howItIs'

/** What whoever helps from afar needs to see: how the server is, and the last lines of its log. Nothing of a lesson. */
export default headRoute<'GET /api/how-it-is/bundle'>({}, async ({ event }) => {
  const how = await howItIs(await openOnce())
  const lines = lastOfLog()
  setResponseHeader(event, 'content-type', 'application/zip')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="jolly-beaker-how-it-is.zip"')
  return zipSync({
    'how-it-is.json': strToU8(JSON.stringify(how, null, 2)),
    ...(lines === undefined ? {} : { 'log.jsonl': strToU8(lines) }),
  })
})
