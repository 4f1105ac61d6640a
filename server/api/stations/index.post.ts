import { isEachChild, recordByCode, type Plan } from '../../../core/lesson'
import type { JoinBody } from '../../../schemas/contract'
import { joinSchema } from '../../../schemas/requests'
import { notFound, refusal } from '../../access/refusal'
import { openRoute } from '../../access/route'
import type { Database } from '../../database/open'
import { addStation } from '../../database/stations'
import { findByCode } from '../../access/findByCode'
import { countTry, JOINS, WRONG } from '../../access/slowDown'
import { addressOfCaller } from '../../access/who'
import { isPresent } from '../../live/presence'

/** Opens a station for one group of the lesson with this code, or for the child with this code of its own. */
export default openRoute<'POST /api/stations'>({ body: joinSchema }, async ({ event, database, body }) => {
  const lesson = await findByCode(event, database, body.code)
  const caller = addressOfCaller(event)
  const group = await groupOf(database, caller, lesson.plan, body)
  await countTry(database, `join ${caller}`, JOINS)
  const isThere = (station: string) => isPresent(lesson.id, station)
  return { token: await addStation(database, { lesson: lesson.id, group }, isThere) }
})

async function groupOf(database: Database, caller: string, plan: Plan, { group, own }: JoinBody): Promise<string> {
  if (own === undefined) {
    if (!plan.groups.some(({ id }) => id === group)) throw notFound('group')
    return group!
  }
  const found = isEachChild(plan) ? recordByCode(plan, own) : undefined
  if (found !== undefined) return found
  await countTry(database, `own ${caller}`, WRONG)
  throw refusal(404, 'unknown-own-code', 'own')
}
