import { unreachable } from '../unreachable'
import { arrangementOf, circuitStations, conditionsByGroup, practiceByGroup, secondsOfBatch, trialsByGroup } from '../arrangement'
import { activeConditions, ownerOf, type Group, type Material, type Plan } from '../lesson'
import { atLevel, comesAgain, kindOf } from '../test'
import { withoutNoise, type UnitCode } from '../quantity'
import { readAmountOf, type Amount } from './amount'
import { NO_SCHOOL, type School } from './cupboard'
import { kitchenOf } from './customs'
import { isFor } from './isFor'
import { supplyOf, type Supply } from './supply'

export interface Need {
  material: string
  amount: Amount
  unit: UnitCode
  /** For each group's tray, without spares, by group id; empty where one thing serves the whole class. */
  trays: Record<string, number>
  /** For the fullest tray; undefined where one thing serves the whole class. */
  perTray: number | undefined
  /** Counted once for a group, since the same one comes again in every trial. */
  comesAgain: boolean
  /** There is one for the class, which everybody looks at. */
  forAll: boolean
  /** The class's own sum before spares: amount x times. */
  times: number
  /** For the class, spares and rounding to whole pieces included. */
  forClass: number
  spare: number
  /** Of things used again: how many one group has in its hands at one moment, and how many of its are drying. */
  atOnce: { used: number; drying: number } | undefined
  supply: Supply
  /** needed - there, when less is there. */
  short: number
  /** Whole packs to buy, what is left of them, and what they cost; undefined without a pack size. */
  packs: { count: number; leftOver: number; cost: number | undefined } | undefined
}

/**
 * What the plan needs of every material: amount x multiplier (class 1, groups, children, conditions, or the trials really done by
 * each group, practice included; one of each condition where the same thing comes again), times 1 + spare share, rounded up to whole pieces. Things used again count the most that are
 * in use at one moment, plus those drying; what goes round between groups counts once.
 * @example needsOf(plan)[0]!.forClass // => Math.ceil(1 * (3 + 1) * 7 * 1.1)
 */
export function needsOf(plan: Plan, school: School = NO_SCHOOL): Need[] {
  const work = workOf(plan)
  return plan.materials.map((material) => needOf(plan, material, work, school))
}

/** Trials with practice, and conditions, of every group. */
interface Work {
  together: boolean
  trials: Map<string, Map<string, number>>
  conditions: Map<string, string[]>
  /** In a circuit how many stations of a condition can be in use. */
  copies: Map<string, number> | undefined
}

function workOf(plan: Plan): Work {
  const practice = practiceByGroup(plan)
  const trials = new Map<string, Map<string, number>>()
  for (const [group, own] of trialsByGroup(plan)) {
    const counts = new Map<string, number>()
    for (const { condition } of own) counts.set(condition, (counts.get(condition) ?? 0) + 1)
    for (const condition of practice.get(group)!) counts.set(condition, (counts.get(condition) ?? 0) + plan.practice)
    trials.set(group, counts)
  }
  const circuit = arrangementOf(plan) === 'circuit'
  return {
    together: arrangementOf(plan) === 'together',
    trials,
    conditions: conditionsByGroup(plan),
    copies: circuit
      ? new Map(circuitStations(plan).map(({ id, copies }) => [id, Math.min(copies, Math.max(1, plan.groups.length))]))
      : undefined,
  }
}

function needOf(plan: Plan, material: Material, work: Work, school: School): Need {
  const amount = readAmountOf(material, kitchenOf(school.customs))
  const value = amount.ok ? amount.value : 0
  const whole = amount.ok && amount.whole
  const unit = amount.ok ? amount.unit : 'pieces'
  // Of what children share there is one for all of them, at the seat of the child whose it is.
  const sharesIt = (group: Group) => material.per !== 'child' && ownerOf(plan, group.id) !== group.id
  const timesOf = plan.groups.map((group): [string, number] => [
    group.id,
    sharesIt(group) ? 0 : timesOfGroup(plan, material, work, group),
  ])
  const times = timesOfClass(
    plan,
    material,
    work,
    timesOf.map(([, count]) => count),
  )
  const forClass = roundUp(value * times * (1 + material.spare), whole)
  const onTrays =
    material.per !== 'class' &&
    !isForEverybody(plan, material) &&
    !goesRound(material) &&
    !work.together &&
    !(work.copies && staysAtStation(material))
  const trays = onTrays ? Object.fromEntries(timesOf.map(([id, count]) => [id, roundUp(value * count, whole)])) : {}
  const supply = supplyOf(plan, material, unit, school)
  const short = supply.stock === undefined ? 0 : Math.max(0, withoutNoise(forClass - supply.stock))
  return {
    material: material.id,
    amount,
    unit,
    trays,
    perTray: onTrays ? Math.max(0, ...Object.values(trays)) : undefined,
    comesAgain: isOneForAll(plan, material),
    forAll: isForEverybody(plan, material),
    times,
    forClass,
    spare: withoutNoise(forClass - roundUp(value * times, whole)),
    atOnce: staysInHand(material) ? inHand(plan, material) : undefined,
    supply,
    short,
    packs: packsFor(short, forClass, supply),
  }
}

