import type { MainQuestion, Plan, Reading } from '../lesson'
import { eachMeasure, forMeasure } from './measures'
import { eachSeries, forSeries, seriesIn, viewsBeside } from './series'
import { wholeOf } from './views'

/** What is asked at once: a measure within a series, or whether the series differ in it. */
export interface AskedAtOnce extends Pick<MainQuestion, 'measure' | 'series'> {
  plan: Plan
}

/**
 * Everything that is asked at once and can be called the main question.
 * @example askedAtOnce(inTwoMeasures).map(({ measure }) => measure) // => ['height', 'seconds']
 */
export function askedAtOnce(plan: Plan): AskedAtOnce[] {
  return eachMeasure(plan).flatMap((own) =>
    eachSeries(own).flatMap(({ series, plan: view }) =>
      own.measured === null ? [] : [{ measure: own.measured, series: series?.id ?? null, plan: view }],
    ),
  )
}

/**
 * At which place among what is asked at once the named question stands, counted from 1; 0 where none is named or it is gone.
 * @example mainPlace(inTwoMeasures) // => 0
 */
export function mainPlace(plan: Plan): number {
  const main = plan.mainQuestion
  return 1 + askedAtOnce(plan).findIndex(({ measure, series }) => measure === main?.measure && series === main.series)
}

/**
 * The view that was named as the main question before anything was read; undefined where none was, where it came too late, or where only one thing is asked.
 * @param readings of the whole lesson
 * @example mainView(inTwoMeasures, []) // => undefined
 */
export function mainView(plan: Plan, readings: Reading[]): Plan | undefined {
  const whole = wholeOf(plan)
  const main = whole.mainQuestion
  if (!main || viewsBeside(whole).length < 2 || isTooLate(main, readings)) return undefined
  if (!eachMeasure(whole).some(({ measured }) => measured === main.measure)) return undefined
  const ofMeasure = forMeasure(whole, main.measure)
  const line = seriesIn(ofMeasure).find(({ id }) => id === main.series)
  return seriesIn(ofMeasure).length === 0 ? ofMeasure : line && forSeries(ofMeasure, line)
}

/** Something that counts was read before it was named. */
function isTooLate({ at }: MainQuestion, readings: Reading[]): boolean {
  return readings.some((reading) => !reading.practice && Date.parse(reading.at) < Date.parse(at))
}

/**
 * Is this asked besides the main question: looked at as well, and no ground for "clear".
 * @example isAlsoSeen(inTwoMeasures, []) // => false
 */
export function isAlsoSeen(view: Plan, readings: Reading[]): boolean {
  const main = mainView(view, readings)
  return main !== undefined && main !== view
}
