import { activeConditions, type Plan } from '../lesson'
import { kindOf, type OrderOfKind } from '../test'
import { arrangementOf, trialsByGroup, turnsTogether, type OwnTrial } from './arrangement'
import { balancedOrder, orderOfRepeat } from './balancedOrder'
import { visitedConditions } from './circuitOf'

/** In which order trials are done: each repeat mixed anew, all of one condition before the next, or as the kind of test has it. */
export type OrderKind = OrderOfKind

/**
 * How a plan orders its trials. Watching over time, a race of all at once and tries that grow out of each other have nothing to mix; at the
 * stations of a circuit each condition is a block.
 */
export function orderKindOf(plan: Plan): OrderKind {
  const asked = kindOf(plan).order(plan)
  if (asked === 'as-written') return asked
  if (kindOf(plan).improves || arrangementOf(plan) === 'circuit') return 'blocks'
  return activeConditions(plan).length < 2 ? 'as-written' : asked
}

const answers = new WeakMap<Plan, Map<string, OwnTrial[]>>()

/**
 * Every group's counted trials in the order in which it does them: the one source for station, grid, timetable, labels and sheets.
 * Trials that are to be done once more come last.
 * @example trialOrderOf(soakUpPlan()).get('g2')![0].condition // => 'tissue'
 */
export function trialOrderOf(plan: Plan): Map<string, OwnTrial[]> {
  const known = answers.get(plan)
  if (known) return known
  const trials = trialsByGroup(plan)
  const answer = new Map(plan.groups.map(({ id }, place) => [id, inOrder(plan, trials.get(id) ?? [], id, place)]))
  answers.set(plan, answer)
  return answer
}

function inOrder(plan: Plan, trials: OwnTrial[], group: string, place: number): OwnTrial[] {
  const rank = rankOf(plan, trials, group, place)
  return trials
    .map((trial, at) => ({ trial, at }))
    .sort((a, b) => rank(a.trial) - rank(b.trial) || a.at - b.at)
    .map(({ trial }) => trial)
}

function rankOf(plan: Plan, trials: OwnTrial[], group: string, place: number): (trial: OwnTrial) => number {
  const many = plan.conditions.length + 1
  const later = (repeat: number) => (repeat > plan.repeats ? many ** 3 : 0)
  if (arrangementOf(plan) === 'together') {
    const turns = turnsTogether(plan).map(({ condition, repeat }) => `${condition}/${repeat}`)
    return ({ condition, repeat }) => later(repeat) + turns.indexOf(`${condition}/${repeat}`)
  }
  const own = activeConditions(plan)
    .map(({ id }) => id)
    .filter((id) => trials.some(({ condition }) => condition === id))
  const kind = orderKindOf(plan)
  if (kind === 'blocks') {
    const visits = blocksOf(plan, own, group, place)
    return ({ condition, repeat }) => later(repeat) + visits.indexOf(condition) * many ** 2 + repeat
  }
  if (kind === 'as-written') return ({ repeat }) => repeat
  const orders = Array.from({ length: plan.repeats }, (_, repeat) => orderOfRepeat(own.length, place, repeat).map((at) => own[at]!))
  return ({ condition, repeat }) => repeat * many + (orders[repeat - 1]?.indexOf(condition) ?? own.indexOf(condition))
}

/** Which condition a group does first, second and so on, where it stays at one until all its repeats are done. */
function blocksOf(plan: Plan, own: string[], group: string, place: number): string[] {
  if (kindOf(plan).improves) return own
  const visited = visitedConditions(plan, group)
  return visited.length > 0 ? visited : balancedOrder(own.length, place % Math.max(1, own.length)).map((at) => own[at]!)
}
