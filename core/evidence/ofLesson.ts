import { oncePerPair } from '../chance'
import { specimensOf } from '../arrangement'
import { activeConditions, conditionValue, isEachChild, type LessonRecord, type Plan } from '../lesson'
import {
  canBeNothing,
  comesAgain,
  comparesMoments,
  countedPlace,
  countsOf,
  eachMeasure,
  forSeries,
  isAlsoSeen,
  isBySize,
  mainView,
  resultMark,
  seriesIn,
  testOf,
  viewsBeside,
  comparesWithItself,
  type ResolvedMethod,
} from '../test'
import { methodTotalSd } from '../measuring'
import { atTheirEnd, averagesByMoment, hasEmptyPlaces, signedResults, trialResults, type TrialResult } from '../record'
import { oncePerReader, oneApparatus, resultsInBlocks } from './blocks'
import { unfairAmong } from './fairly'
import { changesFromNothing } from './fromNothing'
import { agreementOn, NOTHING_WEIGHED, weighEvidence, type Evidence, type EvidenceOptions, type Grade } from './grade'
import { oneOfFamily, withLimit } from './heldBack'
import { againstKnown } from './known'
import { learnedWobble } from './learned'
import { againstItself, stepsOf } from './moments'
import { weighOrder } from './ordering'
import { pooledGrade } from './pooled'
import { asWeakAs, withSetAsideBack } from './setAside'
import { weighSorts } from './sorting'
import { weighTimesUntil } from './timesUntil'

/**
 * The evidence of a lesson as it stands; undefined while nothing is chosen to measure. Conditions come in the plan's order, and only fair ones are
 * compared. Of several measures the first is meant, of several series the first. One thing read before and after is compared with itself: `before` and `after` stand for the conditions then.
 */
export const evidenceOf = oncePerPair((plan: Plan, record: LessonRecord): Evidence | undefined => {
  if (plan.alsoMeasured.length > 0) return evidenceOf(eachMeasure(plan)[0]!, record)
  const [first] = seriesIn(plan)
  if (first) return evidenceOf(forSeries(plan, first), record)
  const own = byItself(plan, record)
  const beside = viewsBeside(plan)
  if (!own || !beside.includes(plan)) return own
  // A question that was named before anything was read stands alone.
  if (mainView(plan, record.readings)) return isAlsoSeen(plan, record.readings) ? withLimit(own, 'also-seen') : own
  return oneOfFamily(
    own,
    beside.flatMap((view) => byItself(view, record) ?? []),
  )
})

/** What one measure in one series says, as if nothing else were asked; no surer than with what was set aside after results could be seen. */
const byItself = oncePerPair((plan: Plan, record: LessonRecord): Evidence | undefined => {
  const own = asItStands(plan, record)
  const back = own && withSetAsideBack(record)
  const restored = back && asItStands(plan, back.record)
  return restored ? asWeakAs(own, restored, back.readings) : own
})

function asItStands(plan: Plan, record: LessonRecord): Evidence | undefined {
  const { method } = testOf(plan)
  if (!method) return undefined
  const options = optionsOf(plan, record, method)
  const steps = stepsOf(plan, record, options)
  if (comparesWithItself(plan) || comparesMoments(plan))
    return { ...againstItself(plan, record, activeConditions(plan)[0]!.id, options), steps }
  const results = resultsInBlocks(plan, record)
  const notFair = unfairAmong(plan, [...new Set(results.map(({ condition }) => condition))])
  const compared = notFair ? results.filter(({ condition }) => notFair.compared.includes(condition)) : results
  const evidence = weighed(plan, record, compared, options)
  return {
    ...evidence,
    ...(notFair ? unfairly(plan, evidence, results, options, notFair) : {}),
    agreement: agreementOf(plan, record, evidence),
    fromNothing: canBeNothing(plan)
      ? changesFromNothing(signedInBlocks(plan, record, results), options, evidence.limits, against(plan))
      : [],
    known: againstKnown(plan, results, evidence.summaries, options, evidence.limits),
    steps,
    atPlaces: readsTwoPlaces(plan) ? averagesByMoment(plan, record.readings) : [],
    atLeast: atTheirEnd(plan, record.readings),
  }
}

function weighed(plan: Plan, record: LessonRecord, results: TrialResult[], options: EvidenceOptions): Evidence {
  const { way } = testOf(plan)
  if (countsOf(plan) === 'until') return weighTimesUntil(results, options)
  if (!way.ranks) return weighSorts(results, options)
  if (way.isAmount) return weighEvidence(oncePerReader(plan, record, results), options, results)
  return weighOrder(results, way.fromWords ? 'words' : 'places', options)
}

