import { activeConditions, measuredCard, type Method, type Plan } from '../lesson'
import { chanceBestIsBest, chanceRightOrder, repeatsNeeded } from './chances'
import { measuringSd, totalSd } from './wobble'

export const WANTED_CHANCE = 0.9
export const MOST_REPEATS = 12

export interface Outlook {
  means: number[]
  measuring: number
  total: number
  /** Smallest gap between two expected results. */
  closest: number
  /** Chance that the best one comes out best with the plan's repeats. */
  chance: number
  /** undefined when even twelve repeats will not do. */
  needed: number | undefined
}

/** Measuring wobble of one reading by this method. */
export function methodMeasuringSd(method: Method): number {
  return measuringSd({
    resolution: method.resolution,
    readingSd: method.readingWobble,
    timingSd: method.timingWobble / method.atOnce,
  })
}

/** All the wobble that the plan expects in one reading. */
export function methodTotalSd(method: Method): number {
  return totalSd(method.trialWobble, methodMeasuringSd(method))
}

/**
 * Will the class see the difference that the teacher expects? The expected results are spread evenly between the lowest and
 * the highest guess.
 * @returns undefined until there are two conditions, a measure and two different guesses
 */
export function outlookOf(plan: Plan): Outlook | undefined {
  const expected = expectedOf(plan)
  if (!expected) return undefined
  const { method, means, total } = expected
  return {
    means,
    measuring: methodMeasuringSd(method),
    total,
    closest: means[1]! - means[0]!,
    chance: chanceBestIsBest(means, total, plan.repeats),
    needed: repeatsNeeded(means, total, { chance: WANTED_CHANCE, most: MOST_REPEATS }),
  }
}

/** Chance that the best one comes out best with the plan's own repeats; cheaper than the whole outlook. */
export function chanceNow(plan: Plan): number | undefined {
  const expected = expectedOf(plan)
  return expected && chanceBestIsBest(expected.means, expected.total, plan.repeats)
}

function expectedOf(plan: Plan): { method: Method; means: number[]; total: number } | undefined {
  const method = measuredCard(plan)?.method
  const conditions = activeConditions(plan).length
  if (!method || conditions < 2) return undefined
  const { expectedLow: low, expectedHigh: high } = method
  if (low === null || high === null || high <= low) return undefined
  const step = (high - low) / (conditions - 1)
  const means = Array.from({ length: conditions }, (_, place) => low + place * step)
  return { method, means, total: methodTotalSd(method) }
}

export interface ChanceOfRepeats {
  repeats: number
  bestIsBest: number
  rightOrder: number
}

/** The two chances for 1 to 12 repeats: heavier than the rest, so the desk asks a worker for it. */
export function chancesByRepeats({ means, total }: Pick<Outlook, 'means' | 'total'>): ChanceOfRepeats[] {
  return Array.from({ length: MOST_REPEATS }, (_, place) => ({
    repeats: place + 1,
    bestIsBest: chanceBestIsBest(means, total, place + 1),
    rightOrder: chanceRightOrder(means, total, place + 1),
  }))
}
