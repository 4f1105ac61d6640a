import { averageOf, classAverages, evidenceOf, summarise, trendOf, type Evidence } from '../evidence'
import { activeConditions, conditionName, conditionValue, letterOf, type GraphKind, type LessonRecord, type Plan } from '../lesson'
import { canBeNothing, countedPlace, countsOf, hasNamedMoments, resultUnit, testOf } from '../test'
import { unitOf, isAmount, isWord, type ResultUnit } from '../quantity'
import { trialResults, wordCounts } from '../record'
import { axisFor, type Axis } from './axis'
import { areNumbers, graphOf } from './choose'
import { readingDots, workedOutDots, type ResultDot } from './dots'
import { linesOf, momentDots, pairsOf, type ResultLine } from './overMoments'
import { heapsOf, type Bin } from './histogram'
import { stagesOf, type StageBand } from './stages'

export interface ResultMark {
  condition: string
  letter: string
  name: string
  /** Place in the plan, for colour and hatch. */
  place: number
  /** Where it stands: 0, 1, 2 for kinds, its own number for numbers. */
  x: number
  /** The figure that the class uses; undefined without readings, or where the class uses none. */
  average: number | undefined
  /** Ordered words only: how often each was chosen. */
  counts: number[]
}

/** One group's own panel, conditions at 0, 1, 2. */
export interface ResultPanel {
  group: string
  /** The group's own figure of each condition that has one. */
  averages: { x: number; average: number }[]
  dots: ResultDot[]
}

export interface ResultsGraph {
  kind: GraphKind
  unit: ResultUnit
  marks: ResultMark[]
  /** Over the moments of a trial; empty elsewhere. */
  lines: ResultLine[]
  /** A value known from elsewhere, where it is of the kind that stands at the axis. */
  known: number | undefined
  /** It lies so far off that the axis ends before it, and its line stands behind a gap. */
  knownFar: 'above' | 'below' | undefined
  /** Words over times: what each condition was in the middle of its trials, from when to when; empty elsewhere. */
  bands: StageBand[]
  /** One trial's value before and after; empty elsewhere. */
  pairs: [before: number, after: number][]
  /** The line or bend that is said, point by point; empty elsewhere. */
  curve: [x: number, y: number][]
  /** How often each size came, for each condition on the same steps; empty where nothing is heaped up. */
  heaps: Bin[][]
  /** A panel for each group, where they stand apart. */
  panels: ResultPanel[]
  dots: ResultDot[]
  axis: Axis
  /** Along the bottom, for numbers and for times. */
  across: Axis | undefined
}

const SPREAD = 0.6
const CURVE_STEPS = 40
const ON_NUMBERS: GraphKind[] = ['points', 'curve']
const OVER_MOMENTS: GraphKind[] = ['lines', 'pairs']
const FROM_ZERO: GraphKind[] = ['bars', 'points', 'curve', 'tries', 'by-group']

/**
 * What is on the graph, every result as a dot: on the graph the class chose, or on the one that fits (choose.ts). Dots of kinds lie side by side in
 * the order of the groups, so that none hides another.
 * @returns undefined while nothing is measured
 */
export function resultsGraph(plan: Plan, record: LessonRecord): ResultsGraph | undefined {
  const { method } = testOf(plan)
  if (!method) return undefined
  const kind = graphOf(plan, record)
  const marks = marksOf(plan, record, kind)
  const unit = unitOn(plan, kind)
  const dots = OVER_MOMENTS.includes(kind) ? momentDots(plan, record) : dotsOf(plan, record, marks, kind)
  const ordinal = !isAmount(unit)
  // Degrees have no zero that a bar could stand on; what can be nothing stands on that, up where it is more and down where it is less.
  const standsOnZero = canBeNothing(plan) || (unitOf(unit).dimension !== 'temperature' && !ordinal)
  const withZero =
    (FROM_ZERO.includes(kind) && standsOnZero) || (kind === 'lines' && canBeNothing(plan) && countedPlace(plan) === 'apart')
  const known = knownOn(plan, kind)
  const bands = kind === 'stages' ? stagesOf(plan, record) : []
  const values = [...dots.map((dot) => dot.value), ...(ordinal ? scaleOf(plan) : []), ...watchedFor(plan)]
  const near = axisFor(values, withZero, resultUnit(plan))
  const knownFar = known === undefined || values.length === 0 ? undefined : farFrom(near, known)
  const withKnown = known === undefined || knownFar ? near : axisFor([...values, known], withZero, resultUnit(plan))
  return {
    kind,
    unit,
    marks,
    lines: OVER_MOMENTS.includes(kind) ? linesOf(plan, record, marks) : [],
    pairs: kind === 'pairs' ? pairsOf(plan, record) : [],
    curve: kind === 'curve' ? curveOf(plan, record) : [],
    heaps: kind === 'histogram' ? heapsOn(marks, dots, unit) : [],
    panels: kind === 'by-group' ? plan.groups.map(({ id }) => panelOf(plan, record, marks, dots, id)) : [],
    dots,
    known,
    knownFar,
    bands,
    axis: kind === 'stages' ? timesAxis(plan) : withKnown,
    across: acrossOf(plan, kind, marks),
  }
}

/** What counts of each condition, heaped up. */
function heapsOn(marks: ResultMark[], dots: ResultDot[], unit: ResultUnit): Bin[][] {
  return heapsOf(
    marks.map(({ condition }) => dots.filter((dot) => dot.counted && dot.condition === condition).map(({ value }) => value)),
    unit,
  )
}

