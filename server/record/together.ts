import { randomUUID } from 'node:crypto'
import type { Group, Plan } from '../../core/lesson'
import {
  cardsTogether,
  checkOwnQuestion,
  groupInAny,
  groupNamed,
  ownQuestionPlan,
  sameQuestion,
  withGroupOfClass,
  withoutGroupOfClass,
  type Member,
} from '../../core/together'
import type { GroupTogetherBody, OwnQuestionBody } from '../../schemas/contract'
import { refusal } from '../access/refusal'
import { findLesson, savePlan } from '../database/lessons'
import type { Database } from '../database/open'
import { setLessons, type StoredTogether } from '../database/together'
import { usedPlaces } from './rows'
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
  if (problems.length > 0) throw refusal(409, 'own-question-open', problems[0]!.includes('measure') ? 'measure' : 'change')
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
