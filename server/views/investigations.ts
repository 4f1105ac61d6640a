import { NO_SCHOOL, stockedFor, withThings } from '../../core/kit'
import { spelledThrough } from '../../core/wording'
import { faceOf } from '../../core/wording/reports'
import { INVESTIGATIONS } from '../../schemas/investigations'
import { planFrom } from '../../core/lesson'
import type { Investigations } from '../../schemas/contract'
import { customsOf, listThings } from '../database/cupboard'
import { lastClass } from '../database/lessons'
import type { Database } from '../database/open'
import { listClasses } from '../database/summaries'

/** The library as cards, with what the cupboard has for each, counted for the class of the last lesson. */
export async function loadInvestigations(database: Database, desk: string | null): Promise<Investigations> {
  const { className, children } = await lastClass(database, desk)
  const things = await listThings(database)
  const customs = await customsOf(database)
  const investigations = Object.entries(spelledThrough(INVESTIGATIONS, customs.english)).map(([id, investigation]) => {
    let groups = 0
    const plan = withThings(
      planFrom(investigation, className, children, () => `g${(groups += 1)}`),
      things,
    )
    const { title, question } = faceOf(plan)
    const { summary, topic, ages } = investigation
    const { kind, clock } = plan
    const needs = stockedFor(plan, { ...NO_SCHOOL, things, customs })
    return { id, title, question, summary, topic, ages, kind, minutes: clock.minutes, needs }
  })
  return { investigations, className, children, classes: await listClasses(database, desk) }
}
