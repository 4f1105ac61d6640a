import { cardsTogether, groupsTogether, titleTogether } from '../../core/together'
import { question } from '../../core/wording'
import type { JoinView, StationTogether } from '../../schemas/contract'
import type { StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import type { Station } from '../database/stations'
import { findTogether, type StoredTogether } from '../database/together'
import { membersOf } from '../record/together'

/** What a station may join, where several lessons run together. */
export function joinTogether(together: StoredTogether): JoinView {
  const members = membersOf(together)
  const { way, title, ownQuestions } = together.body
  return {
    title: title || titleTogether(members),
    each: 'group',
    groups: [],
    together: {
      way,
      groups: groupsTogether(members).map(({ name, shape }) => ({ name, shape })),
      lessons: together.lessons.map(({ id, plan }) => ({
        ...{ id, title: plan.title, question: question(plan) },
        groups: plan.groups.map(({ name }) => name),
      })),
      heap: ownQuestions ? cardsTogether(members) : null,
    },
  }
}

/** Where a station's group may go on to; null where its lesson runs alone. */
export async function stationTogether(
  database: Database,
  lesson: StoredLesson,
  station: Pick<Station, 'group'>,
): Promise<StationTogether | null> {
  const together = lesson.together === null ? undefined : await findTogether(database, lesson.together)
  if (!together || together.lessons.length < 2) return null
  const own = lesson.plan.groups.find(({ id }) => id === station.group)?.name ?? ''
  const group = groupsTogether(membersOf(together)).find(({ name }) => name === own)
  const { way, ownQuestions } = together.body
  const open = together.lessons.filter(({ id }) => way === 'choose' || id === lesson.id || group?.ids[id] !== undefined)
  return {
    ...{ code: together.code, way, ownQuestions },
    lessons: open.map(({ id, plan }) => ({ id, title: plan.title || question(plan), here: id === lesson.id })),
  }
}
