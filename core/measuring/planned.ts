import { arrangementOf, conditionsByGroup, specimensOf } from '../arrangement'
import { activeConditions, ownersIn, type Plan } from '../lesson'
import {
  comesAgain,
  countsOf,
  firstSeries,
  forSeries,
  readingsInResult,
  resultMark,
  resultUnit,
  seriesOfCondition,
  testOf,
  wayOf,
  comparesWithItself,
  type ResolvedMethod,
} from '../test'
import type { ResultUnit } from '../quantity'
import { chanceBestIsBest, chanceRightOrder } from './chances'
import { chanceOfClear } from './clear'
import { chancesByRaces, racesComeOutClear } from './races'
import { measuringSd, readingSdOf, totalSd, trialSdOf, type LearnedWobble, type WobbleSource } from './wobble'

export const WANTED_CHANCE = 0.9
export const MOST_REPEATS = 12
/** One reading each says nothing of a wobble, however far apart the results lie. */
const FEWEST_REPEATS = 2

/** What the chances are worked out from; plain data, so that a worker can be asked. */
export interface Design {
  means: number[]
  /** All the wobble of one reading. */
  total: number
  /** How far one group's own thing differs from another's. */
  own: number
  /** Only places are compared: who came first. */
  byPlaces: boolean
  /** Which conditions each group does, by place; one row where the class is one block, one for each thing where children share some. */
  shares: number[][]
  /** How many read each of those things, each its own repeats. */
  readers: number
  /** How many take turns at one apparatus: what one of them reads of one condition counts once. */
  turns: number | undefined
  sameThing: boolean
  /** There is one real thing of each condition: nothing about its kind comes out clear. */
  oneSpecimen: boolean
  /** One thing is read before and after: each trial is a pair, and one group alone goes by those. */
  paired: boolean
}

export interface Outlook extends Design {
  measuring: number
  /** Where the trial-to-trial wobble is known from. */
  wobbleFrom: WobbleSource
  /** Smallest gap between two expected results. */
  closest: number
  /** Chance that the class's evidence comes out clear with the plan as it is. */
  clear: number
  /** Chance that the best one comes out best: over the whole class, and in one group alone. */
  bestInClass: number
  bestInGroup: number
  /** Fewest repeats that make it clear nine times in ten, a single one only where the plan has it; undefined when even twelve will not do. */
  needed: number | undefined
}

/** After so many races more of them hardly change who is ahead. */
const RACES_COUNTED = 24
/** The eye that says who was first, in seconds: two that finish closer together than this look the same. */
const EYE_WOBBLE = 0.04
/** A group that keeps one thing reads that thing's own height, length or speed every time: so much of all the wobble lies between groups, until readings say better. */
const OWN_SHARE = 0.5

/** How far one group's own thing differs from another's; nothing where every trial has a fresh one. */
export function ownOf(plan: Plan, total: number, learned?: LearnedWobble): number {
  return comesAgain(plan) ? (learned?.own ?? OWN_SHARE * total) : 0
}

/** Measuring wobble of one reading by this method. Side by side nobody's hand is on a clock: only the eye is left. */
export function methodMeasuringSd(method: ResolvedMethod): number {
  if (wayOf(method).sideBySide) return EYE_WOBBLE
  return measuringSd({
    resolution: method.resolution,
    readingSd: readingSdOf(method),
    timingSd: method.timingWobble / method.atOnce,
  })
}

/** Measuring wobble of one result: what changed, or was used, is read twice, and a time until something is known to a step of watching. */
export function resultMeasuringSd(plan: Plan, method: ResolvedMethod): number {
  const counted = countsOf(plan)
  if (counted === 'until') return resultMark(plan) / Math.sqrt(12)
  // How big a share of the contents one mark is, nobody knows before.
  if (counted === 'of-100') return 0
  const withItself = comparesWithItself(plan)
  return methodMeasuringSd(method) * (withItself ? 1 : Math.sqrt(readingsInResult(plan, method)))
}

/**
 * All the wobble that is expected in one result.
 * @param learned what the class's own readings show of it, where there are enough
 */
