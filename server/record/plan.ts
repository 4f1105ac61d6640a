import { type Plan } from '../../core/lesson'
import { lostWith, type Lacks } from '../../core/record'
import { notFound, refusal, type Refusal } from '../access/refusal'
import { storeAndAnnounce, type RecordEvents } from '../database/announcing'
import { knownLessons, readLesson, writePlan, type StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import { usedPlaces } from './rows'

const IN_USE = {
  group: refusal(409, 'group-in-use', 'plan.groups'),
  condition: refusal(409, 'condition-in-use', 'plan.conditions'),
  moment: refusal(409, 'moment-in-use', 'plan.watch'),
} satisfies Record<Exclude<Lacks, 'other-group'>, Refusal>

/**
 * Stores a plan that was edited from the given revision. What somebody wrote something about stays in it: that is looked at under the lesson's lock, where rows are
 * written, too, so that no row loses its home while it is on its way.
 * @throws Refusal where somebody else saved meanwhile, or where a row would have no home
 */
export async function savePlan(database: Database, lesson: string, plan: Plan, revision: number): Promise<number> {
  try {
    return await storeAndAnnounce(database, lesson, async (transaction, record) => {
      const stored = await readLesson(transaction, lesson)
      if (stored?.revision !== revision) throw refusal(409, 'stale', 'revision')
      return changePlan(transaction, record, stored, plan)
    })
  } finally {
    knownLessons.forget(lesson)
  }
}

/** The same for a change that is made of the plan as it stands now. */
export async function editPlan(
  database: Database,
  lesson: string,
  change: (plan: Plan, transaction: Database) => Promise<Plan>,
): Promise<Plan> {
  try {
    return await storeAndAnnounce(database, lesson, async (transaction, record) => {
      const stored = await readLesson(transaction, lesson)
      if (!stored) throw notFound('lesson')
      const plan = await change(stored.plan, transaction)
      if (plan !== stored.plan) await changePlan(transaction, record, stored, plan)
      return plan
    })
  } finally {
    knownLessons.forget(lesson)
  }
}

async function changePlan(transaction: Database, record: RecordEvents, stored: StoredLesson, plan: Plan): Promise<number> {
  const lost = lostWith(stored.plan, plan, await usedPlaces(transaction, stored.id))
  if (lost !== undefined) throw IN_USE[lost]
  return writePlan(transaction, record, stored, plan)
}
