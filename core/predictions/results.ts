import { mean } from 'simple-statistics'
import { evidenceOf } from '../evidence'
import { activeConditions, type LessonRecord, type Plan } from '../lesson'
import { momentsOf, testOf, kindOf } from '../test'
import { averageResults, averagesByMoment } from '../record'

export interface PredictionResults {
  order: string[]
  /** By condition; over time also by moment, all conditions together. */
  values: Record<string, number>
  /** A change up to one mark of the instrument counts as none. */
  same: number
  /** Words without an order came out as somebody said, or did not: none is nearer than another. */
  exactly: boolean
}

/** What predictions are laid beside, as soon as every condition has a result; undefined before. */
export function resultsForPredictions(plan: Plan, record: LessonRecord): PredictionResults | undefined {
  const evidence = evidenceOf(plan, record)
  const conditions = activeConditions(plan).map(({ id }) => id)
  const results = averageResults(plan, record.readings)
  if (!evidence || conditions.length === 0 || conditions.some((id) => results[id] === undefined)) return undefined
  const moments = kindOf(plan).watches ? momentsOf(plan) : []
  const atMoments = averagesByMoment(plan, record.readings)
  return {
    order: evidence.order,
    exactly: !testOf(plan).way.ranks,
    same: testOf(plan).resolution / 2,
    values: {
      ...results,
      ...Object.fromEntries(
        moments.flatMap(({ id }) => {
          const own = atMoments.filter(({ moment }) => moment === id)
          return own.length === 0 ? [] : [[id, mean(own.map(({ average }) => average))]]
        }),
      ),
    },
  }
}
