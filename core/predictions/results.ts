import { mean } from 'simple-statistics'
import { evidenceOf } from '../evidence'
import { activeConditions, type LessonRecord, type Plan } from '../lesson'
import { comparesMoments, isBySize, momentsOf, testOf, kindOf } from '../test'
import { heldAgainst, sameWithin } from './changes'
import { averageResults, averagesByMoment, signedAverages } from '../record'

export interface PredictionResults {
  order: string[]
  /** Which way each condition went, where that is predicted. */
  changes: Record<string, number>
  /** Only the size counts, of what was predicted, too. */
  bySize: boolean
  /** By condition; over time also by moment, all conditions together. */
  values: Record<string, number>
  /** A change up to this counts as none. */
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
    changes: { ...signedAverages(plan, record.readings), ...fromMomentToMoment(plan, record), ...besideOne(plan, results) },
    bySize: isBySize(plan),
    exactly: !testOf(plan).way.ranks,
    same: sameWithin(plan),
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

/** What each condition is more than the one that they are held against. */
function besideOne(plan: Plan, results: Partial<Record<string, number>>): Record<string, number> {
  const against = heldAgainst(plan)
  const beside = against === undefined ? undefined : results[against]
  if (beside === undefined) return {}
  return Object.fromEntries(Object.entries(results).flatMap(([id, value]) => (value === undefined ? [] : [[id, value - beside]])))
}

/** What each moment is more than the one before. */
function fromMomentToMoment(plan: Plan, record: LessonRecord): Record<string, number> {
  if (!comparesMoments(plan)) return {}
  const at = new Map(averagesByMoment(plan, record.readings).map(({ moment, average }) => [moment, average]))
  const order = momentsOf(plan).map(({ id }) => id)
  return Object.fromEntries(
    order.slice(1).flatMap((id, place) => {
      const [before, now] = [at.get(order[place]!), at.get(id)]
      return before === undefined || now === undefined ? [] : [[id, now - before]]
    }),
  )
}