export function packsFor(
  short: number,
  needed: number,
  { pack, price, stock }: Pick<Supply, 'pack' | 'price' | 'stock'>,
): Need['packs'] {
  if (!pack || short === 0) return undefined
  const count = Math.ceil(withoutNoise(short / pack))
  return {
    count,
    leftOver: withoutNoise(count * pack + (stock ?? 0) - needed),
    cost: price === undefined ? undefined : withoutNoise(count * price),
  }
}

/**
 * What buying everything that is short costs, and how many of the things have no price.
 * @example billOf(needs) // => { things: 0, cost: 0, unpriced: 0 }
 */
export function billOf(needs: Pick<Need, 'short' | 'packs'>[]): { things: number; cost: number; unpriced: number } {
  const short = needs.filter((need) => need.short > 0)
  const costs = short.flatMap(({ packs }) => (packs?.cost === undefined ? [] : [packs.cost]))
  return {
    things: short.length,
    cost: withoutNoise(costs.reduce((sum, cost) => sum + cost, 0)),
    unpriced: short.length - costs.length,
  }
}

/** How many times one group wants the amount on its own tray. */
function timesOfGroup(plan: Plan, material: Material, work: Work, { id: group, seats }: Group): number {
  const chosen = (condition: string) => isFor(plan, material, condition)
  switch (material.per) {
    case 'class':
      return 0
    case 'group':
      return 1
    case 'child':
      return seats
    case 'condition':
      return work.conditions.get(group)!.filter(chosen).length
    case 'trial': {
      if (isOneForAll(plan, material))
        return atLevel(plan, material.condition!).filter((condition) => work.trials.get(group)!.has(condition)).length
      const counts = [...work.trials.get(group)!].flatMap(([condition, count]) => (chosen(condition) ? [count] : []))
      // A race runs all its conditions at once.
      const trials = kindOf(plan).allAtOnce ? Math.max(0, ...counts) : counts.reduce((sum, count) => sum + count, 0)
      if (material.use === 'up') return trials
      const { used, drying } = inHand(plan, material)
      return Math.min(trials, used + drying)
    }
    default:
      return unreachable(material.per)
  }
}

/** How many times the class wants the amount. */
function timesOfClass(plan: Plan, material: Material, work: Work, ofGroups: number[]): number {
  const all = ofGroups.reduce((sum, count) => sum + count, 0)
  if (material.per === 'class') return 1
  if (isForEverybody(plan, material)) return conditionsOf(plan, material).length
  if (goesRound(material)) return material.goesRound!
  if (work.copies && staysAtStation(material)) return atStations(plan, material, work.copies)
  if (!work.together) return all
  if (isOneForAll(plan, material)) return Math.min(1, all)
  // One apparatus for everybody: what stays with it is there once.
  if (material.per === 'group') return Math.min(1, ofGroups.length)
  if (material.use === 'up' || material.per === 'child') return all
  if (material.per === 'condition') return conditionsOf(plan, material).length
  return Math.max(0, ...ofGroups)
}

/** In a circuit what is used again stays at the stations and the groups walk. */
function atStations(plan: Plan, material: Material, copies: Map<string, number>): number {
  const stations = conditionsOf(plan, material).reduce((sum, id) => sum + (copies.get(id) ?? 1), 0)
  if (material.per === 'condition') return stations
  const { used, drying } = inHand(plan, material)
  return stations * (used + drying)
}

/** How many of a thing used again are in one group's hands at a time, and how many are drying until they can be used again. */
function inHand(plan: Plan, { rinse }: Material): { used: number; drying: number } {
  const used = Math.max(1, plan.clock.sideBySide)
  const batch = secondsOfBatch(plan.clock.trial, used)
  const drying = rinse === 0 ? 0 : used * (batch === 0 ? 1 : Math.ceil((rinse * 60) / batch))
  return { used, drying }
}

function conditionsOf(plan: Plan, material: Material): string[] {
  const ids = activeConditions(plan).map(({ id }) => id)
  return ids.filter((id) => isFor(plan, material, id))
}

/** What belongs to a condition is what is tested: where the same one comes again in every trial, each group has one of each. */
function isOneForAll(plan: Plan, { per, condition }: Material): boolean {
  return comesAgain(plan) && per === 'trial' && condition !== null
}

/** What is tested, where the whole class looks at one. */
function isForEverybody({ things }: Plan, { per, condition }: Material): boolean {
  return things === 'class' && condition !== null && (per === 'trial' || per === 'condition' || per === 'group')
}

function goesRound({ use, goesRound: count }: Material): boolean {
  return use === 'again' && count !== null
}

function staysAtStation({ use, per }: Material): boolean {
  return use === 'again' && (per === 'trial' || per === 'condition')
}

function staysInHand({ use, per, rinse }: Material): boolean {
  return use === 'again' && per === 'trial' && rinse > 0
}

function roundUp(value: number, whole: boolean): number {
  return whole ? Math.ceil(withoutNoise(value)) : withoutNoise(value)
}
