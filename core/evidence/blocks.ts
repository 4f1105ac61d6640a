import { arrangementOf } from '../arrangement'
import { activeConditions, ownerOf, WHOLE_CLASS, type LessonRecord, type Plan } from '../lesson'
import { testOf } from '../test'
import { trialResults, type TrialResult } from '../record'
import { cellsOf } from './cells'

/** Do the groups take turns at one apparatus, so that the class is one block. */
export function oneApparatus(plan: Plan): boolean {
  return arrangementOf(plan) === 'together'
}

/**
 * The block of a record: its group; of children who share a thing the one whose thing it is, since what they read of it is one cell; the whole class at one
 * apparatus.
 */
export function blockOf(plan: Plan, record: string): string {
  return oneApparatus(plan) ? WHOLE_CLASS : ownerOf(plan, record)
}

/** Results in the order of the plan's conditions, each with its block. */
export function resultsInBlocks(plan: Plan, { readings }: LessonRecord, results = trialResults(plan, readings)): TrialResult[] {
  return activeConditions(plan)
    .flatMap(({ id }) => results.filter(({ condition }) => condition === id))
    .map((result) => ({ ...result, group: blockOf(plan, result.group) }))
}

/**
 * The results that are weighed where groups take turns at one apparatus: what one group read of one condition counts once, or who reads high or low would be
 * taken for what differs. Readers taken as blocks would be as honest and find half as much (docs/decisions.md).
 */
export function oncePerReader(plan: Plan, { readings }: LessonRecord, results: TrialResult[]): TrialResult[] {
  const conditions = new Set(results.map(({ condition }) => condition))
  const read = trialResults(plan, readings).filter(({ condition }) => conditions.has(condition))
  const several = oneApparatus(plan) && testOf(plan).way.isAmount && new Set(read.map(({ group }) => group)).size > 1
  if (!several) return results
  const once = cellsOf(read).map(({ condition, value }, place) => ({ group: WHOLE_CLASS, condition, repeat: place + 1, value }))
  return activeConditions(plan).flatMap(({ id }) => once.filter(({ condition }) => condition === id))
}
