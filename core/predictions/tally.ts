import { activeConditions, type Plan, type Prediction } from '../lesson'

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
    const own = predictions.filter((prediction) => prediction.group === group)
    return {
      group,
      stamped: own.filter((prediction) => !prediction.late).at(-1),
      later: own.filter((prediction) => prediction.late),
    }
  })
}

/** How many groups put each condition first and last, in the plan's order of conditions. */
export function tallyOf(plan: Plan, predictions: Prediction[]): { condition: string; most: number; least: number }[] {
  const stamped = predictionsByGroup(plan, predictions).flatMap((one) => (one.stamped ? [one.stamped.order] : []))
  return activeConditions(plan).map(({ id }) => ({
    condition: id,
    most: stamped.filter((order) => order[0] === id).length,
    least: stamped.filter((order) => order.length > 1 && order.at(-1) === id).length,
  }))
}
