import { drawNormal, drawPoisson, type Random } from '../chance'
import { activeConditions, conditionValue, type Condition, type Plan } from '../lesson'
import { countsOf, momentsOf, testOf, comparesWithItself, type ResolvedMethod } from '../test'
import { expectedResultOf, expectedUnit, ownOf, readingSdOf, resultMeasuringSd, trialSdOf } from '../measuring'
import { convert, roundToMark, unitOf, type UnitCode } from '../quantity'
import type { BenchMeasure } from './bench'
import { BENCHES } from './models'

/** What a group brings along for all its trials: how it works, and how its own thing differs from another's, in standard deviations. */
export interface Own {
  habit: number
  thing: number
}

/** What one card in Measure would show in a plan, trial by trial. */
export interface Model {
  /** A model of the set-up, or what the teacher expects. */
  from: 'bench' | 'guess'
  /** What every moment of a trial would show if nothing wobbled, in the unit of the readings. */
  truth(condition: string): number[]
  /** What every moment of one trial is, before anybody reads it. */
  draw(condition: string, own: Own, random: Random): number[]
}

/**
 * The model behind a plan as it is: of its set-up where there is one that knows all its conditions, else of what the teacher expects.
 * @returns undefined where neither is there
 * @example modelOf(soakUpPlan())!.from // => 'bench'
 */
export function modelOf(plan: Plan): Model | undefined {
  return benchModel(plan) ?? guessModel(plan)
}

/**
 * Does a bench stand behind this plan as it is: asked on every edit, so it draws nothing.
 * @example hasBench(soakUpPlan()) // => true
 */
export function hasBench(plan: Plan): boolean {
  return benchModel(plan) !== undefined
}

export function benchModel(plan: Plan): Model | undefined {
  const bench = plan.investigation !== null && Object.hasOwn(BENCHES, plan.investigation) ? BENCHES[plan.investigation] : undefined
  const { measure: card, method, way, unit: own } = testOf(plan)
  const measure = card && bench?.measures[card.id]
  if (!bench || !method || !measure) return undefined
  const unit = way.isAmount || way.fromWords ? own : (expectedUnit(plan) as UnitCode)
  if (unitOf(unit).dimension !== unitOf(measure.unit).dimension) return undefined
  const moments = momentsOf(plan)
  const truths = new Map<string, number[]>()
  for (const condition of activeConditions(plan)) {
    const number = numberOf(plan, condition, bench.numbersIn)
    if (bench.numbersIn !== undefined && number === undefined) return undefined
    const values = moments.map((moment) => measure.truth({ condition: condition.id, number, moment }))
    if (values.some((value) => value === undefined || !Number.isFinite(value))) return undefined
    truths.set(condition.id, values as number[])
  }
  if (truths.size === 0) return undefined
  const asWord = (value: number) => Math.min(method.words.length, Math.max(1, Math.round(value)))
  const into = (value: number) => (way.fromWords ? asWord(value) : convert(value, measure.unit, unit)!)
  return {
    from: 'bench',
    // What lies between two words is nearer to one of them for one trial and to the other for the next.
    truth: (condition) => truths.get(condition)!.map((value) => (way.fromWords ? value : into(value))),
    draw: (condition, own, random) => drawOnBench(measure, truths.get(condition)!, own, random).map(into),
  }
}

function drawOnBench(measure: BenchMeasure, truths: number[], { habit, thing }: Own, random: Random): number[] {
  const { trialShare, readingSd = 0, thingShare = 0, thingSd = 0, habitShare = 0, skewed = false, byChance = false } = measure
  const z = trialShare * drawNormal(random)
  const share = (1 + habitShare * habit) * (1 + thingShare * thing) * (skewed ? Math.exp(z) : 1 + z)
  const there = (truth: number) => {
    const mean = truth * Math.max(0, share) + thingSd * thing
    return byChance ? drawPoisson(mean, random) : mean
  }
  return truths.map((truth) => there(truth) + (readingSd > 0 ? readingSd * drawNormal(random) : 0))
}

function numberOf(plan: Plan, condition: Condition, unit: UnitCode | undefined): number | undefined {
  const value = conditionValue(plan, condition)
  if (value === undefined || unit === undefined) return undefined
  return unitOf(plan.conditionUnit).dimension === unitOf(unit).dimension ? convert(value, plan.conditionUnit, unit) : undefined
}

