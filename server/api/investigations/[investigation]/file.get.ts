import { setResponseHeader } from 'h3'
import { fileNameOf } from '../../../../core/wording'
import { startingPointFile } from '../../../../schemas/startingPoint'
import { notFound } from '../../../access/refusal'
import { deskRoute } from '../../../access/route'
import { findInvestigation } from '../../../views/investigations'

/** A lesson to begin from as a file that others can open. */
export default deskRoute<'GET /api/investigations/[investigation]/file'>({}, async ({ event, database, path }) => {
  const found = await findInvestigation(database, path.investigation)
  if (!found) throw notFound('investigation')
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  setResponseHeader(
    event,
    'content-disposition',
    `attachment; filename="${fileNameOf(found.body.plan.title, 'start.beaker.json')}"`,
  )
  return JSON.stringify(startingPointFile(found.body), null, 1)
})
