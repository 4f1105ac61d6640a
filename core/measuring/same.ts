import { drawNormal, seededRandom, tLeaving } from '../chance'
import { activeConditions, ownersIn, type Plan } from '../lesson'
import { resultMark, testOf, comparesWithItself } from '../test'
import { arrangementOf, conditionsByGroup } from '../arrangement'
import { methodTotalSd, ownOf } from './planned'
import type { LearnedWobble } from './wobble'

interface SameAsk {
  conditions: number
  /** How many groups do each condition. */
  groups: number
  repeats: number
  /** Wobble of one reading, and how far one group's own thing differs from another's. */
  sd: number
  own: number
  /** Averages this close are the same. */
  within: number
  resolution: number
}

const DRAWS = 4000
const SEED = 17
const BOTH_SIDES_OF_90 = 0.1

/**
 * How often a class can say that conditions are the same, where nothing in them differs: the 90 % interval of every pair of averages has
 * to lie within what matters. Cell means are drawn as the evidence weighs them (seeded, 4000 classes).
 * @example chanceOfSame({ conditions: 2, groups: 7, repeats: 3, sd: 0.4, own: 0.2, within: 1, resolution: 0.5 }) // => 1
 */
export function chanceOfSame({ conditions, groups, repeats, sd, own, within, resolution }: SameAsk): number {
  const df = (conditions - 1) * (groups - 1)
  if (df < 1 || within <= 0) return 0
  const random = seededRandom(SEED)
  const variance = sd ** 2 / repeats + own ** 2
  const least = resolution ** 2 / (12 * repeats)
  const t = tLeaving(BOTH_SIDES_OF_90, df)
  let same = 0
  for (let draw = 0; draw < DRAWS; draw += 1) {
    const averages = Array.from({ length: conditions }, () => Math.sqrt(variance / groups) * drawNormal(random))
    const square = Math.max(least, (variance * chiSquared(df, random)) / df)
    if (Math.max(...averages) - Math.min(...averages) + t * Math.sqrt((2 * square) / groups) < within) same += 1
  }
  return same / DRAWS
}

function chiSquared(df: number, random: () => number): number {
  let sum = 0
  for (let part = 0; part < df; part += 1) sum += drawNormal(random) ** 2
  return sum
}

/**
 * Does the teacher expect that nothing differs: every condition to give the same result?
 * @example expectsTheSame(soakUpPlan()) // => false
 */
export function expectsTheSame(plan: Plan): boolean {
  const { amount: method } = testOf(plan)
  if (!method || method.expectedLow === null) return false
  const single = activeConditions(plan).flatMap(({ id }) => method.expected[id] ?? [])
  return method.expectedLow === method.expectedHigh && single.every((value) => value === method.expectedLow)
}

/**
 * The same for a plan as it stands: what the class can say if nothing differs. One thing read before and after is compared with itself.
 * @returns undefined where no number is measured, or nobody said which difference matters
 * @example chanceOfSameNow(soakUpPlan()) // => undefined
 */
export function chanceOfSameNow(plan: Plan, learned?: LearnedWobble): number | undefined {
  const { amount: method } = testOf(plan)
  const active = activeConditions(plan).length
  if (!method || method.differenceThatMatters <= 0 || active === 0 || plan.groups.length === 0) return undefined
  const withItself = comparesWithItself(plan)
  if (active < 2 && !withItself) return undefined
  const sd = methodTotalSd(plan, method, learned) / (withItself ? Math.SQRT2 : 1)
  const owners = ownersIn(plan)
  const done = conditionsByGroup(plan)
  const cells = owners.reduce((sum, owner) => sum + done.get(owner)!.length, 0)
  return chanceOfSame({
    conditions: withItself ? 2 : active,
    groups: arrangementOf(plan) === 'together' ? 1 : cells / active,
    repeats: (plan.repeats * plan.groups.length) / owners.length,
    sd,
    own: ownOf(plan, sd, learned),
    within: Math.max(method.differenceThatMatters, resultMark(plan)),
    resolution: resultMark(plan),
  })
}
