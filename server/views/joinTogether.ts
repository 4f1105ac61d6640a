import { asksItsOwn } from '../../core/lesson'
import {
  cardsTogether,
  circuitTogether,
  groupsTogether,
  inGroups,
  mayGoTo,
  nameTogether,
  nextInCircuit,
  NEW_TOGETHER,
  placesNow,
} from '../../core/together'
import { question, titleOfMember } from '../../core/wording'
import type { JoinView } from '../../schemas/contract'
import type { StationTogether } from '../../schemas/togetherContract'
import type { StoredLesson } from '../database/lessons'
import type { Database } from '../database/open'
import type { Station } from '../database/stations'
import { findTogether, type StoredTogether } from '../database/togethers'
import { membersOf } from '../record/splitAndJoin'

/** A lesson in which each group asks its own question, before the first one has asked; undefined of any other. */
export function aloneAsking(lesson: StoredLesson): StoredTogether | undefined {
  if (!asksItsOwn(lesson.plan)) return undefined
  const body = { ...NEW_TOGETHER, oneLesson: true, ownQuestions: true }
  return { id: '', code: lesson.code, desk: lesson.desk, body, lessons: [lesson] }
}

/** What a station may join, where several lessons run together; a lesson in which each child has its own is joined with its own code. */
export function joinTogether(together: StoredTogether): JoinView {
  const members = inGroups(membersOf(together))
  const { way, ownQuestions, oneLesson } = together.body
  return {
    title: nameTogether(together.body, membersOf(together)),
    each: 'group',
    groups: [],
    together: {
      way,
      oneLesson,
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
  const { way, ownQuestions, oneLesson } = together.body
  // Whoever has its own question in a lesson goes nowhere else.
  if (oneLesson) return { code: together.code, goesOn: false, next: null }
  const others = mayGoTo(openLessons(together), way, own).filter(({ id }) => id !== lesson.id)
  const members = inGroups(membersOf(together))
  const next = way === 'circuit' ? nextInCircuit(circuitTogether(members, together.body), own, lesson.id) : undefined
  return {
    code: together.code,
    goesOn: others.length > 0 || ownQuestions,
    next: next === undefined ? null : titleOfMember(members, next),
  }
}

function openLessons(together: StoredTogether): { id: string; title: string; question: string; groups: string[] }[] {
  return inGroups(membersOf(together)).map(({ lesson, plan }) => ({
    ...{ id: lesson, title: plan.title, question: question(plan) },
    groups: plan.groups.map(({ name }) => name),
  }))
}
