import { activeConditions, type Material, type Plan } from '../lesson'
import { withoutNoise, type UnitCode } from '../quantity'
import { readAmount, type Amount } from './amount'

export interface Need {
  material: string
  amount: Amount
  /** How many times the amount is wanted, and out of what it was multiplied. */
  times: { perGroup: number; groups: number }
  unit: UnitCode
  /** For one group's tray, without spares; undefined where one thing serves the whole class. */
  perTray: number | undefined
  /** For the class, spares and rounding to whole pieces included. */
  forClass: number
  spare: number
  /** needed - stock, when the cupboard holds less. */
  short: number
  /** Whole packs to buy, and what is left of them; undefined without a pack size. */
  packs: { count: number; leftOver: number } | undefined
}

/**
 * What the plan needs of every material: amount x multiplier (class 1, groups, children, conditions, or trials = conditions x
 * (repeats + practice) x groups), times 1 + spare share, rounded up to whole pieces. Things used again count what is in use at
 * one moment: a group does one trial at a time.
 * @example 1 strip per trial of one paper, 7 groups, 3 repeats and 1 practice, one spare in ten:
 *   1 x (3 + 1) x 7 = 28, x 1.1 = 30.8 // forClass 31
 */
export function needsOf(plan: Plan): Need[] {
  return plan.materials.map((material) => needOf(plan, material))
}

function needOf(plan: Plan, material: Material): Need {
  const amount = readAmount(material.amount)
  const times = timesOf(plan, material)
  const value = amount.ok ? amount.value : 0
  const bare = value * times.perGroup * times.groups
  const whole = amount.ok && amount.whole
  const forClass = roundUp(bare * (1 + material.spare), whole)
  const short = material.stock === null ? 0 : Math.max(0, withoutNoise(forClass - material.stock))
  const perTray = material.per === 'class' ? undefined : roundUp(value * times.perGroup, whole)
  return {
    material: material.id,
    amount,
    times,
    unit: amount.ok ? amount.unit : 'pieces',
    perTray,
    forClass,
    spare: withoutNoise(forClass - roundUp(bare, whole)),
    short,
    packs: packsFor(short, forClass, material),
  }
}

function packsFor(short: number, needed: number, { packSize, stock }: Material) {
  if (!packSize || short === 0) return undefined
  const count = Math.ceil(withoutNoise(short / packSize))
  return { count, leftOver: withoutNoise(count * packSize + (stock ?? 0) - needed) }
}

function timesOf(plan: Plan, material: Material): Need['times'] {
  const groups = plan.groups.length
  const chosen = activeConditions(plan).filter(({ id }) => material.condition === null || material.condition === id)
  const conditions = chosen.length
  const trials = conditions * (plan.repeats + plan.practice)
  const inUseAgain = Math.min(1, conditions)
  switch (material.per) {
    case 'class':
      return { perGroup: 1, groups: 1 }
    case 'group':
      return { perGroup: 1, groups }
    case 'child':
      return { perGroup: groups === 0 ? 0 : plan.children / groups, groups }
    case 'condition':
      return { perGroup: conditions, groups }
    case 'trial':
      return { perGroup: material.use === 'again' ? inUseAgain : trials, groups }
  }
}

function roundUp(value: number, whole: boolean): number {
  return whole ? Math.ceil(withoutNoise(value)) : withoutNoise(value)
}
