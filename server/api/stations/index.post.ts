import { isEachChild } from '../../../core/lesson'
import { groupNamed } from '../../../core/together'
import type { JoinBody } from '../../../schemas/contract'
import { joinSchema } from '../../../schemas/requests'
import { findByCode, findByOwnCode, refuseWhoTypesTooMuch } from '../../access/findByCode'
import { notFound } from '../../access/refusal'
import { openRoute } from '../../access/route'
import { countTry, JOINS } from '../../access/slowDown'
import { addressOfCaller } from '../../access/who'
import type { StoredLesson } from '../../database/lessons'
import type { Database } from '../../database/open'
import { addStation } from '../../database/stations'
import type { StoredTogether } from '../../database/togethers'
import { isPresent } from '../../live/presence'
import { takePart } from '../../record/splitAndJoin'
import { aloneAsking } from '../../views/joinTogether'

/** Opens a station for one group of the lesson with this code, or for the child with this code of its own; of several lessons for a group of the class in one of them. */
export default openRoute<'POST /api/stations'>(
  { body: joinSchema, first: refuseWhoTypesTooMuch },
  async ({ event, database, body }) => {
    const opened = await findByCode(event, database, body.code)
    const own = (lesson: StoredLesson) => findByOwnCode(event, database, lesson, body.own ?? '')
    const several = opened.together ?? (body.name === undefined ? undefined : aloneAsking(opened.lesson))
    const joined = several
      ? await joinedOf(database, several, body)
      : {
          lesson: opened.lesson!.id,
          group: isEachChild(opened.lesson!.plan) ? await own(opened.lesson!) : groupOf(opened.lesson!, body),
        }
    await countTry(database, `join ${addressOfCaller(event)}`, JOINS)
    return { token: await addStation(database, joined, (station) => isPresent(joined.lesson, station)) }
  },
)

async function joinedOf(
  database: Database,
  together: StoredTogether,
  { lesson: id, name }: JoinBody,
): Promise<{ lesson: string; group: string }> {
  const lesson = together.lessons.find((one) => one.id === id)
  // A child's record is opened by its own code, and by nothing else.
  if (!lesson || name === undefined || isEachChild(lesson.plan)) throw notFound('lesson')
  const there = groupNamed(lesson.plan, name)
  if (there) return { lesson: lesson.id, group: there.id }
  if (together.body.way === 'given') throw notFound('group')
  const plan = await takePart(database, together, { lesson: lesson.id, name, takesPart: true })
  const group = groupNamed(plan, name)
  if (!group) throw notFound('group')
  return { lesson: lesson.id, group: group.id }
}

function groupOf({ plan }: StoredLesson, { group }: JoinBody): string {
  if (!plan.groups.some(({ id }) => id === group)) throw notFound('group')
  return group!
}
