import { randomUUID } from 'node:crypto'
import { namedPictures, ROW_KINDS, type Group, type Plan } from '../../core/lesson'
import {
  groupInAny,
  groupNamed,
  joinPlans,
  MOST_TOGETHER,
  splitPlan,
  withGroupOfClass,
  withoutGroupOfClass,
  type Member,
} from '../../core/together'
import type { GroupTogetherBody, JoinLessonsBody, SplitBody } from '../../schemas/togetherContract'
import { notFound, refusal } from '../access/refusal'
import { setArchived, writePlan, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { addPicture, listPictures, picturesOfGroups } from '../database/pictures'
import { moveStations } from '../database/stations'
import { changeTogether, putTogether, type StoredTogether } from '../database/togethers'
import { editPlan } from './plan'
import { listRows, moveRows, usedPlaces } from './rows'
import { addLesson } from './wholeLesson'

export function membersOf({ lessons }: Pick<StoredTogether, 'lessons'>): Member[] {
  return lessons.map(({ id, plan }) => ({ lesson: id, plan }))
}

/** A group of the class comes into a lesson or leaves it; one that wrote something down stays. */
export async function takePart(
  database: Database,
  together: StoredTogether,
  { lesson, name, takesPart }: GroupTogetherBody,
): Promise<Plan> {
  const group = groupInAny(membersOf(together), name)
  if (!group) throw refusal(404, 'unknown-group', 'name')
  return editPlan(database, lesson, async (plan, transaction) => {
    if (takesPart) return withGroupOfClass(plan, idIn(plan, group))
    const own = groupNamed(plan, name)
    if (own && (await usedPlaces(transaction, lesson)).groups.has(own.id)) throw refusal(409, 'group-in-use', 'name')
    return withoutGroupOfClass(plan, name)
  })
}

/** Its id of another lesson, unless a group of this one has it. */
function idIn(plan: Plan, group: Group): Group {
  return plan.groups.some(({ id }) => id === group.id) ? { ...group, id: randomUUID() } : group
}

export function checkRoom({ lessons }: StoredTogether): void {
  if (lessons.length >= MOST_TOGETHER) throw refusal(409, 'together-full', undefined, { most: MOST_TOGETHER })
}

/** Some groups of a lesson go into a lesson of their own that runs together with it, with all that they wrote down. */
export function splitOff(database: Database, id: string, { lesson, groups }: SplitBody): Promise<string> {
  return changeTogether(database, id, [], async (transaction, together, record) => {
    if (!together) throw notFound('together')
    const stored = memberOf(together, lesson)
    checkRoom(together)
    const split = splitPlan(stored.plan, groups)
    if (!split) throw refusal(409, 'nothing-to-split', 'groups')
    const moving = split.goes.groups.map((group) => group.id)
    const observations = (await listRows(transaction, ROW_KINDS.observation, lesson)).filter(({ group }) => moving.includes(group))
    // A picture comes before the observation that names it: what a station sent goes along, named or not.
    const sent = await picturesOfGroups(transaction, lesson, moving)
    const pictures = await listPictures(transaction, lesson, [...new Set([...namedPictures(split.goes, observations), ...sent])])
    const added = await addLesson(transaction, split.goes, undefined, pictures, { desk: stored.desk })
    await moveRows(transaction, lesson, added.id, moving)
    await moveStations(transaction, lesson, added.id, moving)
    await writePlan(transaction, record, stored, split.stays)
    await putTogether(transaction, record, together, [...together.lessons.map((one) => one.id), added.id])
    return added.id
  })
}

/** A lesson goes into another one of the same test, with all that was written down in it; the empty one is put away. */
export function joinInto(database: Database, id: string, { from, into }: JoinLessonsBody): Promise<void> {
  return changeTogether(database, id, [], async (transaction, together, record) => {
    if (!together) throw notFound('together')
    const [gone, stays] = [memberOf(together, from), memberOf(together, into)]
    const plan = from === into ? undefined : joinPlans(stays.plan, gone.plan)
    if (!plan) throw refusal(409, 'not-the-same-test', 'from')
    const observations = await listRows(transaction, ROW_KINDS.observation, from)
    const moving = gone.plan.groups.map((group) => group.id)
    const sent = await picturesOfGroups(transaction, from, moving)
    const named = [...new Set([...namedPictures(gone.plan, observations), ...sent])]
    for (const picture of await listPictures(transaction, from, named)) await addPicture(transaction, into, picture)
    await moveRows(transaction, from, into)
    await moveStations(transaction, from, into, moving)
    await writePlan(transaction, record, stays, plan)
    await writePlan(transaction, record, gone, { ...gone.plan, groups: [], retests: [], notDone: [] })
    await putTogether(
      transaction,
      record,
      together,
      together.lessons.flatMap((one) => (one.id === from ? [] : [one.id])),
    )
    await setArchived(transaction, from, true)
  })
}

function memberOf({ lessons }: StoredTogether, id: string): StoredLesson {
  const lesson = lessons.find((one) => one.id === id)
  if (!lesson) throw refusal(404, 'not-found', undefined, { what: 'lesson' })
  return lesson
}
