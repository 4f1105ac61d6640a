import { stationCodeSchema } from '../../../schemas/requests'
import { deskRoute } from '../../access/route'
import { findByCode } from '../../lesson/station'

/** The groups that a lesson's code opens, to choose one's own. */
export default deskRoute({ query: stationCodeSchema }, async ({ database, query }) => {
  const { plan } = await findByCode(database, query.code)
  return { title: plan.title, groups: plan.groups.map(({ id, name, shape }) => ({ id, name, shape })) }
})
