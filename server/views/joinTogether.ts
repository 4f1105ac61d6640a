import { cardsTogether, groupsTogether, inGroups, mayGoTo, nameTogether, placesNow } from '../../core/together'
import { question } from '../../core/wording'
import type { JoinView } from '../../schemas/contract'
import type { StationTogether } from '../../schemas/togetherContract'
import type { StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import type { Station } from '../database/stations'
import { findTogether, type StoredTogether } from '../database/togethers'
import { membersOf } from '../record/splitAndJoin'

/** What a station may join, where several lessons run together; a lesson in which each child has its own is joined with its own code. */
export function joinTogether(together: StoredTogether): JoinView {
  const members = inGroups(membersOf(together))
  const { way, ownQuestions } = together.body
  return {
    title: nameTogether(together.body, membersOf(together)),
    each: 'group',
    groups: [],
    together: {
      way,
      groups: groupsTogether(members).map(({ name, shape }) => ({ name, shape })),
      lessons: openLessons(together),
      now: Object.fromEntries(
        placesNow(members, together.body, Date.now()).flatMap(({ group, lesson }) =>
          lesson === undefined ? [] : [[group, lesson]],
        ),
      ),
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
  const { way, ownQuestions } = together.body
  const others = mayGoTo(openLessons(together), way, own).filter(({ id }) => id !== lesson.id)
  return { code: together.code, goesOn: others.length > 0 || ownQuestions }
}

function openLessons(together: StoredTogether): { id: string; title: string; question: string; groups: string[] }[] {
  return inGroups(membersOf(together)).map(({ lesson, plan }) => ({
    ...{ id: lesson, title: plan.title, question: question(plan) },
    groups: plan.groups.map(({ name }) => name),
  }))
}
