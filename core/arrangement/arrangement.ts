import { activeConditions, isEachChild, type ArrangementWay, type Plan } from '../lesson'
import { kindOf } from '../test'
import { orderOfRepeat } from './balancedOrder'
import { shareOut } from './shareOut'

export interface OwnTrial {
  condition: string
  repeat: number
}

/** The arrangements that a kind of test can have. Where each child has its own, each does everything. One condition can neither be shared out nor walked around. */
export function arrangementsFor(plan: Plan): ArrangementWay[] {
  if (isEachChild(plan)) return ['every-group']
  const several = activeConditions(plan).length > 1
  return kindOf(plan).arrangements.filter((way) => several || (way !== 'share-out' && way !== 'circuit'))
}

/** The arrangement that holds: what the plan says where its kind of test can have it, else every group everything. */
export function arrangementOf(plan: Plan): ArrangementWay {
  return arrangementsFor(plan).includes(plan.arrangement.way) ? plan.arrangement.way : 'every-group'
}

/** The fewest conditions a group can do when shared out: two, so that it can compare, and enough for every condition to be done twice. */
export function fewestShared(plan: Plan): number {
  const conditions = activeConditions(plan).length
  const twice = Math.ceil((2 * conditions) / Math.max(1, plan.groups.length))
  return Math.min(conditions, Math.max(2, twice))
}

/** How many conditions each group really does: what the plan says, within what makes sense. */
export function conditionsEach(plan: Plan): number {
  const conditions = activeConditions(plan).length
  if (arrangementOf(plan) !== 'share-out') return conditions
  return Math.max(fewestShared(plan), Math.min(conditions, plan.arrangement.each))
}

/** Which conditions each group does, in the plan's order, by group id. */
export function conditionsByGroup(plan: Plan): Map<string, string[]> {
  const ids = activeConditions(plan).map(({ id }) => id)
  const way = arrangementOf(plan)
  if (way === 'share-out') {
    const baseline = activeConditions(plan).findIndex((condition) => condition.baseline)
    const shares = shareOut({
      groups: plan.groups.length,
      conditions: ids.length,
      each: conditionsEach(plan),
      ...(plan.arrangement.baselineInEvery && baseline >= 0 ? { inEvery: baseline } : {}),
    })
    return new Map(plan.groups.map(({ id }, place) => [id, shares[place]!.map((at) => ids[at]!)]))
  }
  if (way === 'together') {
    const trials = trialsByGroup(plan)
    return new Map(
      plan.groups.map(({ id }) => [id, ids.filter((one) => trials.get(id)!.some(({ condition }) => condition === one))]),
    )
  }
  return new Map(plan.groups.map(({ id }) => [id, ids]))
}

/**
 * The counted trials of each group, condition by condition. All together at one apparatus the class does each trial once, and
 * the groups take turns: how many trials they have differs by at most one. Trials that are to be done once more come last.
 */
export function trialsByGroup(plan: Plan): Map<string, OwnTrial[]> {
  const usual = usualTrials(plan)
  const active = new Set(activeConditions(plan).map(({ id }) => id))
  for (const { group, condition, repeat } of plan.retests) {
    const own = usual.get(group)
    const known = own?.some((trial) => trial.condition === condition && trial.repeat === repeat)
    if (own && !known && active.has(condition)) own.push({ condition, repeat })
  }
  if (plan.notDone.length === 0) return usual
  const notDone = new Set(plan.notDone.map(({ group, condition, repeat }) => `${group}/${condition}/${repeat}`))
  return new Map(
    [...usual].map(([group, own]) => [
      group,
      own.filter(({ condition, repeat }) => !notDone.has(`${group}/${condition}/${repeat}`)),
    ]),
  )
}

/**
 * How many runs these trials are: a race runs all its conditions at once, and is one.
 * @example runsOf({ kind: 'order' }, [{ condition: 'a', repeat: 1 }, { condition: 'b', repeat: 1 }]) // => 1
 */
export function runsOf({ kind }: Pick<Plan, 'kind'>, trials: { condition: string; repeat: number }[]): number {
  return kindOf({ kind }).allAtOnce ? new Set(trials.map(({ repeat }) => repeat)).size : trials.length
}

/**
 * How many runs a group does from its first practice to its last trial, for jobs that turn with them.
 * @example runsInAll(soakUpPlan({ practice: 1 }), 'g1') // => 16
 */
export function runsInAll(plan: Plan, group: string): number {
  const tried = practiceByGroup(plan)
    .get(group)!
    .map((condition) => ({ condition, repeat: 1 }))
  return runsOf(plan, trialsByGroup(plan).get(group)!) + runsOf(plan, tried) * plan.practice
}

