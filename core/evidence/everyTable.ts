import { oncePerPair } from '../chance'
import { type LessonRecord, type Plan, type Series } from '../lesson'
import { eachMeasure, eachSeries } from '../test'
import type { Evidence } from './grade'
import { evidenceOf } from './ofLesson'

/** What was found of one measure, within one series where there are several. */
export interface Table {
  /** The lesson as this measure and series see it. */
  plan: Plan
  series: Series | undefined
  /** Predictions are about what is measured first. */
  record: LessonRecord
  evidence: Evidence
}

/**
 * The evidence of each thing that is measured, series by series; one table in most lessons.
 * @example everyTable(plan, record).map(({ evidence }) => evidence.grade) // => ['clear']
 */
export const everyTable = oncePerPair((plan: Plan, record: LessonRecord): Table[] =>
  eachMeasure(plan).flatMap((view, place) =>
    eachSeries(view).flatMap(({ series, plan: own }) => {
      const evidence = evidenceOf(own, record)
      return evidence ? [{ plan: own, series, record: place === 0 ? record : { ...record, predictions: [] }, evidence }] : []
    }),
  ),
)
