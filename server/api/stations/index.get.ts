import { isEachChild } from '../../../core/lesson'
import { stationCodeSchema } from '../../../schemas/requests'
import { openRoute } from '../../access/route'
import { findByCode } from '../../access/findByCode'

/** The groups that a lesson's code opens, to choose one's own; the codes of children are not given away. */
export default openRoute<'GET /api/stations'>({ query: stationCodeSchema }, async ({ event, database, query }) => {
  const { plan } = await findByCode(event, database, query.code)
  const groups = isEachChild(plan) ? [] : plan.groups.map(({ id, name, shape }) => ({ id, name, shape }))
  return { title: plan.title, each: plan.each, groups }
})
