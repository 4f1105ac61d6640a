import { notFound, refusal } from '../../../access/refusal'
import { deskRoute } from '../../../access/route'
import { removeStartingPoint } from '../../../database/startingPoints'
import { findInvestigation } from '../../../views/investigations'

/** Takes away a lesson that somebody kept. What was begun from it stays; only the head desk takes away what another desk kept. */
export default deskRoute<'DELETE /api/investigations/[investigation]'>({}, async ({ database, desk, path }) => {
  const found = await findInvestigation(database, path.investigation)
  if (!found) throw notFound('investigation')
  if (!found.own) throw refusal(409, 'investigation-ships')
  if (desk !== null && found.own.desk !== desk) throw notFound('investigation')
  await removeStartingPoint(database, found.own.id)
  return { done: true }
})
