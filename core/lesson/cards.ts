import { readQuantity, unitOf, withUnit, writeShort } from '../quantity'
import { PLAN_VERSION, type Condition, type Factor, type Group, type Measure, type Plan } from './plan'

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** The card in the Change tray. */
export function changedFactor(plan: Plan): Factor | undefined {
  return plan.factors.find((factor) => factor.id === plan.changed)
}

/** The card in the Measure tray. */
export function measuredCard(plan: Plan): Measure | undefined {
  return plan.measures.find((measure) => measure.id === plan.measured)
}

/** A card of something that could be changed, kept the same or measured against, before anybody has said more than its name. */
export function newFactor(id: string, name: string): Factor {
  return { id, name, how: '', exceptions: {}, comesWith: false }
}

/** Every other thing we could change, once something is chosen to change; what makes the series differ, or comes with what is changed, is not kept the same. */
export function keptFactors(plan: Plan): Factor[] {
  const coming = comingFactors(plan)
  return otherFactors(plan).filter((factor) => !coming.includes(factor))
}

/** What cannot be told from what is changed, since it comes with it: the light of a place. */
export function comingFactors(plan: Plan): Factor[] {
  return changedFactor(plan) ? otherFactors(plan).filter(({ comesWith }) => comesWith) : []
}

function otherFactors(plan: Plan): Factor[] {
  // A class in which each child measures for itself keeps everything the same, even where nothing is changed.
  if (!changedFactor(plan) && plan.each === 'group') return []
  return plan.factors.filter(({ id }) => id !== plan.changed && id !== plan.seriesFactor)
}

/** The second thing that differs on purpose. */
export function seriesFactor(plan: Plan): Factor | undefined {
  return plan.factors.find((factor) => factor.id === plan.seriesFactor)
}

/** The conditions that are really tested. */
export function activeConditions(plan: Plan): Condition[] {
  return plan.conditions.filter((condition) => !condition.leftOut)
}

/** Letter of a condition by its place in the plan, A to Z, then A2 and on; it stays when another is left out. */
export function letterOf(plan: Plan, conditionId: string): string {
  const place = plan.conditions.findIndex((condition) => condition.id === conditionId)
  if (place < 0) return '?'
  const round = Math.floor(place / LETTERS.length)
  return LETTERS[place % LETTERS.length]! + (round === 0 ? '' : String(round + 1))
}

/** The number that a condition stands for, in the plan's unit; undefined for kinds and for what cannot be read. */
export function conditionValue(plan: Plan, condition: Condition): number | undefined {
  if (plan.conditionsAs !== 'numbers') return undefined
  const read = readQuantity(condition.label, { unit: plan.conditionUnit })
  return read.ok ? read.value : undefined
}

/** A condition as people read it: numbers get their unit, and a series' own its name. `conditionName(lengths('40'), { label: '40' }) // '40 cm'` */
export function conditionName(plan: Plan, condition: Condition): string {
  const series = plan.series.length > 1 ? plan.series.find(({ conditions }) => conditions.includes(condition.id)) : undefined
  return series ? `${levelName(plan, condition)}, ${series.name.trim() || 'no name yet'}` : levelName(plan, condition)
}

/** The same without the series that it belongs to: what was changed. */
export function levelName(plan: Plan, condition: Condition): string {
  const value = conditionValue(plan, condition)
  return value === undefined ? condition.label.trim() || 'no name yet' : numberName(plan, value)
}

/** A number that a condition could stand for, as people read it. `numberName(lengths('40'), 40) // '40 cm'` */
export function numberName(plan: Plan, value: number): string {
  return withUnit(writeShort(value), unitOf(plan.conditionUnit).code)
}

/** A group of the plan. */
export function groupOf(plan: Plan, id: string | null): Group | undefined {
  return plan.groups.find((group) => group.id === id)
}

/** The highest number that a trial has: the repeats of everybody, or more where some are done once more. */
export function mostRepeats(plan: Plan): number {
  return Math.max(plan.repeats, ...plan.retests.map(({ repeat }) => repeat))
}

/** A plan that another lesson begins with: nothing that only this one's readings were about. */
export function begunAnew(plan: Plan): Plan {
  return { ...plan, begunIn: PLAN_VERSION, challenge: null, gapsStay: false, retests: [], notDone: [] }
}