export function methodTotalSd(plan: Plan, method: ResolvedMethod, learned?: LearnedWobble): number {
  const measuring = resultMeasuringSd(plan, method)
  return totalSd(trialSdOf(method, measuring, learned).sd, measuring)
}

/** The unit in which results are expected: finishing times behind a race, masses behind a balance. */
export function expectedUnit(plan: Plan): ResultUnit {
  return testOf(plan).way.expectedUnit ?? resultUnit(plan)
}

/**
 * Will the class see the difference that the teacher expects? Expected results are those of the single conditions where they are
 * known, else spread evenly between the lowest and the highest guess.
 * @param learned what the class's own readings show of its wobble
 * @returns undefined until there are two conditions, a measure with numbers or places, and two different guesses
 */
export function outlookOf(whole: Plan, learned?: LearnedWobble): Outlook | undefined {
  const plan = firstSeries(whole)
  const expected = expectedOf(plan)
  if (!expected) return undefined
  const { method, means } = expected
  const measuring = resultMeasuringSd(plan, method)
  const { sd, from } = trialSdOf(method, measuring, learned)
  const total = totalSd(sd, measuring)
  const design: Design = {
    means,
    total,
    own: ownOf(plan, total, learned),
    byPlaces: !wayOf(method).isAmount,
    shares: sharesOf(plan, means.length),
    readers: plan.groups.length / ownersIn(plan).length,
    turns: arrangementOf(plan) === 'together' ? plan.groups.length : undefined,
    sameThing: comesAgain(plan),
    oneSpecimen: specimensOf(plan) === 'one',
    paired: comparesWithItself(plan),
  }
  const now = chancesWith(design, plan.repeats)
  return {
    ...design,
    measuring,
    wobbleFrom: from,
    closest: closestOf(means),
    clear: now.clear,
    bestInClass: now.bestInClass,
    bestInGroup: now.bestInGroup,
    needed: now.clear >= WANTED_CHANCE && plan.repeats < FEWEST_REPEATS ? plan.repeats : repeatsNeededToBeClear(design),
  }
}

/** Chance that it comes out clear with the plan's own repeats; cheaper than the whole outlook. */
export function chanceNow(plan: Plan, learned?: LearnedWobble): number | undefined {
  return outlookOf(plan, learned)?.clear
}

export interface ChanceOfRepeats {
  repeats: number
  clear: number
  bestInClass: number
  bestInGroup: number
  /** In one group alone. */
  rightOrder: number
}

/** The chances for 1 to 12 repeats: heavier than the rest, so the desk asks a worker for it. */
export function chancesByRepeats(design: Design): ChanceOfRepeats[] {
  return Array.from({ length: MOST_REPEATS }, (_, place) => {
    const repeats = place + 1
    const { means, total, byPlaces } = design
    const rightOrder = byPlaces
      ? chancesByRaces(means, total, RACES_COUNTED)[place]!.rightOrder
      : chanceRightOrder(means, total, repeats)
    return { repeats, ...chancesWith(design, repeats), rightOrder }
  })
}

function chancesWith(design: Design, repeats: number): Omit<ChanceOfRepeats, 'repeats' | 'rightOrder'> {
  const { means, total, own, byPlaces, shares, readers } = design
  if (byPlaces) {
    const races = chancesByRaces(means, total, RACES_COUNTED)
    const inClass = Math.min(RACES_COUNTED, repeats * Math.max(1, shares.length))
    return {
      clear: clearWith(design, repeats),
      bestInClass: races[inClass - 1]!.bestIsBest,
      bestInGroup: races[Math.min(RACES_COUNTED, repeats) - 1]!.bestIsBest,
    }
  }
  const done = shares.reduce((sum, share) => sum + share.length, 0) / means.length
  const ofGroup = Math.sqrt(own ** 2 + total ** 2 / (repeats * readers))
  return {
    clear: clearWith(design, repeats),
    bestInClass: chanceBestIsBest(means, ofGroup / Math.sqrt(Math.max(1, done)), 1),
    bestInGroup: chanceBestIsBest(means, total, repeats),
  }
}

