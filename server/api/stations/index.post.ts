import { isEachChild, recordByCode, type Plan } from '../../../core/lesson'
import { groupNamed } from '../../../core/together'
import type { JoinBody } from '../../../schemas/contract'
import { joinSchema } from '../../../schemas/requests'
import { notFound, refusal } from '../../access/refusal'
import { openRoute } from '../../access/route'
import { findLesson } from '../../database/lessons'
import type { Database } from '../../database/open'
import type { StoredTogether } from '../../database/together'
import { takePart } from '../../record/together'
import { addStation } from '../../database/stations'
import { findByCode } from '../../access/findByCode'
import { countTry, JOINS, WRONG } from '../../access/slowDown'
import { addressOfCaller } from '../../access/who'
import { isPresent } from '../../live/presence'

/** Opens a station for one group of the lesson with this code, or for the child with this code of its own; of several lessons for a group of the class in one of them. */
export default openRoute<'POST /api/stations'>({ body: joinSchema }, async ({ event, database, body }) => {
  const opened = await findByCode(event, database, body.code)
  const caller = addressOfCaller(event)
  const joined = opened.together
    ? await joinedOf(database, opened.together, body)
    : { lesson: opened.lesson.id, group: await groupOf(database, caller, opened.lesson.plan, body) }
  await countTry(database, `join ${caller}`, JOINS)
  return { token: await addStation(database, joined, (station) => isPresent(joined.lesson, station)) }
})

async function joinedOf(
  database: Database,
  together: StoredTogether,
  { lesson: id, name }: JoinBody,
): Promise<{ lesson: string; group: string }> {
  const lesson = together.lessons.find((one) => one.id === id)
  if (!lesson || name === undefined) throw notFound('lesson')
  const there = groupNamed(lesson.plan, name)
  if (there) return { lesson: lesson.id, group: there.id }
  if (together.body.way === 'given') throw notFound('group')
  await takePart(database, together, { lesson: lesson.id, name, takesPart: true })
  const group = groupNamed((await findLesson(database, lesson.id))!.plan, name)
  if (!group) throw notFound('group')
  return { lesson: lesson.id, group: group.id }
}

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