function usualTrials(plan: Plan): Map<string, OwnTrial[]> {
  if (arrangementOf(plan) === 'together') return turns(plan)
  const repeats = Array.from({ length: plan.repeats }, (_, place) => place + 1)
  const absent = childrenAway(plan)
  return new Map(
    [...conditionsByGroup(plan)].map(([group, conditions]) => [
      group,
      (absent.has(group) ? [] : conditions).flatMap((condition) => repeats.map((repeat) => ({ condition, repeat }))),
    ]),
  )
}

/** Children with a record of their own who are not there: nothing is left open for them, and what they wrote down before stays. */
function childrenAway(plan: Plan): Set<string> {
  return new Set(isEachChild(plan) ? plan.groups.filter(({ away }) => away.length > 0).map(({ id }) => id) : [])
}

/**
 * Practice trials, by group. In turns at one apparatus each condition is tried by one group, going round.
 * @returns the conditions that the group tries, each `plan.practice` times
 */
export function practiceByGroup(plan: Plan): Map<string, string[]> {
  if (arrangementOf(plan) !== 'together') return conditionsByGroup(plan)
  const ids = activeConditions(plan).map(({ id }) => id)
  return new Map(plan.groups.map(({ id }, place) => [id, ids.filter((_, at) => at % plan.groups.length === place)]))
}

/**
 * The class's turns at one apparatus, in order. A race runs all its conditions at once and is one turn; other trials are mixed anew in
 * every repeat, so that what changes with time falls on all conditions alike.
 */
export function turnsTogether(plan: Plan): OwnTrial[] {
  const ids = activeConditions(plan).map(({ id }) => id)
  const asked = kindOf(plan).order(plan)
  const mixed = asked === 'mixed'
  const repeats = Array.from({ length: plan.repeats }, (_, at) => at)
  if (asked === 'blocks') return ids.flatMap((condition) => repeats.map((at) => ({ condition, repeat: at + 1 })))
  return repeats.flatMap((at) => {
    const order = mixed ? orderOfRepeat(ids.length, 0, at) : ids.map((_, place) => place)
    return order.map((place) => ({ condition: ids[place]!, repeat: at + 1 }))
  })
}

/** Since then no group has the same condition twice where it can be helped. */
const SPREAD_SINCE = 15

/**
 * Turn by turn through the groups: whoever had fewest turns is next, and of those who had this condition least, since what one of them reads of it counts once. A lesson begun
 * before version 15 keeps the turns that it has readings of.
 */
function turns(plan: Plan): Map<string, OwnTrial[]> {
  if (kindOf(plan).allAtOnce || plan.begunIn < SPREAD_SINCE) return turnsInRounds(plan)
  const trials = new Map(plan.groups.map(({ id }): [string, OwnTrial[]] => [id, []]))
  for (const trial of turnsTogether(plan)) {
    const before = (one: OwnTrial[], other: OwnTrial[]) =>
      one.length - other.length || timesOf(one, trial.condition) - timesOf(other, trial.condition)
    const [next] = [...trials.values()].sort(before)
    next?.push(trial)
  }
  changeOver([...trials.values()], Math.ceil(plan.repeats / Math.max(1, plan.groups.length)))
  return trials
}

function timesOf(own: OwnTrial[], condition: string): number {
  return own.filter((trial) => trial.condition === condition).length
}

/** Two groups change over a trial each as long as one has a condition too often and that helps. */
function changeOver(groups: OwnTrial[][], most: number): void {
  for (const own of groups)
    for (const [place, { condition }] of own.entries()) {
      if (timesOf(own, condition) <= most) continue
      const wants = (other: OwnTrial[]) => timesOf(other, condition) < most
      const gives = ({ condition: instead }: OwnTrial) => timesOf(own, instead) < most
      const other = groups.find((one) => wants(one) && one.some(gives))
      if (!other) continue
      const at = other.findIndex(gives)
      ;[own[place], other[at]] = [other[at]!, own[place]!]
    }
}

/** After each whole round of both it shifts by one, so that no group always has the same condition. */
function turnsInRounds(plan: Plan): Map<string, OwnTrial[]> {
  const size = activeConditions(plan).length
  const groups = plan.groups.map(({ id }) => id)
  const trials = new Map(groups.map((id): [string, OwnTrial[]] => [id, []]))
  if (groups.length === 0) return trials
  const round = commonMultiple(Math.max(1, size), groups.length)
  for (const [turn, trial] of turnsTogether(plan).entries()) {
    const whole = kindOf(plan).allAtOnce ? trial.repeat - 1 : turn + Math.floor(turn / round)
    trials.get(groups[whole % groups.length]!)!.push(trial)
  }
  return trials
}

function commonMultiple(a: number, b: number): number {
  let [high, low] = [a, b]
  while (low > 0) [high, low] = [low, high % low]
  return (a * b) / high
}