function clearWith(design: Design, repeats: number): number {
  const { means, total, own, byPlaces, shares, readers, turns, sameThing, oneSpecimen, paired } = design
  if (oneSpecimen) return 0
  if (paired && shares.length === 1) {
    const pairs = Array.from({ length: repeats }, () => [...means.keys()])
    return chanceOfClear({ means, shares: pairs, repeats: 1, sd: total, own: 0, sameThing: false }).chance
  }
  if (byPlaces) {
    const most = Math.max(MOST_REPEATS, repeats)
    return racesComeOutClear({ means, sd: total, groups: shares.length, most, sameThing })[repeats - 1]!
  }
  // Of several readings by one of those who take turns their average is one.
  const once = turns === undefined || turns === 1 ? repeats : Math.min(repeats, turns)
  const sd = total * Math.sqrt(once / repeats)
  return chanceOfClear({ means, shares, repeats: once * readers, sd, own, sameThing }).chance
}

function repeatsNeededToBeClear(design: Design): number | undefined {
  const enough = (repeats: number) => clearWith(design, repeats) >= WANTED_CHANCE
  if (!enough(MOST_REPEATS)) return undefined
  // The chance never falls with more repeats, so the smallest number is found by halving.
  let [tooFew, repeats] = [FEWEST_REPEATS - 1, MOST_REPEATS]
  while (repeats - tooFew > 1) {
    const middle = Math.floor((tooFew + repeats) / 2)
    if (enough(middle)) repeats = middle
    else tooFew = middle
  }
  return repeats
}

/** What each group does, as places of the expected results. One apparatus, or one group, is one block. */
function sharesOf(plan: Plan, conditions: number): number[][] {
  const all = Array.from({ length: conditions }, (_, place) => place)
  if (arrangementOf(plan) === 'together') return [all]
  const ids = activeConditions(plan).map(({ id }) => id)
  const owners = ownersIn(plan)
  if (ids.length !== conditions) return owners.map(() => all)
  const done = conditionsByGroup(plan)
  return owners.map((owner) => done.get(owner)!.map((id) => ids.indexOf(id)))
}

/** What the teacher expects of one condition, in the unit results are expected in; undefined where nobody said. The same level is expected to give the same in each series. */
export function expectedResultOf(plan: Plan, condition: string): number | undefined {
  const own = seriesOfCondition(plan, condition)
  if (own) return expectedResultOf(forSeries(plan, own), condition)
  const { method } = testOf(plan)
  const place = activeConditions(plan).findIndex(({ id }) => id === condition)
  return method && (expectedResults(plan, method)?.[place] ?? method.expectedLow ?? undefined)
}

function expectedOf(plan: Plan): { method: ResolvedMethod; means: number[] } | undefined {
  const { method } = testOf(plan)
  if (!method || wayOf(method).fromWords || plan.groups.length === 0) return undefined
  const means = expectedResults(plan, method)
  return !means || closestOf(means) <= 0 ? undefined : { method, means }
}

/** Expected result of every condition, in the plan's order; one thing before and after counts as two. */
function expectedResults(plan: Plan, method: ResolvedMethod): number[] | undefined {
  const conditions = activeConditions(plan)
  const single = conditions.map(({ id }) => method.expected[id])
  if (conditions.length > 1 && single.every((value) => value !== undefined)) return single as number[]
  const count = comparesWithItself(plan) ? 2 : conditions.length
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
export function withExpected(
  method: ResolvedMethod,
  figures: ExpectedFigures,
  from: ResolvedMethod['expectedFrom'],
): ResolvedMethod {
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

/**
 * The method with the word that the teacher thinks will come most often for one condition; none takes it back.
 * @param place of the word in the list, 1 for the first
 * @example withExpectedWord(testOf(inWords).method!, 'card', 2).expected // => { card: 2 }
 */
export function withExpectedWord(method: ResolvedMethod, condition: string, place: number | null): ResolvedMethod {
  const { [condition]: _old, ...others } = method.expected
  return { ...method, expected: place === null ? others : { ...others, [condition]: place }, expectedFrom: 'guess' }
}
