import { randomUUID } from 'node:crypto'
import { asksItsOwn, type Plan } from '../../core/lesson'
import {
  cardsTogether,
  checkOwnQuestion,
  groupInAny,
  groupNamed,
  NEW_TOGETHER,
  OWN_PART,
  ownQuestionPlan,
  sameQuestion,
  withEveryGroup,
  withoutGroupOfClass,
} from '../../core/together'
import type { AskedAtDeskBody } from '../../schemas/togetherContract'
import { notFound, refusal } from '../access/refusal'
import { readLesson, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import {
  addTogether,
  askedIn,
  changeTogether,
  everyLessonOf,
  putTogether,
  removeTogether,
  wholeOf,
  type StoredTogether,
} from '../database/togethers'
import { knownStations, moveStations } from '../database/stations'
import { editPlan } from './plan'
import { usedPlaces } from './rows'
import { checkRoom, membersOf, takePart } from './splitAndJoin'
import { addLesson, freeCode } from './wholeLesson'

/** A group's own question: a lesson of its own among those that run together, or the one in which the same is asked already. */
export async function askOwnQuestion(database: Database, id: string, asked: AskedAtDeskBody): Promise<string> {
  const { lesson, same } = await changeTogether(database, id, [], async (transaction, together, record) => {
    if (!together) throw notFound('together')
    const members = membersOf(together)
    const group = groupInAny(members, asked.name)
    if (!group) throw refusal(404, 'unknown-group', 'name')
    const { problems } = checkOwnQuestion(cardsTogether(members), asked)
    if (problems.length > 0) throw refusal(409, 'own-question-open', OWN_PART[problems[0]!])
    const known = sameQuestion(members, asked)
    if (known !== undefined) return { lesson: known, same: together }
    checkRoom(together)
    const plan = ownQuestionPlan(members, group, asked, randomUUID)
    if (!plan) throw refusal(409, 'own-question-open', 'measure')
    const added = await addLesson(transaction, plan, undefined, [], { desk: together.desk })
    await putTogether(transaction, record, together, [...together.lessons.map((one) => one.id), added.id])
    return { lesson: added.id, same: undefined }
  })
  if (same) await takePart(database, same, { lesson, name: asked.name, takesPart: true })
  return lesson
}

/**
 * The same inside one lesson: the group leaves what it did not begin, so that it stands nowhere but in its own question. A question that nobody began is asked anew in its
 * place: whoever changes its mind makes no heap of lessons.
 */
export async function askInLesson(database: Database, lesson: StoredLesson, asked: AskedAtDeskBody): Promise<string> {
  const whole = (await wholeOf(database, lesson)) ?? (await beginAsking(database, lesson))
  const own = (await askedAnew(database, whole, asked)) ?? (await askOwnQuestion(database, whole.id, asked))
  for (const one of whole.lessons) if (one.id !== own) await leave(database, one.id, own, asked.name)
  return own
}

/** A part that is the group's alone, or nobody's, in which nothing is written yet, with this question; undefined where there is none, or where another group asks the same. */
async function askedAnew(database: Database, whole: StoredTogether, asked: AskedAtDeskBody): Promise<string | undefined> {
  const members = membersOf(whole)
  const group = groupInAny(members, asked.name)
  const isFree = ({ plan }: StoredLesson) => plan.groups.every(({ name }) => name === group?.name)
  const free = whole.lessons.slice(1).find(isFree)
  if (!free || !group || checkOwnQuestion(cardsTogether(members), asked).problems.length > 0) return undefined
  if (sameQuestion(members, asked) !== undefined) return undefined
  const plan = ownQuestionPlan(members, group, asked, randomUUID)
  if (!plan) return undefined
  const now = await editPlan(database, free.id, async (before, transaction) =>
    isFree({ ...free, plan: before }) && (await usedPlaces(transaction, free.id)).groups.size === 0 ? plan : before,
  )
  return now === plan ? free.id : undefined
}

/** From now on the groups' own questions are parts of this lesson. */
async function beginAsking(database: Database, lesson: StoredLesson): Promise<StoredTogether> {
  if (lesson.together !== null || !asksItsOwn(lesson.plan)) throw refusal(409, 'asks-no-own-questions', 'name')
  const body = { oneLesson: true, ownQuestions: true, minutes: NEW_TOGETHER.minutes }
  const id = await database.transaction(async (transaction) =>
    addTogether(transaction, { code: await freeCode(transaction), body, desk: lesson.desk }),
  )
  // Another group may have asked first, in the same moment.
  const together = await changeTogether(database, id, [lesson.id], async (transaction, fresh, record) => {
    const now = await readLesson(transaction, lesson.id)
    if (now?.together != null) return now.together
    if (fresh) await putTogether(transaction, record, fresh, [lesson.id])
    return id
  })
  if (together !== id) await removeTogether(database, id)
  const whole = await wholeOf(database, { together })
  if (!whole) throw notFound('lesson')
  return whole
}

/** Where it wrote nothing yet, the group goes with its stations. */
async function leave(database: Database, lesson: string, own: string, name: string): Promise<void> {
  await editPlan(database, lesson, async (plan, transaction) => {
    const group = groupNamed(plan, name)
    if (!group || (await usedPlaces(transaction, lesson)).groups.has(group.id)) return plan
    const there = groupNamed((await readLesson(transaction, own))?.plan ?? { groups: [] }, name)
    if (there?.id === group.id) await moveStations(transaction, lesson, own, [group.id])
    return withoutGroupOfClass(plan, name)
  })
  knownStations.forgetAll()
}

/** A lesson with the groups' own questions in it, those that were put away with it too; of any other lesson itself alone. */
export async function partsOf(database: Database, lesson: StoredLesson): Promise<string[]> {
  if (lesson.together === null) return [lesson.id]
  const every = await everyLessonOf(database, lesson.together)
  const whole = await wholeOf(database, lesson)
  // Of a lesson that was put away its parts were put away with it.
  const first = whole?.lessons[0]?.id ?? lesson.id
  return whole && first === lesson.id ? every : [lesson.id]
}

/** A lesson's plan with all groups of its class, those too that are in their own questions: what a copy and the next lesson begin with. */
export async function planOfClass(database: Database, lesson: StoredLesson): Promise<Plan> {
  const whole = await askedIn(database, lesson)
  return whole ? withEveryGroup(lesson.plan, membersOf(whole).slice(1)) : lesson.plan
}
