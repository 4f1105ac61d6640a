import { trendOf } from '../evidence'
import { activeConditions, conditionValue, isEachChild, type GraphKind, type LessonRecord, type Plan } from '../lesson'
import { hasNamedMoments, testOf, isWatched, kindOf, type GraphOfKind, type GraphOfWay } from '../test'

/** Why a graph shows these results best. */
export type GraphReason =
  | GraphOfKind['reason']
  | GraphOfWay['reason']
  | 'kinds'
  | 'numbers'
  | 'numbers-bend'
  | 'no-average'
  | 'few-numbers'
  | 'one-for-each-child'

/** What another graph would lose or pretend. */
export type GraphLoss =
  | 'nothing-between-kinds'
  | 'uneven-steps'
  | 'what-happened-between'
  | 'which-belongs-together'
  | 'change-by-itself'
  | 'places-are-no-amounts'
  | 'words-are-no-amounts'
  | 'order-of-tries'
  | 'averages-among-dots'
  | 'class-as-one'
  | 'bend-not-shown'
  | 'bend-not-believed'
  | 'who-has-which'

export interface GraphChoice {
  kind: GraphKind
  /** What is lost with it; undefined for the one that fits. */
  loss: GraphLoss | undefined
}

export interface GraphChoices {
  best: GraphKind
  reason: GraphReason
  /** The best one first, then the others that can be drawn. */
  choices: GraphChoice[]
}

/**
 * Which graph shows these results best, why, and what any other would lose.
 * @example graphChoices(plan, record) // => { best: 'bars', reason: 'kinds', … }
 */
export function graphChoices(plan: Plan, record: LessonRecord): GraphChoices {
  const { best, reason } = bestGraph(plan, record)
  const others = OTHERS[best].filter(({ kind }) => canDraw(plan, kind))
  return { best, reason, choices: [{ kind: best, loss: undefined }, ...others] }
}

/** The graph that is drawn: what the class chose where it can be drawn, else the best one. */
export function graphOf(plan: Plan, record: LessonRecord): GraphKind {
  const { best, choices } = graphChoices(plan, record)
  return choices.some(({ kind }) => kind === plan.graph) ? plan.graph! : best
}

function bestGraph(plan: Plan, record: LessonRecord): { best: GraphKind; reason: GraphReason } {
  const { way, kind } = testOf(plan)
  const own = way.graph(isWatched(plan) && !hasNamedMoments(plan)) ?? kind.graph(plan)
  if (own) return own
  if (isEachChild(plan) && activeConditions(plan).length === 1) return { best: 'histogram', reason: 'one-for-each-child' }
  if (!areNumbers(plan))
    return plan.average === 'none' ? { best: 'number-line', reason: 'no-average' } : { best: 'bars', reason: 'kinds' }
  if (bendShows(trendOf(plan, record))) return { best: 'curve', reason: 'numbers-bend' }
  return { best: 'points', reason: activeConditions(plan).length < 3 ? 'few-numbers' : 'numbers' }
}

const OTHERS: Record<GraphKind, GraphChoice[]> = {
  bars: [
    { kind: 'pairs', loss: 'change-by-itself' },
    { kind: 'by-group', loss: 'class-as-one' },
    { kind: 'number-line', loss: 'averages-among-dots' },
    { kind: 'histogram', loss: 'who-has-which' },
    { kind: 'points', loss: 'nothing-between-kinds' },
  ],
  points: [
    { kind: 'curve', loss: 'bend-not-believed' },
    { kind: 'by-group', loss: 'class-as-one' },
    { kind: 'bars', loss: 'uneven-steps' },
    { kind: 'number-line', loss: 'averages-among-dots' },
  ],
  curve: [
    { kind: 'points', loss: 'bend-not-shown' },
    { kind: 'by-group', loss: 'class-as-one' },
    { kind: 'bars', loss: 'uneven-steps' },
    { kind: 'number-line', loss: 'averages-among-dots' },
  ],
  lines: [
    { kind: 'bars', loss: 'what-happened-between' },
    { kind: 'by-group', loss: 'class-as-one' },
  ],
  stages: [{ kind: 'bars', loss: 'what-happened-between' }],
  pairs: [{ kind: 'bars', loss: 'which-belongs-together' }],
  'number-line': [
    { kind: 'bars', loss: undefined },
    { kind: 'by-group', loss: 'class-as-one' },
  ],
  places: [{ kind: 'bars', loss: 'places-are-no-amounts' }],
  words: [{ kind: 'bars', loss: 'words-are-no-amounts' }],
  tries: [
    { kind: 'bars', loss: 'order-of-tries' },
    { kind: 'by-group', loss: 'class-as-one' },
    { kind: 'number-line', loss: 'averages-among-dots' },
  ],
  'by-group': [],
  histogram: [
    { kind: 'number-line', loss: undefined },
    { kind: 'bars', loss: 'averages-among-dots' },
  ],
}

function canDraw(plan: Plan, kind: GraphKind): boolean {
  // What has no average has no bar.
  if (kind === 'bars' && !testOf(plan).way.ranks) return false
  if (kind === 'by-group') return plan.groups.length > 1 && !isEachChild(plan)
  if (kind === 'histogram') return isEachChild(plan) && testOf(plan).way.isAmount
  if (kind === 'pairs') return kindOf(plan).readsTwice
  if (kind === 'points' && kindOf(plan).readsTwice) return false
  if (kind === 'curve') return areNumbers(plan) && activeConditions(plan).length > 2
  return true
}

/** Do all conditions stand for numbers? */
export function areNumbers(plan: Plan): boolean {
  const conditions = activeConditions(plan)
  return conditions.length > 0 && conditions.every((condition) => conditionValue(plan, condition) !== undefined)
}

/** A pattern with a bend in it is said. */
function bendShows(trend: ReturnType<typeof trendOf>): boolean {
  return trend !== undefined && trend.taken === trend.curve
}
