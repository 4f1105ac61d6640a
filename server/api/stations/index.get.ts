import { isEachChild } from '../../../core/lesson'
import { stationCodeSchema } from '../../../schemas/requests'
import { openRoute } from '../../access/route'
import { findByCode } from '../../access/findByCode'
import { aloneAsking, joinTogether } from '../../views/joinTogether'

/** The groups that a code opens, to choose one's own; the codes of children are not given away. */
export default openRoute<'GET /api/stations'>({ query: stationCodeSchema }, async ({ event, database, query }) => {
  const { lesson, together } = await findByCode(event, database, query.code)
  const several = together ?? (lesson.together === null ? aloneAsking(lesson) : undefined)
  if (several) return joinTogether(several)
  const { plan } = lesson!
  const groups = isEachChild(plan) ? [] : plan.groups.map(({ id, name, shape }) => ({ id, name, shape }))
  return { title: plan.title, each: plan.each, groups, together: null }
})
