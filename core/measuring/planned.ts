import { activeConditions, measuredCard, type Method, type Plan } from '../lesson'
import type { UnitCode } from '../quantity'
import { chanceBestIsBest, chanceRightOrder, repeatsNeeded } from './chances'
import { chancesByRaces } from './races'
import { measuringSd, totalSd } from './wobble'

export const WANTED_CHANCE = 0.9
export const MOST_REPEATS = 12

export interface Outlook {
  means: number[]
  measuring: number
  total: number
  /** Only places are compared: who came first. */
  byPlaces: boolean
  /** Smallest gap between two expected results. */
  closest: number
  /** Chance that the best one comes out best with the plan's repeats. */
  chance: number
  /** undefined when even twelve repeats will not do. */
  needed: number | undefined
}

/** The eye that says who was first, in seconds: two that finish closer together than this look the same. */
const EYE_WOBBLE = 0.04

/** Measuring wobble of one reading by this method. Side by side nobody's hand is on a clock: only the eye is left. */
export function methodMeasuringSd(method: Method): number {
  if (method.instrument === 'race') return EYE_WOBBLE
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

/** The unit in which results are expected: finishing times behind a race, masses behind a balance. */
export function expectedUnit(method: Method): UnitCode {
  return method.instrument === 'race' ? 's' : method.instrument === 'balance' ? 'g' : method.unit
}

/**
 * Will the class see the difference that the teacher expects? Expected results are those of the single conditions where they are
 * known, else spread evenly between the lowest and the highest guess.
 * @returns undefined until there are two conditions, a measure with numbers or places, and two different guesses
 */
export function outlookOf(plan: Plan): Outlook | undefined {
  const expected = expectedOf(plan)
  if (!expected) return undefined
  const { method, means, total } = expected
  const byPlaces = method.instrument !== 'number'
  const chances = byPlaces ? chancesByRaces(means, total, Math.max(MOST_REPEATS, plan.repeats)) : undefined
  const enough = chances?.findIndex(({ bestIsBest }) => bestIsBest >= WANTED_CHANCE) ?? -1
  return {
    means,
    measuring: methodMeasuringSd(method),
    total,
    byPlaces,
    closest: closestOf(means),
    chance: chances ? chances[plan.repeats - 1]!.bestIsBest : chanceBestIsBest(means, total, plan.repeats),
    needed: chances
      ? enough < 0 || enough >= MOST_REPEATS
        ? undefined
        : enough + 1
      : repeatsNeeded(means, total, { chance: WANTED_CHANCE, most: MOST_REPEATS }),
  }
}

/** Chance that the best one comes out best with the plan's own repeats; cheaper than the whole outlook. */
export function chanceNow(plan: Plan): number | undefined {
  const expected = expectedOf(plan)
  if (!expected) return undefined
  const { method, means, total } = expected
  if (method.instrument === 'number') return chanceBestIsBest(means, total, plan.repeats)
  return chancesByRaces(means, total, plan.repeats)[plan.repeats - 1]!.bestIsBest
}

/** What the teacher expects of one condition, in the unit results are expected in; undefined where nobody said. */
export function expectedResultOf(plan: Plan, condition: string): number | undefined {
  const method = measuredCard(plan)?.method
  const place = activeConditions(plan).findIndex(({ id }) => id === condition)
  return method && (expectedResults(plan, method)?.[place] ?? method.expectedLow ?? undefined)
}

function expectedOf(plan: Plan): { method: Method; means: number[]; total: number } | undefined {
  const method = measuredCard(plan)?.method
  if (!method || method.instrument === 'words') return undefined
  const means = expectedResults(plan, method)
  if (!means || closestOf(means) <= 0) return undefined
  return { method, means, total: methodTotalSd(method) }
}

/** Expected result of every condition, in the plan's order; one thing before and after counts as two. */
function expectedResults(plan: Plan, method: Method): number[] | undefined {
  const conditions = activeConditions(plan)
  const single = conditions.map(({ id }) => method.expected[id])
  if (conditions.length > 1 && single.every((value) => value !== undefined)) return single as number[]
  const count = plan.kind === 'before-after' && conditions.length === 1 ? 2 : conditions.length
  const { expectedLow: low, expectedHigh: high } = method
  if (count < 2 || low === null || high === null || high <= low) return undefined
  const step = (high - low) / (count - 1)
  return Array.from({ length: count }, (_, place) => low + place * step)
}

function closestOf(means: number[]): number {
  const ascending = [...means].sort((a, b) => a - b)
  return Math.min(...ascending.slice(1).map((mean, place) => mean - ascending[place]!))
}

export interface ExpectedFigures {
  /** By condition id, in the unit of the method. */
  expected: Record<string, number>
  /** Standard deviation of single readings of the same condition, measuring wobble included; undefined where there are too few. */
  sd: number | undefined
}

/**
 * The method with expected results that somebody measured or simulated, instead of a guess. What the measuring itself wobbles is
 * taken out of the measured wobble, in squares, and the rest is the trial-to-trial wobble.
 */
export function withExpected(method: Method, figures: ExpectedFigures, from: Method['expectedFrom']): Method {
  const values = Object.values(figures.expected)
  if (values.length === 0) return method
  const own = figures.sd === undefined ? undefined : Math.sqrt(Math.max(0, figures.sd ** 2 - methodMeasuringSd(method) ** 2))
  return {
    ...method,
    expected: figures.expected,
    expectedFrom: from,
    expectedLow: Math.min(...values),
    expectedHigh: Math.max(...values),
    trialWobble: own === undefined ? method.trialWobble : Number(own.toPrecision(3)),
  }
}

export interface ChanceOfRepeats {
  repeats: number
  bestIsBest: number
  rightOrder: number
}

/** The two chances for 1 to 12 repeats: heavier than the rest, so the desk asks a worker for it. */
export function chancesByRepeats({ means, total, byPlaces }: Pick<Outlook, 'means' | 'total' | 'byPlaces'>): ChanceOfRepeats[] {
  if (byPlaces) return chancesByRaces(means, total, MOST_REPEATS).map((chance, place) => ({ repeats: place + 1, ...chance }))
  return Array.from({ length: MOST_REPEATS }, (_, place) => ({
    repeats: place + 1,
    bestIsBest: chanceBestIsBest(means, total, place + 1),
    rightOrder: chanceRightOrder(means, total, place + 1),
  }))
}
