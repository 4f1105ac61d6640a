import { classAverages, evidenceOf } from '../evidence'
import { activeConditions, conditionValue, levelName, type LessonRecord, type Plan } from '../lesson'
import { canBeNothing, eachSeries, resultUnit, seriesIn } from '../test'
import { unitOf, type ResultUnit } from '../quantity'
import { axisFor, type Axis } from './axis'
import { areNumbers } from './choose'
import { workedOutDots, type ResultDot } from './dots'

/** One series: its averages level by level. */
export interface SeriesLine {
  id: string
  name: string
  /** Which of the series, for its symbol, dashes and hatch. */
  place: number
  points: { level: string; x: number; average: number | undefined }[]
}

export interface SeriesGraph {
  unit: ResultUnit
  /** What was changed, in the order of the plan. */
  levels: string[]
  lines: SeriesLine[]
  dots: ResultDot[]
  axis: Axis
  /** Along the bottom where the levels are numbers; else they stand side by side, a bar for each series. */
  across: Axis | undefined
}

/** Share of a level's room that its bars take. */
const BARS_TAKE = 0.8

/**
 * All series of a lesson on one graph: a line for each over numbers, a bar for each over kinds, every result as a dot.
 * @returns undefined where the lesson has no series
 */
export function seriesGraph(plan: Plan, record: LessonRecord): SeriesGraph | undefined {
  const series = seriesIn(plan)
  if (series.length === 0) return undefined
  const levels = [...new Set(activeConditions(plan).map((one) => levelName(plan, one)))]
  const numbers = areNumbers(plan)
  const xOf = (view: Plan, id: string, place: number): number => {
    const condition = view.conditions.find((one) => one.id === id)!
    if (numbers) return conditionValue(view, condition)!
    return levels.indexOf(levelName(view, condition)) + ((place + 0.5) / series.length - 0.5) * BARS_TAKE
  }
  const views = eachSeries(plan)
  const lines = views.map(({ plan: view, series: own }, place): SeriesLine => {
    const evidence = evidenceOf(view, record)
    const averages = evidence ? classAverages(view, evidence) : new Map<string, number>()
    const points = activeConditions(view).map((one) => ({
      level: levelName(view, one),
      x: xOf(view, one.id, place),
      average: averages.get(one.id),
    }))
    return { id: own!.id, name: own!.name.trim() || 'no name yet', place, points }
  })
  const dots = views.flatMap(({ plan: view }, place) =>
    workedOutDots(view, record).map(({ moment: _moment, ...dot }) => ({ ...dot, x: xOf(view, dot.condition, place) })),
  )
  const unit = resultUnit(plan)
  const withZero = canBeNothing(plan) || unitOf(unit).dimension !== 'temperature'
  return {
    unit,
    levels,
    lines,
    dots,
    axis: axisFor(
      dots.map(({ value }) => value),
      withZero,
      unit,
    ),
    across: numbers
      ? axisFor(
          lines.flatMap(({ points }) => points.map(({ x }) => x)),
          false,
          plan.conditionUnit,
        )
      : undefined,
  }
}
