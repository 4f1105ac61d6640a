import { notFound } from '../../../access/refusal'
import { deskRoute } from '../../../access/route'
import { loadInvestigation } from '../../../views/investigations'

/** One lesson to begin from, with all that is in it. */
export default deskRoute<'GET /api/investigations/[investigation]'>({}, async ({ database, desk, path }) => {
  const found = await loadInvestigation(database, desk, path.investigation)
  if (!found) throw notFound('investigation')
  return found
})
