import { naming, withoutThings, withThings } from '../../core/kit'
import type { Reached } from '../../schemas/school'
import { listThings } from '../database/cupboard'
import { findLesson, listLessonIds } from '../database/lessons'
import type { Database } from '../database/open'
import { editPlan } from './plan'

/** Every lesson of a desk that names one of these things takes it from the cupboard; what was put away stays as it is. */
export async function reachLessons(database: Database, desk: string | null, ids: string[]): Promise<Reached[]> {
  const things = (await listThings(database)).filter(({ id }) => ids.includes(id))
  if (things.length === 0) return []
  const reached: Reached[] = []
  for (const { id, archived } of await listLessonIds(database, desk)) {
    const stored = archived ? undefined : await findLesson(database, id)
    if (!stored || naming(stored.plan, things).length === 0) continue
    let materials: string[] = []
    const plan = await editPlan(database, id, (now) => {
      materials = naming(now, things)
      return Promise.resolve(withThings(now, things))
    })
    reached.push({ lesson: id, title: plan.title, materials })
  }
  return reached
}

/** Takes that back, in what is still a lesson of this desk. */
export async function takeBackReach(database: Database, desk: string | null, things: string[], back: Reached[]): Promise<void> {
  const own = new Set((await listLessonIds(database, desk)).map(({ id }) => id))
  for (const { lesson, materials } of back)
    if (own.has(lesson)) await editPlan(database, lesson, (plan) => Promise.resolve(withoutThings(plan, materials, things)))
}
