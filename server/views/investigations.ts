import { NO_SCHOOL, stockedFor, withThings, type School } from '../../core/kit'
import { type Plan } from '../../core/lesson'
import { occasionsOf } from '../../core/term'
import { expectedWords, inSchoolsWay, neededLines, readyWords } from '../../core/wording'
import { occasionWords, questionInList } from '../../core/wording/reports'
import type { InvestigationCard, InvestigationInside, Investigations } from '../../schemas/contract'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { customsOf, listThings } from '../database/cupboard'
import { lastClass } from '../database/lessons'
import type { Database } from '../database/open'
import { findStartingPoint, listStartingPoints, type OwnStartingPoint } from '../database/startingPoints'
import { listClasses } from '../database/summaries'
import { planFrom, type StartingPoint } from '../../core/test'

/** The library as cards, the school's own ones first, with what the cupboard has for each, counted for the class of the last lesson. */
export async function loadInvestigations(database: Database, desk: string | null): Promise<Investigations> {
  const { className, children } = await lastClass(database, desk)
  const school = await schoolOf(database)
  const investigations = (await everyInvestigation(database, school)).map(([id, body, isOwn]) =>
    cardOf(id, body, planOf(body, className, children, school), school, isOwn),
  )
  return { investigations, className, children, classes: await listClasses(database, desk) }
}

/** Every lesson to begin from, the school's own ones first, ours in its English. */
export async function everyInvestigation(
  database: Database,
  { customs }: Pick<School, 'customs'>,
): Promise<[id: string, body: StartingPoint, own: boolean][]> {
  const own = (await listStartingPoints(database)).map(({ id, body }): [string, StartingPoint, boolean] => [id, body, true])
  const shipped = Object.entries(INVESTIGATIONS).map(([id, body]): [string, StartingPoint] => [
    id,
    inSchoolsWay(body, customs.english),
  ])
  return [...own, ...shipped.map(([id, body]): [string, StartingPoint, boolean] => [id, body, false])]
}

/** One of them with all that is in it; undefined where there is none of this name. */
export async function loadInvestigation(
  database: Database,
  desk: string | null,
  id: string,
): Promise<InvestigationInside | undefined> {
  const found = await findInvestigation(database, id)
  if (!found) return undefined
  const { className, children } = await lastClass(database, desk)
  const school = await schoolOf(database)
  const plan = planOf(found.body, className, children, school)
  return {
    card: cardOf(id, found.body, plan, school, found.own !== undefined),
    teaching: found.body.teaching,
    plan,
    needed: neededLines(plan, school),
    expected: expectedWords(plan),
    ready: readyWords(plan),
  }
}

/** A lesson to begin from, in the school's English where it is ours. */
export async function findInvestigation(
  database: Database,
  id: string,
): Promise<{ body: StartingPoint; own: OwnStartingPoint | undefined } | undefined> {
  if (Object.hasOwn(INVESTIGATIONS, id)) {
    return { body: inSchoolsWay(INVESTIGATIONS[id]!, (await customsOf(database)).english), own: undefined }
  }
  const found = UUID.test(id) ? await findStartingPoint(database, id) : undefined
  return found && { body: found.body, own: found }
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

async function schoolOf(database: Database): Promise<School> {
  return { ...NO_SCHOOL, things: await listThings(database), customs: await customsOf(database) }
}

/** The lesson for a class, with what the cupboard has for it. */
export function planOf(body: StartingPoint, className: string, children: number, { things }: Pick<School, 'things'>): Plan {
  let groups = 0
  return withThings(
    planFrom(body, className, children, () => `g${(groups += 1)}`),
    things,
  )
}

function cardOf(id: string, { summary, topic, ages }: StartingPoint, plan: Plan, school: School, own: boolean): InvestigationCard {
  const needs = stockedFor(plan, school)
  const { title, kind, investigation: drawing, clock } = plan
  const practises = occasionsOf(plan)
    .filter((one) => !one.startsWith('kind:'))
    .map(occasionWords)
  const question = questionInList(plan)
  return { id, title, question, summary, topic, ages, kind, minutes: clock.minutes, practises, needs, own, drawing }
}