/** Over the moments of a trial stand its readings; elsewhere what counts. */
function unitOn(plan: Plan, kind: GraphKind): ResultUnit {
  const read = testOf(plan).unit
  if (kind === 'stages') return plan.watch.unit
  return kind === 'lines' || kind === 'pairs' || kind === 'words' ? read : resultUnit(plan)
}

const WITH_KNOWN: GraphKind[] = ['bars', 'points', 'curve', 'number-line', 'tries', 'by-group']

function knownOn(plan: Plan, kind: GraphKind): number | undefined {
  const known = testOf(plan).method!.known ?? undefined
  const asRead = kind === 'lines' && ['last', 'average', 'highest'].includes(countsOf(plan))
  return asRead || (WITH_KNOWN.includes(kind) && !isWord(resultUnit(plan))) ? known : undefined
}

/** An axis that reached so many times as far would press what was found into a line. */
const FAR = 2

function farFrom({ from, to }: Axis, known: number): ResultsGraph['knownFar'] {
  const room = FAR * (to - from)
  return known > to + room ? 'above' : known < from - room ? 'below' : undefined
}

/** A bar of something that was not reached goes as far as anybody watched. */
function watchedFor(plan: Plan): number[] {
  return countsOf(plan) === 'until' ? [Math.max(...plan.watch.times)] : []
}

function marksOf(plan: Plan, record: LessonRecord, kind: GraphKind): ResultMark[] {
  const evidence = OVER_MOMENTS.includes(kind) ? undefined : evidenceOf(plan, record)
  const averages = averagesOn(plan, evidence)
  const numbers = ON_NUMBERS.includes(kind) && areNumbers(plan)
  const counts = kind === 'words' ? wordCounts(plan, record.readings) : []
  return activeConditions(plan).map((condition, place) => ({
    condition: condition.id,
    letter: letterOf(plan, condition.id),
    name: conditionName(plan, condition),
    place: plan.conditions.indexOf(condition),
    x: numbers ? conditionValue(plan, condition)! : place,
    average: averages.get(condition.id),
    counts: counts.find((one) => one.condition === condition.id)?.counts ?? [],
  }))
}

/** Of words without an order, what most said, where one word did. */
function averagesOn(plan: Plan, evidence: Evidence | undefined): Map<string, number> {
  if (evidence?.sorted)
    return new Map(
      evidence.sorted.said.flatMap(({ condition, most }) => (most.length === 1 ? [[condition, most[0]!] as const] : [])),
    )
  return evidence ? classAverages(plan, evidence) : new Map()
}

function panelOf(plan: Plan, record: LessonRecord, marks: ResultMark[], dots: ResultDot[], group: string): ResultPanel {
  const results = trialResults(plan, record.readings).filter((result) => result.group === group)
  return {
    group,
    averages: marks.flatMap(({ condition }, x) => {
      const summary = summarise(results.filter((result) => result.condition === condition).map(({ value }) => value))
      const average = summary && averageOf(summary, plan.average)
      return average === undefined ? [] : [{ x, average }]
    }),
    dots: dots
      .filter((dot) => dot.group === group)
      .map((dot) => ({ ...dot, x: marks.findIndex(({ condition }) => condition === dot.condition) })),
  }
}

/** From the start on; there is no half a day of reading. */
function timesAxis({ watch }: Plan): Axis {
  const axis = axisFor(watch.times, true)
  return watch.times.every(Number.isInteger) && axis.step < 1 ? { ...axis, step: 1 } : axis
}

function acrossOf(plan: Plan, kind: GraphKind, marks: ResultMark[]): Axis | undefined {
  if (kind === 'lines') return hasNamedMoments(plan) ? undefined : timesAxis(plan)
  if (!ON_NUMBERS.includes(kind) || !areNumbers(plan)) return undefined
  return axisFor(
    marks.map((mark) => mark.x),
    false,
    plan.conditionUnit,
  )
}

/** The whole scale of words or places, so that the best and the worst are seen even when nobody got there. */
function scaleOf(plan: Plan): number[] {
  const { way, words } = testOf(plan)
  return [1, way.fromWords ? words.length : activeConditions(plan).length].filter((value) => value > 0)
}

function curveOf(plan: Plan, record: LessonRecord): [number, number][] {
  const trend = trendOf(plan, record)
  if (!trend) return []
  return Array.from({ length: CURVE_STEPS + 1 }, (_, step): [number, number] => {
    const x = trend.from + ((trend.to - trend.from) * step) / CURVE_STEPS
    return [x, trend.taken.at(x)]
  })
}

function dotsOf(plan: Plan, record: LessonRecord, marks: ResultMark[], kind: GraphKind): ResultDot[] {
  const groups = plan.groups.map((group) => group.id)
  const alone = (ON_NUMBERS.includes(kind) && areNumbers(plan)) || kind === 'by-group'
  const dots = countsOf(plan) === 'reading' ? readingDots(plan, record) : workedOutDots(plan, record)
  return dots.flatMap(({ moment: _moment, ...dot }) => {
    const mark = marks.find((one) => one.condition === dot.condition)
    const aside = alone ? 0 : ((groups.indexOf(dot.group) + 0.5) / groups.length - 0.5) * SPREAD
    return mark ? [{ ...dot, x: mark.x + aside }] : []
  })
}
