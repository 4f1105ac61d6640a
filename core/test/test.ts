import { measuredCard, type Measure, type Plan } from '../lesson'
import type { UnitCode } from '../quantity'
import { kindOf, type KindOfTest } from './kinds'
import { forMeasure } from './measures'
import { forSeries, seriesIn } from './series'
import { resolved, unread, wayOf, type ResolvedMethod, type WayOfReading } from './ways'

/** A plan's test, resolved once: what the rest of the house asks of it instead of comparing its kind and its way with words. */
export interface Test {
  /** The lesson as this test's measure and series see it. */
  readonly plan: Plan
  readonly kind: KindOfTest
  /** How its measure is read; `unread` while nothing is measured. */
  readonly way: WayOfReading
  /** What is measured. */
  readonly measure: Measure | undefined
  /** How it is measured, whatever the way. */
  readonly method: ResolvedMethod | undefined
  /** The same where readings are amounts. */
  readonly amount: ResolvedMethod | undefined
  /** The unit of a reading, a bare count while nothing is measured. */
  readonly unit: UnitCode
  /** The smallest step between two readings, in that unit. */
  readonly resolution: number
  /** The words that a reading is one of; none where it is a number or a place. */
  readonly words: string[]
}

const tests = new WeakMap<Plan, Test>()

/**
 * The test of a plan, remembered by plan.
 * @param measure the card that is meant, where several lie in the tray; the first without it
 * @param series the value of the second factor that is meant, by id; all of them without it
 * @example testOf(soakUpPlan()).unit // => 'mm'
 */
export function testOf(plan: Plan, measure?: string | null, series?: string): Test {
  const ofMeasure = forMeasure(plan, measure)
  const line = seriesIn(ofMeasure).find(({ id }) => id === series)
  const asked = line ? forSeries(ofMeasure, line) : ofMeasure
  const seen = tests.get(asked)
  if (seen) return seen
  const test = resolve(asked)
  tests.set(asked, test)
  return test
}

function resolve(plan: Plan): Test {
  const measure = measuredCard(plan)
  const method = measure && resolved(measure.method)
  const way = method ? wayOf(method) : unread
  return {
    plan,
    kind: kindOf(plan),
    way,
    measure,
    method,
    amount: way.isAmount ? method : undefined,
    unit: method?.unit ?? 'count',
    resolution: method?.resolution ?? 1,
    words: method?.words ?? [],
  }
}
