import { activeConditions, WHOLE_CLASS, type Plan, type Prediction } from '../lesson'
import { isAboutMeasured } from '../test'
import { changesAsked } from './changes'

/** A group's first prediction and what it said later, if it changed its mind. */
export interface GroupPrediction {
  group: string
  /** The last one made before the group's first counted reading: the one that stands. */
  stamped: Prediction | undefined
  /** Later changes of mind, oldest first. */
  later: Prediction[]
}

/** Every group's prediction, in the plan's order of groups. */
export function predictionsByGroup(plan: Plan, predictions: Prediction[]): GroupPrediction[] {
  return plan.groups.map(({ id: group }) => {
    const own = predictions.filter(
      (prediction) => prediction.group === group && prediction.as !== 'challenge' && isAboutMeasured(plan, prediction),
    )
    return {
      group,
      stamped: own.filter((prediction) => !prediction.late).at(-1),
      later: own.filter((prediction) => prediction.late),
    }
  })
}

/** The orders that stand, of the groups that predicted. */
export function stampedOrders(plan: Plan, predictions: Prediction[]): string[][] {
  return predictionsByGroup(plan, predictions).flatMap(({ stamped }) => (stamped ? [stamped.order] : []))
}

/** The numbers that stand, where one thing alone is predicted; none where several are. */
export function guessesOf(plan: Plan, predictions: Prediction[]): number[] {
  const conditions = activeConditions(plan)
  const only = conditions.length === 1 ? conditions[0] : undefined
  return predictionsByGroup(plan, predictions).flatMap(({ stamped }) => {
    const guess = stamped?.as === 'number' && only ? stamped.values[only.id] : undefined
    return guess === undefined ? [] : [guess]
  })
}

/** The class's count of hands that stands: the last one before the first counted reading. */
export function handsOf(plan: Plan, predictions: Prediction[]): Prediction | undefined {
  const counts = predictions.filter((one) => one.group === WHOLE_CLASS && one.as === 'hands' && !one.late)
  return counts.filter((one) => isAboutMeasured(plan, one)).at(-1)
}

export interface TallyRow {
  condition: string
  most: number
  least: number
  /** Hands of the whole class; undefined while they were not counted. */
  hands: number | undefined
}

/** Hands of the whole class together. `allHands({ a: 9, b: 11 }) // 20` */
export function allHands(hands: Record<string, number>): number {
  return Object.values(hands).reduce((sum, one) => sum + one, 0)
}

/** A count of hands as a prediction of the class: who got most hands comes first. */
export function countedHands(plan: Plan, hands: Record<string, number>): Pick<Prediction, 'as' | 'order' | 'values'> {
  const values = Object.fromEntries(activeConditions(plan).map(({ id }) => [id, hands[id] ?? 0]))
  return { as: 'hands', order: orderOfValues(plan, values), values }
}

/** How many groups put each condition first and last, and how many hands it got, in the plan's order of conditions. */
export function tallyOf(plan: Plan, predictions: Prediction[]): TallyRow[] {
  const stamped = stampedOrders(plan, predictions)
  const hands = handsOf(plan, predictions)
  return activeConditions(plan).map(({ id }) => ({
    condition: id,
    most: stamped.filter((order) => order[0] === id).length,
    least: stamped.filter((order) => order.length > 1 && order.at(-1) === id).length,
    hands: hands ? (hands.values[id] ?? 0) : undefined,
  }))
}

/**
 * How many groups say that it goes up, stays or goes down, by condition: the tally of before and after.
 * @example changeTally(plan, [])[0] // => { condition: 'tissue', up: 0, same: 0, down: 0 }
 */
export function changeTally(
  plan: Plan,
  predictions: Prediction[],
): { condition: string; up: number; same: number; down: number }[] {
  const stamped = predictionsByGroup(plan, predictions).flatMap((one) => (one.stamped?.as === 'change' ? [one.stamped.values] : []))
  const saying = (id: string, way: number) => stamped.filter((values) => values[id] === way).length
  return changesAsked(plan).map((id) => ({
    condition: id,
    up: saying(id, 1),
    same: saying(id, 0),
    down: saying(id, -1),
  }))
}

/** The order that expected results stand for, the most first; what is equal keeps the plan's order. */
export function orderOfValues(plan: Plan, values: Record<string, number>): string[] {
  const known = activeConditions(plan).filter(({ id }) => values[id] !== undefined)
  return known.sort((a, b) => values[b.id]! - values[a.id]!).map(({ id }) => id)
}
