import { stationCodeSchema } from '../../../schemas/requests'
import { openRoute } from '../../access/route'
import { findByCode } from '../../access/findByCode'

/** The groups that a lesson's code opens, to choose one's own. */
export default openRoute<'GET /api/stations'>({ query: stationCodeSchema }, async ({ event, database, query }) => {
  const { plan } = await findByCode(event, database, query.code)
  return { title: plan.title, groups: plan.groups.map(({ id, name, shape }) => ({ id, name, shape })) }
})
