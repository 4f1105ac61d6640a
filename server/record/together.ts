import { randomUUID } from 'node:crypto'
import { namedPictures, type Group, type Plan } from '../../core/lesson'
import {
  cardsTogether,
  checkOwnQuestion,
  groupInAny,
  groupNamed,
  joinPlans,
  OWN_PART,
  ownQuestionPlan,
  sameQuestion,
  splitPlan,
  withGroupOfClass,
  withoutGroupOfClass,
  type Member,
} from '../../core/together'
import type { GroupTogetherBody, JoinLessonsBody, OwnQuestionBody, SplitBody } from '../../schemas/togetherContract'
import { refusal } from '../access/refusal'
import { findLesson, savePlan, setArchived, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { addPicture, listPictures } from '../database/pictures'
import { moveStations } from '../database/stations'
import { setLessons, type StoredTogether } from '../database/together'
import { loadRecord, moveRows, usedPlaces } from './rows'
import { addLesson } from './wholeLesson'

/** How often a plan is looked at anew when somebody else saved it meanwhile. */
const TRIES = 5

export function membersOf({ lessons }: Pick<StoredTogether, 'lessons'>): Member[] {
  return lessons.map(({ id, plan }) => ({ lesson: id, plan }))
}

/** A group of the class comes into a lesson or leaves it; one that wrote something down stays. */
export async function takePart(
  database: Database,
  together: StoredTogether,
  { lesson, name, takesPart }: GroupTogetherBody,
): Promise<void> {
  const group = groupInAny(membersOf(together), name)
  if (!group) throw refusal(404, 'unknown-group', 'name')
  await changePlan(database, lesson, async (plan) => {
    if (takesPart) return withGroupOfClass(plan, idIn(plan, group))
    const own = groupNamed(plan, name)
    if (own && (await usedPlaces(database, lesson)).groups.has(own.id)) throw refusal(409, 'group-in-use', 'name')
    return withoutGroupOfClass(plan, name)
  })
}

/** Its id of another lesson, unless a group of this one has it. */
function idIn(plan: Plan, group: Group): Group {
  return plan.groups.some(({ id }) => id === group.id) ? { ...group, id: randomUUID() } : group
}

async function changePlan(database: Database, lesson: string, change: (plan: Plan) => Promise<Plan>): Promise<void> {
  for (let tried = 0; tried < TRIES; tried += 1) {
    const stored = await findLesson(database, lesson)
    if (!stored) return
    const plan = await change(stored.plan)
    if (plan === stored.plan || (await savePlan(database, lesson, plan, stored.revision)).ok) return
  }
  throw refusal(409, 'stale')
}

/** A group's own question: a lesson of its own among those that run together, or the one in which the same is asked already. */
export async function askOwnQuestion(database: Database, together: StoredTogether, asked: OwnQuestionBody): Promise<string> {
  const members = membersOf(together)
  const group = groupInAny(members, asked.name)
  if (!group) throw refusal(404, 'unknown-group', 'name')
  const { problems } = checkOwnQuestion(cardsTogether(members), asked)
  if (problems.length > 0) throw refusal(409, 'own-question-open', OWN_PART[problems[0]!])
  const same = sameQuestion(members, asked)
  if (same !== undefined) {
    await takePart(database, together, { lesson: same, name: asked.name, takesPart: true })
    return same
  }
  const plan = ownQuestionPlan(members, group, asked, randomUUID)
  if (!plan) throw refusal(409, 'own-question-open', 'measure')
  const { id } = await addLesson(database, plan, undefined, [], { desk: together.desk })
  await setLessons(database, together.id, [...together.lessons.map((lesson) => lesson.id), id])
  return id
}

/** Some groups of a lesson go into a lesson of their own that runs together with it, with all that they wrote down. */
export async function splitOff(database: Database, together: StoredTogether, { lesson: id, groups }: SplitBody): Promise<string> {
  const stored = memberOf(together, id)
  const split = splitPlan(stored.plan, groups)
  if (!split) throw refusal(409, 'nothing-to-split', 'groups')
  const moving = split.goes.groups.map((group) => group.id)
  const { observations } = await loadRecord(database, id)
  const named = namedPictures(
    split.goes,
    observations.filter(({ group }) => group !== null && moving.includes(group)),
  )
  const pictures = await listPictures(database, id, named)
  const fresh = await database.transaction(async (transaction) => {
    const added = await addLesson(transaction, split.goes, undefined, pictures, { desk: stored.desk })
    await moveRows(transaction, id, added.id, moving)
    await moveStations(transaction, id, added.id, moving)
    if (!(await savePlan(transaction, id, split.stays, stored.revision)).ok) throw refusal(409, 'stale', 'revision')
    return added.id
  })
  await setLessons(database, together.id, [...together.lessons.map((lesson) => lesson.id), fresh])
  return fresh
}

/** A lesson goes into another one of the same test, with all that was written down in it; the empty one is put away. */
export async function joinInto(database: Database, together: StoredTogether, { from, into }: JoinLessonsBody): Promise<void> {
  const [gone, stays] = [memberOf(together, from), memberOf(together, into)]
  const plan = from === into ? undefined : joinPlans(stays.plan, gone.plan)
  if (!plan) throw refusal(409, 'not-the-same-test', 'from')
  const { observations } = await loadRecord(database, from)
  const pictures = await listPictures(database, from, namedPictures(gone.plan, observations))
  const moving = gone.plan.groups.map((group) => group.id)
  await database.transaction(async (transaction) => {
    if (!(await savePlan(transaction, into, plan, stays.revision)).ok) throw refusal(409, 'stale', 'revision')
    for (const picture of pictures) await addPicture(transaction, into, picture)
    await moveRows(transaction, from, into)
    await moveStations(transaction, from, into, moving)
    if (!(await savePlan(transaction, from, { ...gone.plan, groups: [], retests: [] }, gone.revision)).ok)
      throw refusal(409, 'stale', 'revision')
  })
  await setLessons(
    database,
    together.id,
    together.lessons.map((lesson) => lesson.id).filter((lesson) => lesson !== from),
  )
  await setArchived(database, from, true)
}

function memberOf({ lessons }: StoredTogether, id: string): StoredLesson {
  const lesson = lessons.find((one) => one.id === id)
  if (!lesson) throw refusal(404, 'not-found', undefined, { what: 'lesson' })
  return lesson
}