/**
 * The evidence of one group's own readings: its table, and what it says by itself.
 * @example evidenceOfGroup(soakUpPlan(), EMPTY_RECORD, 'g1')!.grade // => 'nothing-yet'
 */
export function evidenceOfGroup(plan: Plan, record: LessonRecord, group: string): Evidence | undefined {
  return evidenceOf(plan, readingsOfGroup(record, group))
}

/** The record with only one group's readings. */
export function readingsOfGroup(record: LessonRecord, group: string): LessonRecord {
  return { ...record, readings: record.readings.filter((reading) => reading.group === group) }
}

/** Averages of everything that was read; a grade only where two of the conditions are a fair comparison. */
function unfairly(
  plan: Plan,
  evidence: Evidence,
  results: TrialResult[],
  options: EvidenceOptions,
  notFair: NonNullable<Evidence['notFair']>,
): Partial<Evidence> {
  const { summaries, sorted: all } = !testOf(plan).way.ranks
    ? weighSorts(results, options)
    : results.every(({ value }) => Number.isFinite(value))
      ? weighEvidence(results, options)
      : weighTimesUntil(results, options)
  // What was said of everything is shown; what is told apart is told of what is compared.
  const sorted = all && { said: all.said, agreeing: evidence.sorted?.agreeing, test: evidence.sorted?.test }
  return notFair.compared.length > 0
    ? {
        summaries: summaries.map((one) => evidence.summaries.find(({ condition }) => condition === one.condition) ?? one),
        sorted,
        notFair,
      }
    : { ...NOTHING_WEIGHED, summaries, sorted, grade: 'not-fair', notFair }
}

/** Two places are read with one instrument at one time: it has no way to drift between them, and nothing that stays the same could be put beside them. */
function against(plan: Plan): 'nothing' | 'value' {
  return readsTwoPlaces(plan) ? 'value' : 'nothing'
}

/** Does the difference between two places count, read at one time. */
function readsTwoPlaces(plan: Plan): boolean {
  return countedPlace(plan) === 'apart' && plan.watch.times.length === 1
}

/** Whether a thing gained or lost is never only its size. */
function signedInBlocks(plan: Plan, record: LessonRecord, results: TrialResult[]): TrialResult[] {
  return isBySize(plan) ? resultsInBlocks(plan, record, signedResults(plan, record.readings)) : results
}

/** Everybody takes turns at the same apparatus: there are no groups that could agree. Children agree one by one, whoever shares a thing. */
function agreementOf(plan: Plan, record: LessonRecord, evidence: Evidence): Evidence['agreement'] {
  if (oneApparatus(plan)) return undefined
  const [winner] = evidence.order
  if (!isEachChild(plan) || !evidence.agreement || winner === undefined) return evidence.agreement
  const results = trialResults(plan, record.readings)
  return agreementOn(winner, testOf(plan).way.isPlace ? results.map((one) => ({ ...one, value: -one.value })) : results)
}

function optionsOf(plan: Plan, { readings }: LessonRecord, method: ResolvedMethod): EvidenceOptions {
  return {
    resolution: resultMark(plan),
    totalSd: methodTotalSd(plan, method, learnedWobble(plan, readings)),
    differenceThatMatters: method.differenceThatMatters,
    sameThing: comesAgain(plan),
    oneSpecimen: specimensOf(plan) === 'one',
    unfinished: !plan.gapsStay && hasEmptyPlaces(plan, readings),
    numbers: numbersOf(plan),
  }
}

/** What the conditions stand for; undefined where one of them is no number, or where fewer than three are. */
function numbersOf(plan: Plan): Map<string, number> | undefined {
  const values = activeConditions(plan).flatMap((one): [string, number][] => {
    const value = conditionValue(plan, one)
    return value === undefined ? [] : [[one.id, value]]
  })
  return values.length === activeConditions(plan).length && new Set(values.map(([, value]) => value)).size >= FEWEST_NUMBERS
    ? new Map(values)
    : undefined
}

const FEWEST_NUMBERS = 3

/** While every reading counted by itself. */
const FIRST_ON_CELLS = 7

/**
 * The grade that a lesson begun before version 7 had, where it has another one now; undefined where nothing changed.
 * @example judgedBefore(plan, record) // => undefined
 */
export function judgedBefore(plan: Plan, record: LessonRecord): Grade | undefined {
  if (plan.begunIn >= FIRST_ON_CELLS || !testOf(plan).way.isAmount || comparesWithItself(plan) || countsOf(plan) === 'until')
    return undefined
  const results = resultsInBlocks(plan, record)
  const now = evidenceOf(plan, record)?.grade
  if (new Set(results.map(({ condition }) => condition)).size < 2) return undefined
  const before = pooledGrade(results, resultMark(plan))
  return before === now ? undefined : before
}
