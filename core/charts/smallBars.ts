import { activeConditions, letterOf, type Plan, type Reading } from '../lesson'
import { firstSeries, testOf } from '../test'
import { averageResults } from '../record'

/** One bar of a picture that is as small as a stamp. */
export interface SmallBar {
  letter: string
  /** Of the longest bar, -1 to 1. */
  share: number
}

/** The averages as bars beside each other, of several series those of the first; empty until two conditions have one. */
export function smallBars(whole: Plan, readings: Reading[]): SmallBar[] {
  const plan = firstSeries(whole)
  const averages = testOf(plan).way.ranks ? averageResults(plan, readings) : {}
  const longest = Math.max(...Object.values(averages).filter(Number.isFinite).map(Math.abs), 0)
  const bars = activeConditions(plan).flatMap(({ id }) => {
    const average = averages[id]
    return average === undefined
      ? []
      : [
          {
            letter: letterOf(plan, id),
            share: Number.isFinite(average) && longest > 0 ? average / longest : Number(average === Infinity),
          },
        ]
  })
  return bars.length > 1 ? bars : []
}