function guessModel(plan: Plan): Model | undefined {
  const { method, way } = testOf(plan)
  if (!method) return undefined
  if (!way.ranks) return sortsModel(plan, method)
  if (way.fromWords) return undefined
  const measuring = resultMeasuringSd(plan, method)
  const trialSd = trialSdOf(method, measuring, undefined).sd
  const conditions = activeConditions(plan)
  if (comparesWithItself(plan)) return guessOfItself(method, trialSd)
  const expected = new Map(conditions.map(({ id }) => [id, expectedResultOf(plan, id)]))
  if (conditions.length === 0 || [...expected.values()].some((value) => value === undefined)) return undefined
  const own = ownOf(plan, Math.hypot(trialSd, measuring))
  return {
    from: 'guess',
    truth: (condition) => momentsShowing(plan, expected.get(condition)!),
    draw: (condition, { thing }, random) =>
      momentsShowing(plan, expected.get(condition)! + own * thing + trialSd * drawNormal(random)),
  }
}

/** Of words without an order: most trials give the word that the teacher expects of the condition, the others any other. */
function sortsModel(plan: Plan, { expected, words }: ResolvedMethod): Model | undefined {
  const ids = activeConditions(plan).map(({ id }) => id)
  if (words.length < 2 || ids.length === 0 || ids.some((id) => words[(expected[id] ?? 0) - 1] === undefined)) return undefined
  const times = Math.max(1, momentsOf(plan).length)
  const said = (condition: string, random: Random) => {
    if (random() < SAYS_MOST) return expected[condition]!
    const other = 1 + Math.floor(random() * (words.length - 1))
    return other < expected[condition]! ? other : other + 1
  }
  return {
    from: 'guess',
    truth: (condition) => new Array<number>(times).fill(expected[condition]!),
    draw: (condition, _own, random) => Array.from({ length: times }, () => said(condition, random)),
  }
}

/** So many of the trials give the word that most do. */
export const SAYS_MOST = 0.7

/** One thing before and after: what is expected is what it shows then and then. */
function guessOfItself({ expectedLow: low, expectedHigh: high }: ResolvedMethod, trialSd: number): Model | undefined {
  if (low === null || high === null) return undefined
  return {
    from: 'guess',
    truth: () => [low, high],
    draw: (_condition, _own, random) => [low, high + trialSd * drawNormal(random)],
  }
}

/** Readings of a trial whose result this is: nothing else is known of it, so that they rise evenly. */
function momentsShowing(plan: Plan, result: number): number[] {
  const moments = momentsOf(plan)
  if (moments.length < 2) return [result]
  const counted = countsOf(plan)
  const times = moments.map(({ time }, place) => time ?? place)
  const [first, last] = [times[0]!, times.at(-1)!]
  const part = (time: number) => (last > first ? (time - first) / (last - first) : 1)
  const start = 3 * Math.abs(result)
  switch (counted) {
    case 'change':
      return times.map((time) => start + result * part(time))
    case 'loss':
      return times.map((time) => start - result * part(time))
    case 'of-100':
      return times.map((time) => 100 - result * part(time))
    case 'rate':
      return times.map((time) => result * (time - first))
    case 'until':
      return times.map((time) => (testOf(plan).method!.countsUntil ?? 1) * (result > 0 ? time / result : 1))
    case 'total':
      return times.map(() => result / times.length)
    case 'average':
      return times.map(() => result)
    default:
      return times.map((time) => result * part(time))
  }
}

/**
 * How a child reads where something is: the instrument's own wobble, then its mark.
 * @returns what is read of a value in the unit of the method
 */
export function readOff(method: ResolvedMethod): (value: number, random: Random) => number {
  const sd = Math.hypot(readingSdOf(method), method.timingWobble / method.atOnce)
  // No instrument but a thermometer goes below nought.
  const below = unitOf(method.unit).dimension === 'temperature'
  return (value, random) => {
    const read = roundToMark(value + (sd > 0 ? sd * drawNormal(random) : 0), method.resolution)
    return below || value < 0 ? read : Math.max(0, read)
  }
}
