import { activeConditions, type Material, type Plan } from '../lesson'
import { withUnit, writeShort, type UnitCode } from '../quantity'
import { counted } from './names'

export const PER_WORDS: Record<Material['per'], string> = {
  class: 'for the class',
  group: 'each group',
  child: 'each child',
  condition: 'each condition',
  trial: 'each trial',
}

/** An amount of a material; what is counted in pieces goes without a unit. `amountWords(31, 'pieces') // '31'` */
export function amountWords(value: number, unit: UnitCode): string {
  return unit === 'pieces' || unit === 'count' ? writeShort(value) : withUnit(writeShort(value), unit)
}

/** The multiplication behind the kit. `'4 conditions × (3 repeats + 1 practice) × 7 groups = 112 trials'` */
export function trialSum(plan: Plan): string {
  const conditions = activeConditions(plan).length
  const [each, groups] = [plan.repeats + plan.practice, plan.groups.length]
  const repeats =
    plan.practice === 0 ? counted(plan.repeats, 'repeat') : `(${counted(plan.repeats, 'repeat')} + ${plan.practice} practice)`
  return `${counted(conditions, 'condition')} × ${repeats} × ${counted(groups, 'group')} = ${counted(conditions * each * groups, 'trial')}`
}
